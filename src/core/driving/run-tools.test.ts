import { describe, expect, it } from 'vitest';
import { OPEN } from '../../../tests/support/open-access.ts';
import { ReleasedFacts, type ReleasedHole } from '../release/release.ts';
import type { DrivingTools } from '../drive/driving-tools.ts';
import type { Upstand } from './access.ts';
import type { RunReach } from './driving-ways.ts';
import { rivetRuns } from './rivet-runs.ts';
import { runTools } from './run-tools.ts';

const OUTLINE = { widthIn: 9, heightIn: 4 };
const hole = (number: number, yIn: number, gripIn = 0.1): ReleasedHole => ({
  number,
  row: 1,
  xIn: number,
  yIn,
  markIn: number,
  stack: 0,
  dash: 4,
  gripIn,
  room: null
});
const runOf = ({
  head = 'universal',
  part = 'MS20470AD4-5',
  dimpledThrough = false,
  holes = [hole(1, 0.5), hole(2, 0.8)]
} = {}) => {
  const size = { dash: 4 as const, partNumber: part, lengthIn: 0.3125, holeIn: 0.1285 };
  const facts = ReleasedFacts.parse({
    ...size,
    head,
    gripIn: 0.1,
    widthIn: 9,
    overlapIn: 4,
    limits: 'standard',
    predictedIn3: null,
    stacks: [{ name: 'lap', ...size, dimpledThrough }]
  });
  const [run] = rivetRuns({ facts, holes });
  if (!run) throw new Error('no run');
  return run;
};
const set = (name: string, kind: 'cup' | 'flush' | 'back', acrossIn: number, radiusIn = 0.3) => ({
  ...{ id: name, name, kind, dash: kind === 'cup' ? (4 as const) : null, acrossIn, radiusIn },
  rim: 'plain' as const
});
const bar = (name: string, weightLb: number, radiusIn: number) => ({
  ...{ id: name, name, weightLb, radiusIn, heightIn: 1 }
});
const TOOLS: DrivingTools = {
  guns: [{ id: 'g', name: 'gun B', size: '3X', lengthIn: 9 }],
  // dash 4 has a universal head 0.25 wide
  sets: [set('cup A', 'cup', 0.25), set('cup B', 'cup', 0.26), set('back A', 'back', 0.5)],
  bars: [bar('bar A', 3.2, 0.4)],
  squeezers: [
    ...[{ id: 's', name: 'squeezer A', powered: true, forceLb: 6000 }].map((one) => ({
      ...one,
      turnIn: 0.05,
      divisionsPerTurn: 8
    }))
  ],
  yokes: [],
  wedgeBars: [],
  plate: true
};
const NONE: DrivingTools = { ...TOOLS, guns: [], sets: [], bars: [], squeezers: [] };
const tools = (
  way: Parameters<typeof runTools>[1],
  { run = runOf(), have = TOOLS, upstands = [] as Upstand[], reach = null as RunReach | null } = {}
) => runTools(run, way, reach, OUTLINE, { ...OPEN, upstands }, have);
const of = (needs: ReturnType<typeof tools>, tool: string) =>
  needs.filter((need) => need.tool === tool);

