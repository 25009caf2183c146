import { describe, expect, it } from 'vitest';
import { OPEN } from '../../../tests/support/open-access.ts';
import { IssuedFacts, type IssuedHole } from '../issue/issue.ts';
import type { Dash } from '../schema/fields.ts';
import type { DrivingAccess } from './access.ts';
import { STARTING_TOOLS, type DrivingTools } from '../drive/driving-tools.ts';
import {
  barsFor,
  drivingWays,
  gunsFor,
  headsTouched,
  setsFor,
  squeezersFor,
  touchedOfRuns
} from './driving-ways.ts';
import { touches, yokeReach } from './reach.ts';
import { runTools } from './run-tools.ts';
import { rivetRuns } from './rivet-runs.ts';

const OUTLINE = { widthIn: 9, heightIn: 4 };
const hole = (number: number, xIn: number, yIn: number, dash: Dash = 4): IssuedHole => ({
  number,
  row: 1,
  xIn,
  yIn,
  markIn: xIn,
  stack: 0,
  dash,
  gripIn: 0.1,
  room: null
});
const run = (
  holes: IssuedHole[],
  {
    head = 'universal',
    part = 'MS20470AD4-5',
    dimpledThrough = false
  }: { head?: string; part?: string; dimpledThrough?: boolean } = {}
) => {
  const dash = holes[0]?.dash ?? 4;
  const facts = IssuedFacts.parse({
    dash,
    head,
    partNumber: part,
    gripIn: 0.1,
    lengthIn: 0.3125,
    holeIn: 0.1285,
    widthIn: 9,
    overlapIn: 4,
    limits: 'standard',
    predictedIn3: null,
    stacks: [
      { name: 'lap', dash, partNumber: part, lengthIn: 0.3125, holeIn: 0.1285, dimpledThrough }
    ]
  });
  const [found] = rivetRuns({ facts, holes });
  if (!found) throw new Error('no run');
  return found;
};
const ways = (
  of: ReturnType<typeof run>,
  access: Partial<DrivingAccess> = {},
  tools: Partial<DrivingTools> = {}
) => drivingWays(of, OUTLINE, { ...OPEN, ...access }, { ...STARTING_TOOLS, ...tools });
const whyNot = (found: ReturnType<typeof ways>, way: string) =>
  found.ways.find((one) => one.way === way)?.why.map(({ code }) => code);

