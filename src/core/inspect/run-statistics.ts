import { num, workLine, type WorkLine } from '../answer.ts';
import { above, below } from '../units/tolerance.ts';

/** What a run of readings says about the setting, for one measure; all in D. */
export interface RunStatistics {
  count: number;
  mean: number;
  /** sample standard deviation; null for fewer than two readings */
  spread: number | null;
  /** share inside the limits, 0 to 1 */
  withinShare: number;
  /** distance of the mean from its nearer limit in three spreads; null without a spread */
  capability: number | null;
  warnings: RunWarning[];
}

/** A pattern that says the setting moved; indices are 0-based and inclusive. */
export interface RunWarning {
  rule: 'beyond-limits' | 'seven-one-side' | 'six-rising' | 'six-falling';
  first: number;
  last: number;
}

const ONE_SIDE = 7;
const STEADY = 6;

/** Stretches of at least `least` readings over which `holds(previous, here)` keeps holding. */
function stretches(
  values: readonly number[],
  least: number,
  startsAlone: boolean,
  holds: (index: number) => boolean
): { first: number; last: number }[] {
  const found: { first: number; last: number }[] = [];
  let first = -1;
  for (let index = 0; index <= values.length; index++) {
    const going = index < values.length && holds(index);
    // A rise needs the reading before it; a side of the centre does not.
    if (going && first < 0) first = startsAlone ? index : index - 1;
    if (!going && first >= 0) {
      if (index - first >= least) found.push({ first, last: index - 1 });
      first = -1;
    }
  }
  return found;
}

/**
 * Statistics of a run of head diameters or heights, in D so that sizes mix.
 *
 * @param valuesD in the order measured
 * @param limits the window, in D, limits included
 * @param centreD what "one side" is told from; without it the run's own mean
 * @source inspect (run rules): a point beyond limits, seven on one side, six steadily rising or falling
 */
export function runStatistics(
  valuesD: readonly number[],
  limits: { low: number; high: number },
  centreD?: number
): RunStatistics {
  const count = valuesD.length;
  if (count === 0)
    return { count, mean: 0, spread: null, withinShare: 0, capability: null, warnings: [] };
  const mean = valuesD.reduce((sum, value) => sum + value, 0) / count;
  const squares = valuesD.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const spread = count < 2 ? null : Math.sqrt(squares / (count - 1));
  const outside = (value: number) => below(value, limits.low) || above(value, limits.high);
  const centre = centreD ?? mean;
  const at = (index: number) => valuesD[index] ?? NaN;
  const warn = (rule: RunWarning['rule'], found: { first: number; last: number }[]) =>
    found.map((stretch): RunWarning => ({ rule, ...stretch }));
  return {
    count,
    mean,
    spread,
    withinShare: valuesD.filter((value) => !outside(value)).length / count,
    capability:
      spread === null || spread === 0
        ? null
        : Math.min(limits.high - mean, mean - limits.low) / (3 * spread),
    warnings: [
      ...warn(
        'beyond-limits',
        stretches(valuesD, 1, true, (index) => outside(at(index)))
      ),
      ...warn('seven-one-side', [
        ...stretches(valuesD, ONE_SIDE, true, (index) => above(at(index), centre)),
        ...stretches(valuesD, ONE_SIDE, true, (index) => below(at(index), centre))
      ]),
      ...warn(
        'six-rising',
        stretches(valuesD, STEADY, false, (index) => index > 0 && above(at(index), at(index - 1)))
      ),
      ...warn(
        'six-falling',
        stretches(valuesD, STEADY, false, (index) => index > 0 && below(at(index), at(index - 1)))
      )
    ]
  };
}

/** How mean and spread of a run come about; empty for fewer than two readings. */
export function runWork(valuesD: readonly number[], { mean, spread }: RunStatistics): WorkLine[] {
  if (spread === null) return [];
  const count = valuesD.length;
  const sum = valuesD.reduce((all, value) => all + value, 0);
  const squares = valuesD.reduce((all, value) => all + (value - mean) ** 2, 0);
  return [
    workLine('mean', `sum of the readings / how many = ${num(sum)} / ${count}`, mean, 'D'),
    workLine(
      'spread',
      `√(sum of (reading − mean)² / (how many − 1)) = √(${num(squares)} / ${count - 1})`,
      spread,
      'D'
    )
  ];
}
