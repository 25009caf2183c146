import { describe, expect, it } from 'vitest';
import { OPEN } from '../../../tests/support/open-access.ts';
import { STARTING_TOOLS } from '../drive/driving-tools.ts';
import { drivingWays, touchedOfRuns } from './driving-ways.ts';
import { runTools } from './run-tools.ts';
import { hole, OUTLINE, run, ways, whyNot } from '../../../tests/support/driving-runs.ts';

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
