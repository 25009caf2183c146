import { describe, expect, it } from 'vitest';
import { runStatistics, runWork } from './run-statistics';

const LIMITS = { low: 1.3, high: 1.75 };
const rules = (values: number[], centre?: number) =>
  runStatistics(values, LIMITS, centre).warnings.map(({ rule, first, last }) => [
    rule,
    first,
    last
  ]);

describe('a run of heads', () => {
  it('has the mean and spread of any statistics book', () => {
    // 1.4, 1.5, 1.6: mean 1.5, sample spread 0.1; nearer limit is 0.2 away
    const { mean, spread, capability, withinShare } = runStatistics([1.4, 1.5, 1.6], LIMITS);
    expect(mean).toBeCloseTo(1.5, 12);
    expect(spread).toBeCloseTo(0.1, 12);
    expect(capability).toBeCloseTo(0.2 / 0.3, 12);
    expect(withinShare).toBe(1);
  });

  it('counts the limits as inside', () => {
    expect(runStatistics([1.3, 1.75, 1.29, 1.76], LIMITS).withinShare).toBe(0.5);
  });

  it('has nothing to say about nothing, and no spread of one', () => {
    expect(runStatistics([], LIMITS)).toMatchObject({ count: 0, spread: null, warnings: [] });
    expect(runStatistics([1.5], LIMITS)).toMatchObject({
      mean: 1.5,
      spread: null,
      capability: null
    });
    expect(runStatistics([1.5, 1.5], LIMITS)).toMatchObject({ spread: 0, capability: null });
  });

  it('is held against the nearer limit, whichever that is', () => {
    // 1.35, 1.40, 1.45: the low limit is 0.1 away, the high one 0.35
    expect(runStatistics([1.35, 1.4, 1.45], LIMITS).capability).toBeCloseTo(0.1 / 0.15, 12);
    // 1.60, 1.65, 1.70: the high one is 0.1 away
    expect(runStatistics([1.6, 1.65, 1.7], LIMITS).capability).toBeCloseTo(0.1 / 0.15, 12);
  });

  it('is centred on its own mean where no other centre is given', () => {
    // seven just over the mean and one far under it
    const values = [1.5, 1.5, 1.5, 1.5, 1.5, 1.5, 1.5, 1.35];
    expect(rules(values)).toEqual([['seven-one-side', 0, 6]]);
    expect(rules(values, 1.6)).toEqual([['seven-one-side', 0, 7]]);
  });

  it('calls out a point beyond the limits', () => {
    expect(rules([1.5, 1.8, 1.5])).toEqual([['beyond-limits', 1, 1]]);
    expect(rules([1.5, 1.2, 1.25, 1.5])).toEqual([['beyond-limits', 1, 2]]);
  });

  it('calls out seven on one side, not six', () => {
    const up = [1.52, 1.51, 1.53, 1.51, 1.52, 1.51];
    expect(rules([1.48, ...up, 1.48], 1.5)).toEqual([]);
    expect(rules([1.48, ...up, 1.52, 1.48], 1.5)).toEqual([['seven-one-side', 1, 7]]);
    expect(rules([1.5, ...up], 1.5)).toEqual([]);
  });

  it('calls out six steadily rising or falling, not five', () => {
    expect(rules([1.5, 1.49, 1.48, 1.47, 1.46])).toEqual([]);
    expect(rules([1.5, 1.49, 1.48, 1.47, 1.46, 1.45])).toEqual([['six-falling', 0, 5]]);
    expect(rules([1.5, 1.42, 1.44, 1.46, 1.48, 1.5, 1.52, 1.5])).toEqual([['six-rising', 1, 6]]);
    // a level step breaks the run
    expect(rules([1.42, 1.44, 1.46, 1.46, 1.48, 1.5])).toEqual([]);
  });
});

it('opens mean and spread to their arithmetic', () => {
  const values = [1.4, 1.5, 1.6];
  const work = runWork(values, runStatistics(values, { low: 1.3, high: 1.75 }));
  // 4.5 / 3; √((0.01 + 0 + 0.01) / 2)
  expect(work.map(({ label, value }) => [label, Number(Number(value).toFixed(9))])).toEqual([
    ['mean', 1.5],
    ['spread', 0.1]
  ]);
  expect(work[0]?.formula).toContain('4.5 / 3');
  expect(work[1]?.formula).toContain('0.02 / 2');
  expect(runWork([1.5], runStatistics([1.5], { low: 1.3, high: 1.75 }))).toEqual([]);
});
