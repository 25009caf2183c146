import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { blocksOf, printOf, stoppedUpTo } from './blocks';

const lap = (thick: string[], change: object = {}) =>
  planned(
    definition('lap', thick, {
      widthIn: '7 3/16',
      dash: 4,
      perInch: '2',
      perInchReason: 'own sheet',
      ...change
    } as never)
  );
const told = (plan: ReturnType<typeof planned>) =>
  blocksOf(plan).map((block) => [
    block.station,
    block.by === 'stop' ? block.warning.said.code : block.refusal.said.code
  ]);

describe('what keeps a joint from going on', () => {
  it('is nothing where nothing stops it, though there is something to look at', () => {
    const plan = lap(['0.050', '0.040'], { head: 'countersunk' });
    expect(plan.warnings.some(({ level }) => level === 'attention')).toBe(true);
    expect(blocksOf(plan)).toEqual([]);
  });

  it('is a knife edge at Stack', () => {
    expect(told(lap(['0.040', '0.040'], { head: 'countersunk', dash: 5 }))).toEqual([
      ['stack-up', 'knife-edge']
    ]);
  });

  it('is where it began, in the order of the work', () => {
    // more rivets an inch than least pitches, and a head deeper than its sheet
    const both = lap(['0.040', '0.040'], { head: 'countersunk', dash: 5, rows: 1, perInch: '9' });
    expect(told(both).map(([station]) => station)).toEqual(['layout', 'stack-up']);
    expect(blocksOf(both)[0]).toMatchObject({ station: 'layout', by: 'refusal' });
    const reached = (['size', 'layout', 'stack-up'] as const).map((station) =>
      stoppedUpTo(blocksOf(both), station)
    );
    expect(reached).toEqual([false, true, true]);
  });

  it('tells a stack without a rivet once', () => {
    // 2 in held: no rivet is so long
    const plan = lap(Array.from({ length: 8 }, () => '0.25'));
    const atStack = blocksOf(plan).filter(({ station }) => station === 'stack-up');
    expect(plan.stacks.some(({ length }) => !length.ok)).toBe(true);
    expect(atStack.every(({ by }) => by === 'stop')).toBe(true);
    expect(atStack.length).toBeGreaterThan(0);
  });
});

describe('the print of a station', () => {
  const before = lap(['0.050', '0.040']);
  const differs = (after: ReturnType<typeof planned>) =>
    (['size', 'layout', 'stack-up'] as const).filter(
      (station) => printOf(before, station) !== printOf(after, station)
    );
  it.each([
    ['a clearance that nothing asks for', { toolClearanceIn: '0.3' }, []],
    // as many holes, elsewhere
    ['a width', { widthIn: '7 1/4' }, ['layout']],
    ['one more rivet', { perInch: '2.2' }, ['size', 'layout', 'stack-up']],
    ['another head', { head: 'countersunk' }, ['layout', 'stack-up']],
    ['another size', { dash: 5 }, ['size', 'layout', 'stack-up']],
    ['another alloy', { alloy: 'DD' }, ['stack-up']],
    // the same answers, with something to look at that was not there
    ['another source of the same figure', { perInchReason: 'sheet QR 9' }, ['size']],
    ['a wider edge distance', { edgeIn: '3/8' }, ['layout']]
  ])('after %s', (_, change, stations) => {
    expect(differs(lap(['0.050', '0.040'], change))).toEqual(stations);
  });

  it('tells a sheet that takes the same rivet from the one before', () => {
    expect(differs(lap(['0.050', '0.041']))).toEqual(['stack-up']);
  });
});