describe('what a yoke reaches', () => {
  const yoke = { throatIn: 1.625, gapIn: 1.4 };
  const reach = (at: IssuedHole, access: Partial<DrivingAccess>) => {
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

describe('how a run is driven', () => {
  const near = run([hole(1, 1, 0.4), hole(2, 2, 0.4)]);
  it('is squeezed where one yoke reaches every hole', () => {
    const found = ways(near, { edges: { ...OPEN.edges, top: 0 } });
    expect(found.chosen).toBe('squeeze');
    // of two yokes that reach all, the shorter
    expect(found.reach?.yoke.id).toBe('yoke-short');
  });

  it('is bucked where the yoke reaches only some, and says how many', () => {
    const found = ways(run([hole(1, 1, 0.4), hole(2, 2, 0.4), hole(3, 4, 3.9)]), {
      edges: { ...OPEN.edges, top: 0.4 }
    });
    // 3.9 + 0.4 is over 4.25
    expect(found.chosen).toBe('buck');
    expect(found.ways.find(({ way }) => way === 'squeeze')?.why).toEqual([
      { code: 'yoke-reaches-some', yoke: 'yoke 1 5/8', holes: 2, of: 3 }
    ]);
  });

  it('is not squeezed by a tool too weak: dash 8 takes 8,500 lb', () => {
    const thick = run([hole(1, 1, 0.4, 8)], { part: 'MS20470AD8-8' });
    const found = ways(thick, { edges: { ...OPEN.edges, top: 0 } });
    expect(whyNot(found, 'squeeze')).toEqual(['squeezer-too-weak']);
    // and a hand squeezer drives no dash 5, however strong it is said to be
    const five = run([hole(1, 1, 0.4, 5)], { part: 'MS20470AD5-5' });
    const byHand = STARTING_TOOLS.squeezers.filter(({ powered }) => !powered);
    const strong = byHand.map((one) => ({ ...one, forceLb: 9000 }));
    expect(
      whyNot(ways(five, { edges: { ...OPEN.edges, top: 0 } }, { squeezers: strong }), 'squeeze')
    ).toEqual(['squeezer-too-weak']);
  });

  it('is back-riveted only flush and face down', () => {
    const flush = run([hole(1, 1, 0.4)], { head: 'countersunk', part: 'MS20426AD4-5' });
    expect(ways(flush, { faceDown: true }).chosen).toBe('back-rivet');
    expect(ways(flush).chosen).toBe('buck');
    expect(whyNot(ways(near, { faceDown: true }), 'back-rivet')).toEqual(['not-flush']);
  });

  it('takes two where one person’s arms do not reach, and nobody where there is no room', () => {
    expect(ways(near, { armsReach: false }).chosen).toBe('two-people');
    const cramped = ways(near, { shopRoomIn: 0.5 });
    expect(cramped.chosen).toBeNull();
    // the lowest bar of 3 to 4 lb is 1.6 high, and the shank stands 0.3125 − 0.1 out
    expect(cramped.ways.find(({ way }) => way === 'buck')?.why).toEqual([
      { code: 'no-room', side: 'shop', roomIn: 0.5, needIn: expect.closeTo(1.8125, 9) }
    ]);
  });

  it('uses the rivet as punch where the sheets are dimpled together', () => {
    const thin = [hole(1, 1, 0.4, 3)].map((one) => ({ ...one, gripIn: 0.036 }));
    const found = ways(
      run(thin, { head: 'countersunk', part: 'MS20426AD3-3', dimpledThrough: true }),
      { faceDown: true, edges: { ...OPEN.edges, top: 0 } }
    );
    expect(found.chosen).toBe('punch-dimpling');
    expect(whyNot(found, 'squeeze')).toContain('punch-first');
    expect(whyNot(found, 'back-rivet')).toContain('punch-first');
  });

  it('closes a squeezer one head height less where the shop head stands on a dimple', () => {
    const flush = [hole(1, 1, 0.4, 4)].map((one) => ({ ...one, gripIn: 0.072 }));
    const gapOf = (dimpledThrough: boolean) => {
      const of = run(flush, { head: 'countersunk', part: 'MS20426AD4-5', dimpledThrough });
      const access = { ...OPEN, edges: { ...OPEN.edges, top: 0 } };
      const found = drivingWays(of, OUTLINE, access, STARTING_TOOLS);
      expect(found.chosen).toBe('squeeze');
      return runTools(of, 'squeeze', found.reach, OUTLINE, access, STARTING_TOOLS).find(
        (need) => need.tool === 'gap'
      );
    };
    // flush: grip and half of 1/8; dimpled through: 0.042 more, or the head would be crushed
    expect(gapOf(false)).toMatchObject({ mostIn: expect.closeTo(0.1345, 9) as number });
    expect(gapOf(true)).toMatchObject({ mostIn: expect.closeTo(0.1765, 9) as number });
  });

  it('reaches a closed member only with the remote bar', () => {
    const found = ways(near, { closedMember: true, edges: { ...OPEN.edges, top: 0 } });
    expect(found.chosen).toBe('remote-bar');
    expect(found.ways.filter(({ fits }) => fits)).toHaveLength(1);
    expect(ways(near, { closedMember: true }, { wedgeBars: [] }).chosen).toBeNull();
  });
});

describe('every way, with why', () => {
  const row = run([hole(1, 2, 0.5), hole(2, 3, 0.5), hole(3, 4, 0.5)]);
  const flush = run([hole(1, 2, 0.5), hole(2, 3, 0.5)], {
    head: 'countersunk',
    part: 'MS20426AD4-5'
  });
  const of = (found: ReturnType<typeof ways>, way: string) =>
    found.ways.find((one) => one.way === way);

  it('is told in the order of preference, each with its own reasons', () => {
    const found = ways(row);
    expect(found.ways.map(({ way }) => way)).toEqual([
      'remote-bar',
      'punch-dimpling',
      'squeeze',
      'back-rivet',
      'buck',
      'two-people'
    ]);
    expect(found.chosen).toBe('buck');
    expect(found.run).toBe(row);
    expect(of(found, 'remote-bar')).toMatchObject({
      fits: false,
      why: [{ code: 'no-closed-member' }]
    });
    expect(of(found, 'punch-dimpling')?.why).toEqual([{ code: 'does-not-punch' }]);
    expect(of(found, 'squeeze')?.why).toEqual([{ code: 'no-yoke-reaches' }]);
    expect(whyNot(found, 'back-rivet')).toEqual(['not-flush', 'cannot-lie']);
    expect(of(found, 'buck')).toMatchObject({ fits: true, why: [{ code: 'arms-reach' }] });
    expect(of(found, 'two-people')).toMatchObject({ fits: true, why: [{ code: 'arms-reach' }] });
  });

  it('inside a closed member is the bar that is pulled, and nothing else', () => {
    const found = ways(row, { closedMember: true });
    expect(found.chosen).toBe('remote-bar');
    expect(of(found, 'remote-bar')?.why).toEqual([{ code: 'closed-member' }]);
    for (const way of ['punch-dimpling', 'squeeze', 'back-rivet', 'buck', 'two-people'])
      expect(whyNot(found, way)?.[0], way).toBe('closed-member');
    const none = ways(row, { closedMember: true }, { wedgeBars: [] });
    expect(none.chosen).toBeNull();
    expect(of(none, 'remote-bar')?.why).toEqual([{ code: 'no-wedge-bar' }]);
  });

  it('is squeezed only where one yoke reaches every hole, and says how many it reaches', () => {
    const edges = { ...OPEN.edges, left: 0 };
    const near = run([hole(1, 0.5, 0.5), hole(2, 1, 0.5), hole(3, 4, 0.5)]);
    const yokes = [{ id: 'y', name: 'short yoke', throatIn: 1.625, gapIn: 1.4 }] as never;
    const some = ways(near, { edges }, { yokes });
    expect(of(some, 'squeeze')?.why).toEqual([
      { code: 'yoke-reaches-some', yoke: 'short yoke', holes: 2, of: 3 }
    ]);
    expect([...(some.reach?.from ?? [])]).toEqual([
      [1, 'left'],
      [2, 'left']
    ]);
    const all = ways(run([hole(1, 0.5, 0.5), hole(2, 1, 0.5)]), { edges }, { yokes });
    expect(all.chosen).toBe('squeeze');
    expect(of(all, 'squeeze')?.why).toEqual([
      { code: 'yoke-reaches', yoke: 'short yoke', holes: 2 }
    ]);
    const none = ways(near, { edges }, { yokes: [] });
    expect(none.reach).toBeNull();
    expect(whyNot(none, 'squeeze')).toEqual(['no-yoke-reaches']);
  });

  it('takes the yoke that reaches most, of equal ones the shorter', () => {
    const edges = { ...OPEN.edges, left: 0 };
    const near = run([hole(1, 0.5, 0.5), hole(2, 2, 0.5)]);
    const yoke = (name: string, throatIn: number) => ({ id: name, name, throatIn, gapIn: 1.4 });
    const best = (...yokes: object[]) =>
      ways(near, { edges }, { yokes: yokes as never }).reach?.yoke.name;
    expect(best(yoke('short', 1), yoke('long', 3))).toBe('long');
    expect(best(yoke('longest', 6), yoke('long', 3))).toBe('long');
    expect(best(yoke('long', 3), yoke('longest', 6))).toBe('long');
  });

  it('is back-riveted only face down, flush, on a plate, with its own set and a gun that has room', () => {
    const down = { faceDown: true };
    const found = ways(flush, down);
    expect(found.chosen).toBe('back-rivet');
    expect(of(found, 'back-rivet')?.why).toEqual([{ code: 'lies-face-down' }]);
    expect(whyNot(ways(flush), 'back-rivet')).toEqual(['cannot-lie']);
    expect(whyNot(ways(flush, down, { plate: false }), 'back-rivet')).toEqual(['no-plate']);
    const noBack = STARTING_TOOLS.sets.filter(({ kind }) => kind !== 'back');
    expect(whyNot(ways(flush, down, { sets: noBack }), 'back-rivet')).toEqual(['no-set']);
    expect(whyNot(ways(flush, down, { guns: [] }), 'back-rivet')).toEqual(['no-gun']);
    const tight = of(ways(flush, { ...down, shopRoomIn: 0.5 }), 'back-rivet');
    expect(tight?.why).toMatchObject([{ code: 'no-room', side: 'shop', roomIn: 0.5 }]);
  });

  it('needs gun, bar and set, and room for them on either side', () => {
    expect(whyNot(ways(row, {}, { guns: [] }), 'buck')).toEqual(['no-gun']);
    expect(whyNot(ways(row, {}, { bars: [] }), 'buck')).toEqual(['no-bar']);
    expect(whyNot(ways(row, {}, { sets: [] }), 'buck')).toEqual(['no-set']);
    expect(whyNot(ways(row, {}, { guns: [], bars: [], sets: [] }), 'two-people')).toEqual([
      'no-gun',
      'no-bar',
      'no-set'
    ]);
    const guns = STARTING_TOOLS.guns.filter(({ size }) => ['2X', '3X'].includes(size));
    const gunIn = Math.min(...guns.map(({ lengthIn }) => lengthIn));
    expect(of(ways(row, { headRoomIn: gunIn }), 'buck')?.fits).toBe(true);
    expect(of(ways(row, { headRoomIn: gunIn - 0.01 }), 'buck')?.why).toEqual([
      { code: 'no-room', side: 'head', roomIn: gunIn - 0.01, needIn: gunIn }
    ]);
    // the bar and what stands out of the rivet: 0.3125 − 0.1
    const bars = STARTING_TOOLS.bars.filter(({ weightLb }) => weightLb >= 3 && weightLb <= 4);
    const barIn = Math.min(...bars.map(({ heightIn }) => heightIn)) + 0.2125;
    expect(of(ways(row, { shopRoomIn: barIn }), 'buck')?.fits).toBe(true);
    expect(of(ways(row, { shopRoomIn: barIn - 0.01 }), 'buck')?.why).toMatchObject([
      { code: 'no-room', side: 'shop', roomIn: barIn - 0.01 }
    ]);
  });

  it('takes two where arms do not reach', () => {
    const found = ways(row, { armsReach: false });
    expect(found.chosen).toBe('two-people');
    expect(whyNot(found, 'buck')).toEqual(['arms-do-not-reach']);
    expect(of(found, 'two-people')?.why).toEqual([{ code: 'arms-do-not-reach' }]);
  });

  it('is neither where every set, or every bar, touches what stands up', () => {
    const wall = (on: 'head' | 'shop') => ({
      id: 'w',
      side: 'top' as const,
      insetIn: 0.45,
      heightIn: 1,
      on
    });
    for (const [on, tool] of [
      ['head', 'set'],
      ['shop', 'bar']
    ] as const) {
      const found = ways(row, { upstands: [wall(on)] });
      expect(of(found, 'buck')?.why).toEqual([{ code: 'touches', tool, holes: 3 }]);
      expect(found.chosen).toBeNull();
      const access = { ...OPEN, upstands: [wall(on)] };
      expect([...touchedOfRuns([row], OUTLINE, access, STARTING_TOOLS)]).toEqual([1, 2, 3]);
    }
    // squeezed or back-riveted, neither set nor bar is there
    const squeezed = {
      ...OPEN,
      edges: { ...OPEN.edges, top: 0 },
      upstands: [{ ...wall('head'), side: 'bottom' as const, insetIn: 3.45 }]
    };
    expect([...touchedOfRuns([row], OUTLINE, squeezed, STARTING_TOOLS)]).toEqual([]);
  });
});

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
