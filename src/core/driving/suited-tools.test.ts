import { describe, expect, it } from 'vitest';
import { OPEN } from '../../../tests/support/open-access.ts';
import type { Dash } from '../schema/fields.ts';
import { STARTING_TOOLS } from '../drive/driving-tools.ts';
import { barsFor, gunsFor, headsTouched, setsFor, squeezersFor } from './driving-ways.ts';
import { hole, run, ways } from '../../../tests/support/driving-runs.ts';

describe('the tools that suit', () => {
  const dash = (size: Dash, head = 'universal') =>
    run([hole(1, 2, 0.5, size)], {
      head,
      part: `MS20${head === 'universal' ? '470' : '426'}AD${size}-8`
    });

  it('are cups of the size, the narrowest first, and for flush heads the widest first', () => {
    const set = (kind: string, acrossIn: number, of: number | null = null) =>
      ({ id: `${kind}${acrossIn}`, name: '', kind, acrossIn, dash: of, radiusIn: 0.3 }) as never;
    const sets = [
      set('cup', 0.3, 4),
      set('cup', 0.27, 4),
      set('cup', 0.34, 5),
      set('flush', 1),
      set('flush', 1.5),
      set('back', 0.5)
    ];
    const across = (of: ReturnType<typeof run>) =>
      setsFor(of, { ...STARTING_TOOLS, sets }).map(({ acrossIn }) => acrossIn);
    expect(across(dash(4))).toEqual([0.27, 0.3]);
    expect(across(dash(5))).toEqual([0.34]);
    expect(across(dash(4, 'countersunk'))).toEqual([1.5, 1]);
  });

  it('are bars by weight and guns by size, both ends of each included', () => {
    const bar = (weightLb: number) =>
      ({ id: `${weightLb}`, name: '', weightLb, heightIn: 1, radiusIn: 0.3 }) as never;
    const bars = [bar(1.9), bar(2), bar(3), bar(3.1), bar(4), bar(4.1)];
    const weights = (size: Dash) =>
      barsFor(dash(size), { ...STARTING_TOOLS, bars }).map(({ weightLb }) => weightLb);
    expect(weights(3)).toEqual([2, 3]);
    expect(weights(4)).toEqual([3, 3.1, 4]);
    const guns = ['2X', '3X', '4X'].map((size) => ({
      id: size,
      name: size,
      size,
      lengthIn: 6
    })) as never;
    const sizes = (size: Dash) =>
      gunsFor(dash(size), { ...STARTING_TOOLS, guns }).map(({ size: of }) => of);
    expect([sizes(3), sizes(4), sizes(5), sizes(6), sizes(8)]).toEqual([
      ['2X'],
      ['2X', '3X'],
      ['3X'],
      ['3X', '4X'],
      ['4X']
    ]);
  });

  it('are squeezers that are strong enough: by hand first for dash 3, powered first for dash 4, alone beyond', () => {
    const squeezer = (name: string, powered: boolean, forceLb: number) =>
      ({ id: name, name, powered, forceLb }) as never;
    const squeezers = [
      squeezer('air', true, 3000),
      squeezer('hand', false, 3000),
      squeezer('weak', true, 1999)
    ];
    const names = (size: Dash) =>
      squeezersFor(dash(size), { ...STARTING_TOOLS, squeezers }).map(({ name }) => name);
    expect(names(3)).toEqual(['hand', 'air', 'weak']);
    expect(names(4)).toEqual(['air', 'hand']);
    expect(names(5)).toEqual([]);
    expect(
      squeezersFor(dash(5), {
        ...STARTING_TOOLS,
        squeezers: [squeezer('big', true, 3500), squeezer('arm', false, 9000)]
      }).map(({ name }) => name)
    ).toEqual(['big']);
  });

  it('close on the alloy at hand: what is enough for AD is not for DD, and for B nobody can tell', () => {
    const squeezers = [
      { id: 's', name: 'air', powered: true, forceLb: 2500, turnIn: 0.06, divisionsPerTurn: 8 }
    ];
    const edges = { ...OPEN.edges, top: 0 };
    const of = (alloy: string) =>
      ways(
        run([hole(1, 2, 0.5), hole(2, 3, 0.5)], { part: `MS20470${alloy}4-5` }),
        { edges },
        { squeezers }
      ).ways.find(({ way }) => way === 'squeeze');
    expect(of('AD')?.fits).toBe(true);
    // 2000 × 41/30
    expect(of('DD')?.why).toMatchObject([{ code: 'squeezer-too-weak', estimated: true }]);
    expect(of('B')?.why).toEqual([{ code: 'no-squeeze-figure', alloy: 'B' }]);
  });

  it('touch a neighboring head with their rim only where they must', () => {
    const near = [hole(1, 2, 0.5), hole(2, 2.4, 0.5), hole(3, 6, 0.5)];
    const set = (acrossIn: number) =>
      ({ id: 's', name: '', kind: 'cup', acrossIn, dash: 4, radiusIn: 0.3 }) as never;
    const touched = (...across: number[]) =>
      headsTouched(run(near), near, { ...STARTING_TOOLS, sets: across.map(set) });
    // half of 0.25 and the rim: 0.4 − 0.125 = 0.275
    expect(touched(0.6)).toEqual([1, 2]);
    expect(touched(0.6, 0.4)).toEqual([]);
    expect(touched()).toEqual([]);
    expect(
      headsTouched(run(near, { head: 'countersunk', part: 'MS20426AD4-5' }), near, STARTING_TOOLS)
    ).toEqual([]);
  });
});
