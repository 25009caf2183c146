import { CLICK_IN } from '../../stack/dimple-nest.ts';
import { above } from '../../units/tolerance.ts';
import { lineThrough, type TrialGroup, type TrialLine } from './trials.ts';

/** Why readings are not to be believed as they stand; lengths in inches. */
type DoubtSaid =
  | { kind: 'ring' }
  | { kind: 'from-deep'; clicks: number[] }
  | { kind: 'uneven'; clicks: number; apartIn: number; clickIn: number }
  | { kind: 'no-deeper'; clicks: number; slopeIn: number }
  | { kind: 'too-steep'; slopeIn: number }
  | { kind: 'off-line'; off: number; of: number };

export type DoubtKind = DoubtSaid['kind'];

/** A doubt with the readings it points at. */
export type Doubt = DoubtSaid & { readings: string[] };

/** What makes a cut or a reading false (prepare), with the doubts that each explains. */
export const FALSE_READINGS = {
  pilot: ['no-deeper', 'off-line'],
  chuck: ['no-deeper', 'off-line'],
  'lock-ring': ['uneven', 'off-line', 'too-steep', 'no-deeper'],
  film: ['off-line', 'uneven'],
  chips: ['uneven', 'off-line', 'no-deeper'],
  pressure: ['uneven', 'off-line', 'too-steep'],
  deep: ['ring']
} as const satisfies Record<string, readonly DoubtKind[]>;

export type FalseReading = keyof typeof FALSE_READINGS;

/** Those that would explain what was doubted. */
export const explaining = (doubts: readonly Doubt[]): FalseReading[] =>
  (Object.entries(FALSE_READINGS) as [FalseReading, readonly DoubtKind[]][])
    .filter(([, explains]) => doubts.some(({ kind }) => explains.includes(kind)))
    .map(([key]) => key);

/** The settings before this one contradict it: nothing is to be relied upon until it is known why. */
export const contradicts = (doubts: readonly Doubt[]): boolean =>
  doubts.some(({ kind }) => kind === 'off-line' || kind === 'no-deeper' || kind === 'too-steep');

/** A line of less than half a click a click does not go deeper; one of two clicks a click is no cage. */
const LEAST_SLOPE_IN = 0.5 * CLICK_IN;
const MOST_SLOPE_IN = 2 * CLICK_IN;
/** Over fewer clicks the noise of reading hides the slope. */
const CLICKS_FOR_SLOPE = 3;
const POINTS_FOR_LINE = 3;

const flushAt = (line: TrialLine, clicks: number): number =>
  line.flushIn + (clicks - line.clicks) * line.slopePerClickIn;

/** @returns what does not fit, gravest first; empty where the readings agree with each other */
export function doubtsOf(groups: readonly TrialGroup[]): Doubt[] {
  const doubts: Doubt[] = [];
  const ids = (group: TrialGroup): string[] => group.readings.map(({ id }) => id);
  const rings = groups.flatMap((group) => group.readings).filter(({ ring }) => ring);
  if (rings.length > 0)
    doubts.push({
      kind: 'ring',
      readings: rings.map(({ id }) => id)
    });
  const turnedBack = groups.filter(({ fromDeep }) => fromDeep);
  if (turnedBack.length > 0)
    doubts.push({
      kind: 'from-deep',
      clicks: turnedBack.map(({ clicks }) => clicks),
      readings: turnedBack.flatMap(ids)
    });
  for (const group of groups)
    if (group.uneven)
      doubts.push({
        kind: 'uneven',
        clicks: group.clicks,
        apartIn: group.proudestIn - group.deepestIn,
        clickIn: CLICK_IN,
        readings: ids(group)
      });
  return [...doubts, ...lineDoubts(groups.filter(({ fromDeep }) => !fromDeep))];
}

function lineDoubts(groups: readonly TrialGroup[]): Doubt[] {
  const readings = groups.flatMap((group) => group.readings);
  const line = readings.length === 0 ? null : lineThrough(readings);
  if (!line) return [];
  const clicks = readings.map((reading) => reading.clicks);
  const apart = Math.max(...clicks) - Math.min(...clicks);
  const slope = -line.slopePerClickIn;
  const all = readings.map(({ id }) => id);
  if (apart >= CLICKS_FOR_SLOPE && !above(slope, LEAST_SLOPE_IN))
    return [
      {
        kind: 'no-deeper',
        clicks: apart,
        slopeIn: slope,
        readings: all
      }
    ];
  if (apart >= CLICKS_FOR_SLOPE && above(slope, MOST_SLOPE_IN))
    return [
      {
        kind: 'too-steep',
        slopeIn: slope,
        readings: all
      }
    ];
  if (readings.length < POINTS_FOR_LINE) return [];
  const off = readings.filter((reading) =>
    above(Math.abs(reading.flushIn - flushAt(line, reading.clicks)), CLICK_IN)
  );
  return off.length === 0
    ? []
    : [
        {
          kind: 'off-line',
          off: off.length,
          of: readings.length,
          readings: off.map(({ id }) => id)
        }
      ];
}
