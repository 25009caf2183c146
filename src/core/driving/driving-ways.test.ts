import { describe, expect, it } from 'vitest';
import { IssuedFacts, type IssuedHole } from '../issue/issue.ts';
import type { Dash } from '../schema/fields.ts';
import type { DrivingAccess } from './access.ts';
import { STARTING_TOOLS, type DrivingTools } from '../drive/driving-tools.ts';
import { drivingWays, headsTouched } from './driving-ways.ts';
import { touches, yokeReach } from './reach.ts';
import { runTools } from './run-tools.ts';
import { rivetRuns } from './rivet-runs.ts';

const OUTLINE = { widthIn: 9, heightIn: 4 };
const OPEN: DrivingAccess = {
  edges: { left: null, right: null, top: null, bottom: null },
  upstands: [],
  headRoomIn: null,
  shopRoomIn: null,
  faceDown: false,
  armsReach: true,
  closedMember: false,
  member: null
};
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