describe('what a run is driven with', () => {
  it('is gun, air, set, bar and burst; a cup no wider than the head is none', () => {
    expect(tools('buck')).toEqual([
      { tool: 'gun', have: 'gun B', sizes: ['2X', '3X'] },
      { tool: 'air', leastPsi: 35, mostPsi: 45 },
      {
        tool: 'set',
        kind: 'cup',
        have: { name: 'cup B', acrossIn: 0.26, rim: 'plain' },
        headIn: 0.25
      },
      { tool: 'bar', have: { name: 'bar A', weightLb: 3.2 }, leastLb: 3, mostLb: 4 },
      { tool: 'burst', leastS: 1, mostS: 1.5 }
    ]);
  });

  it('says what the shop has not', () => {
    const [gun, air, cup, bucking] = tools('buck', { have: NONE });
    expect(gun).toMatchObject({ have: null, sizes: ['2X', '3X'] });
    expect(air).toEqual({ tool: 'air', leastPsi: 35, mostPsi: 45 });
    expect([cup, bucking]).toMatchObject([
      { have: null, headIn: 0.25 },
      { have: null, leastLb: 3, mostLb: 4 }
    ]);
    expect(tools('squeeze', { have: NONE }).slice(0, 2)).toMatchObject([
      { tool: 'squeezer', have: null },
      { tool: 'yoke', have: null, throatIn: null }
    ]);
    expect(of(tools('back-rivet', { have: NONE }), 'set')).toMatchObject([
      { kind: 'back', have: null }
    ]);
    expect(of(tools('remote-bar', { have: NONE }), 'wedge-bar')).toEqual([
      { tool: 'wedge-bar', have: null }
    ]);
  });

  it('has a flush face for a flush head, as narrow as one likes', () => {
    const run = runOf({ head: 'countersunk', part: 'MS20426AD4-5' });
    const have = { ...TOOLS, sets: [set('face', 'flush', 0.2)] };
    expect(of(tools('buck', { run, have }), 'set')).toMatchObject([
      { kind: 'flush', have: { name: 'face' } }
    ]);
  });

  it('stands clear of what stands up beside any of its holes, on its own side', () => {
    // from the upper edge: the nearer hole is 0.5 below it
    const wall = (on: 'head' | 'shop'): Upstand[] => [
      { id: 'w', side: 'top', insetIn: 0, heightIn: 1, on }
    ];
    const have = {
      ...TOOLS,
      sets: [set('wide', 'cup', 0.26, 0.51), set('slim', 'cup', 0.27, 0.5)],
      bars: [bar('wide bar', 3.1, 0.51), bar('slim bar', 3.3, 0.5)]
    };
    const names = (upstands: Upstand[]) =>
      tools('buck', { have, upstands }).flatMap((need) =>
        'have' in need && typeof need.have === 'object' ? [need.have?.name ?? null] : []
      );
    expect(names([])).toEqual(['wide', 'wide bar']);
    expect(names(wall('head'))).toEqual(['slim', 'wide bar']);
    expect(names(wall('shop'))).toEqual(['wide', 'slim bar']);
    const none = { ...have, sets: have.sets.slice(0, 1), bars: have.bars.slice(0, 1) };
    expect(of(tools('buck', { have: none, upstands: wall('head') }), 'set')).toMatchObject([
      { have: null }
    ]);
    // two rivets whose heads stand against each other are the set's own matter
    const close = runOf({ holes: [hole(1, 0.5), { ...hole(2, 0.5), xIn: 1.3 }] });
    expect(of(tools('buck', { run: close }), 'set')).toMatchObject([{ have: { name: 'cup B' } }]);
  });

  it('is, driven from behind, the gun with a back set, tape and the plate', () => {
    expect(tools('back-rivet').map(({ tool }) => tool)).toEqual([
      ...['gun', 'air', 'set', 'tape', 'plate', 'burst']
    ]);
    expect(of(tools('back-rivet'), 'set')).toMatchObject([
      { kind: 'back', have: { name: 'back A', acrossIn: 0.5 } }
    ]);
  });

  it('dimples first where the rivet is the punch, and has a wedge for a bar inside a member', () => {
    expect(tools('punch-dimpling').map(({ tool }) => tool)).toEqual([
      ...['dimple-set', 'gun', 'air', 'set', 'bar', 'burst']
    ]);
    const wedge = { id: 'w', name: 'wedge A', barIn: 1, risePerIn: 0.1, travelIn: 3, shimsIn: [] };
    const inside = tools('remote-bar', { have: { ...TOOLS, wedgeBars: [wedge] } });
    expect(inside.map(({ tool }) => tool)).toEqual(['wedge-bar', 'gun', 'air', 'set', 'burst']);
    expect(inside[0]).toEqual({ tool: 'wedge-bar', have: 'wedge A' });
  });
});

describe('what a run is squeezed with', () => {
  const yoke = { id: 'y', name: 'yoke A', throatIn: 1.7, gapIn: 1.4 };
  it('is a squeezer with its force, the yoke that reaches, and the closed gap', () => {
    const [squeezer, arm, gap] = tools('squeeze', { reach: { yoke, from: new Map() } });
    expect(squeezer).toEqual({
      tool: 'squeezer',
      have: 'squeezer A',
      force: { lb: 2000, estimated: false }
    });
    expect(arm).toEqual({ tool: 'yoke', have: 'yoke A', throatIn: 1.7 });
    // head 0.054 + grip 0.1 + half of 1/8
    expect(gap).toMatchObject({ tool: 'gap' });
    if (gap?.tool !== 'gap') throw new Error('no gap');
    expect([gap.leastIn, gap.mostIn].map((one) => Number(one.toFixed(6)))).toEqual([
      0.2165, 0.2165
    ]);
    expect(gap.work.map(({ key }) => key)).toHaveLength(2);
  });

  it('is a gap for each end of the grips, and further open by a dimple that stands out behind', () => {
    const holes = [hole(1, 0.5, 0.08), hole(2, 0.5, 0.12)];
    const [, , gap] = tools('squeeze', { run: runOf({ holes }) });
    if (gap?.tool !== 'gap') throw new Error('no gap');
    expect([gap.leastIn, gap.mostIn].map((one) => Number(one.toFixed(6)))).toEqual([
      0.1965, 0.2365
    ]);
    expect(gap.work).toHaveLength(4);
    const flush = { head: 'countersunk', part: 'MS20426AD4-5', holes };
    const [, , dimpled] = tools('squeeze', { run: runOf({ ...flush, dimpledThrough: true }) });
    if (dimpled?.tool !== 'gap') throw new Error('no gap');
    // no head above the sheet: 0.08 + 1/16, and a flush head of dash 4 is 0.042 deep
    expect([dimpled.leastIn, dimpled.mostIn].map((one) => Number(one.toFixed(6)))).toEqual([
      0.1845, 0.2245
    ]);
    expect(dimpled.work).toHaveLength(5);
    expect(dimpled.work.at(-1)?.value).toBeCloseTo(0.2245, 9);
  });
});
