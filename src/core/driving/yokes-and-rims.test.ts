import { describe, expect, it } from 'vitest';
import { OPEN } from '../../../tests/support/open-access.ts';
import { type ReleasedHole } from '../release/release.ts';
import type { DrivingAccess } from './access.ts';
import { STARTING_TOOLS } from '../drive/driving-tools.ts';
import { headsTouched } from './driving-ways.ts';
import { touches, yokeReach } from './reach.ts';
import { hole, OUTLINE, run } from '../../../tests/support/driving-runs.ts';

describe('what a yoke reaches', () => {
  const yoke = { throatIn: 1.625, gapIn: 1.4 };
  const reach = (at: ReleasedHole, access: Partial<DrivingAccess>) => {
    const found = yokeReach(at, OUTLINE, { ...OPEN, ...access }, yoke, 0.1);
    if (!found.ok) throw new Error('refused');
    return found.result;
  };
  it('is as far from a free edge as its throat is deep', () => {
    const edges = { ...OPEN.edges, top: 1.25 };
    // 0.375 in the joint and 1.25 beyond it: exactly 1.625
    expect(reach(hole(1, 2, 0.375), { edges })).toEqual({ from: 'top', awayIn: 1.625 });
    expect(reach(hole(1, 2, 0.376), { edges }).from).toBeNull();
    // no way in is no way, however near
    expect(reach(hole(1, 0.2, 0.376), {})).toEqual({ from: null, awayIn: null });
  });

  it('is told from each side with its arithmetic, the nearest first', () => {
    // the outline is 9 wide and 4 high
    const at = hole(1, 8.2, 3.3);
    const of = (edges: Partial<DrivingAccess['edges']>, upstands: DrivingAccess['upstands'] = []) =>
      yokeReach(at, OUTLINE, { edges: { ...OPEN.edges, ...edges }, upstands }, yoke, 0.1);
    const found = (...args: Parameters<typeof of>) => {
      const said = of(...args);
      if (!said.ok) throw new Error('refused');
      const round = (one: unknown) => (typeof one === 'number' ? Number(one.toFixed(6)) : one);
      return {
        ...said.result,
        awayIn: round(said.result.awayIn),
        work: said.work.map(({ label, value }) => [label, round(value)])
      };
    };
    expect(found({ right: 0.5, bottom: 0.1, top: 0, left: 0 })).toEqual({
      from: 'bottom',
      awayIn: 0.8,
      work: [['from the bottom', 0.8]]
    });
    expect(found({ right: 0.5, top: 0 })).toEqual({
      from: 'right',
      awayIn: 1.3,
      work: [['from the right', 1.3]]
    });
    // too deep for the throat from either: the nearest is told all the same
    expect(found({ top: 0, left: 0 })).toEqual({
      from: null,
      awayIn: 3.3,
      work: [
        ['from the top', 3.3],
        ['from the left', 8.2]
      ]
    });
    const wall = (insetIn: number) => [
      { id: 'w', side: 'right' as const, insetIn, heightIn: 0.66, on: 'shop' as const }
    ];
    expect(found({ right: 0 }, wall(0.3))).toEqual({
      from: null,
      awayIn: 0.8,
      work: [
        ['from the right', 0.8],
        ['over what stands up 0.66', 0.65]
      ]
    });
    // its face at the hole is not in between
    expect(found({ right: 0 }, wall(9 - 8.2))).toMatchObject({ from: 'right' });
  });

  it('takes the nearer edge, and goes round what stands up only where the gap is high enough', () => {
    const edges = { left: 0, right: null, top: 0.5, bottom: null };
    expect(reach(hole(1, 0.9, 0.6), { edges }).from).toBe('left');
    const flange = {
      id: 'f',
      side: 'left' as const,
      insetIn: 0.3,
      heightIn: 0.7,
      on: 'shop' as const
    };
    // (1.4 − 0.1) / 2 = 0.65 beside the metal: 0.7 does not go in, so it comes over the top edge
    expect(reach(hole(1, 0.9, 0.6), { edges, upstands: [flange] }).from).toBe('top');
    expect(
      reach(hole(1, 0.9, 0.6), { edges, upstands: [{ ...flange, heightIn: 0.65 }] }).from
    ).toBe('left');
    // behind the hole it is in nobody's way
    expect(reach(hole(1, 0.9, 0.6), { edges, upstands: [{ ...flange, insetIn: 1.2 }] }).from).toBe(
      'left'
    );
  });
});

describe('what a set or a bar would touch', () => {
  const at = hole(1, 2, 0.5);
  it('is what stands nearer than its radius on its own side', () => {
    const wall = { id: 'w', side: 'top' as const, insetIn: 0, heightIn: 1, on: 'head' as const };
    const with0 = (setRadiusIn: number) =>
      touches(at, [], OUTLINE, [wall], { head: 'universal', setRadiusIn, barRadiusIn: 3 });
    expect(with0(0.5)).toEqual([]);
    expect(with0(0.51)).toEqual([{ what: 'upstand', id: 'w', awayIn: 0.5, tool: 'set' }]);
  });

  it('is a neighboring head that stands proud, never a flush one', () => {
    const next = hole(2, 2.375, 0.5);
    const radii = { setRadiusIn: 0.26, barRadiusIn: null };
    // 0.375 between centers; 0.26 and half of 0.25
    expect(touches(at, [at, next], OUTLINE, [], { head: 'universal', ...radii })).toEqual([
      { what: 'head', hole: 2, awayIn: 0.375 }
    ]);
    expect(touches(at, [at, next], OUTLINE, [], { head: 'countersunk', ...radii })).toEqual([]);
  });
});

describe('a set beside the next head', () => {
  // dash 4: half a cup of 0.26, its wall, and half a head of 0.25: 0.28625
  const at = (pitchIn: number) => [1, 2, 3].map((number) => hole(number, number * pitchIn, 0.5));
  it('touches it where holes are closer than its rim and half that head', () => {
    expect(headsTouched(run(at(0.28)), at(0.28), STARTING_TOOLS)).toEqual([1, 2, 3]);
    expect(headsTouched(run(at(0.29)), at(0.29), STARTING_TOOLS)).toEqual([]);
    // the next one may be of another run
    const other = [...at(0.38), hole(9, 0.38, 0.2, 5)];
    expect(headsTouched(run(at(0.38)), other, STARTING_TOOLS)).toEqual([1]);
  });
  it('lies on none that is flush, and is asked of no shop without one', () => {
    const flush = run(at(0.28), { head: 'countersunk', part: 'MS20426AD4-5' });
    expect(headsTouched(flush, at(0.28), STARTING_TOOLS)).toEqual([]);
    expect(headsTouched(run(at(0.28)), at(0.28), { ...STARTING_TOOLS, sets: [] })).toEqual([]);
  });
});
