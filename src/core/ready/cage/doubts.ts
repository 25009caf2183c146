import { num } from '../../answer.ts';
import { CLICK_IN } from '../../stack/dimple-nest.ts';
import { above } from '../../units/tolerance.ts';
import { fittedLine, type TrialLine, type TrialPoint } from '../countersink-next.ts';
import type { TrialGroup } from './trials.ts';

export type DoubtKind = 'uneven' | 'off-line' | 'no-deeper' | 'too-steep' | 'from-deep' | 'ring';

/** Why readings are not to be believed as they stand. */
export interface Doubt {
  kind: DoubtKind;
  say: string;
  /** readings it points at */
  readings: string[];
}

/** Something that makes a cut or a reading false, and what to do. */
export interface FalseReading {
  key: string;
  cause: string;
  look: string;
  /** doubts that it explains */
  explains: readonly DoubtKind[];
}

/** The settings before this one contradict it: nothing is to be relied upon until it is known why. */
export const contradicts = (doubts: readonly Doubt[]): boolean =>
  doubts.some(({ kind }) => kind === 'off-line' || kind === 'no-deeper' || kind === 'too-steep');

/** Causes of false readings (handbook 4.4). */
export const FALSE_READINGS: readonly FalseReading[] = [
  {
    key: 'pilot',
    cause: 'The pilot touches the bench',
    look: 'Backing deeper than the pilot; then cut again.',
    explains: ['no-deeper', 'off-line']
  },
  {
    key: 'chuck',
    cause: 'The cage touches the chuck',
    look: 'Push the cutter’s shank further out of the chuck.',
    explains: ['no-deeper', 'off-line']
  },
  {
    key: 'ring',
    cause: 'The lock ring is loose',
    look: 'Tighten it; the setting may have wandered, so begin again from shallow.',
    explains: ['uneven', 'off-line', 'too-steep', 'no-deeper']
  },
  {
    key: 'film',
    cause: 'Film left on',
    look: 'Peel it, or say how thick it is.',
    explains: ['off-line', 'uneven']
  },
  {
    key: 'chips',
    cause: 'Chips under the cage',
    look: 'Blow it clean, press until no more chips come.',
    explains: ['uneven', 'off-line', 'no-deeper']
  },
  {
    key: 'pressure',
    cause: 'Uneven pressure',
    look: 'Square on, the same firm push each time.',
    explains: ['uneven', 'off-line', 'too-steep']
  },
  {
    key: 'deep',
    cause: 'A shiny ring round the rivet’s rim',
    look: 'Too deep already, whatever the gauge says.',
    explains: ['ring']
  }
];

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
      say: 'A shiny ring round the rim: too deep already.',
      readings: rings.map(({ id }) => id)
    });
  const turnedBack = groups.filter(({ fromDeep }) => fromDeep);
  if (turnedBack.length > 0)
    doubts.push({
      kind: 'from-deep',
      say: `${turnedBack.map(({ clicks }) => clicks).join(', ')} clicks reached by turning back: the thread’s play is on the wrong side. Not counted.`,
      readings: turnedBack.flatMap(ids)
    });
  for (const group of groups)
    if (group.uneven)
      doubts.push({
        kind: 'uneven',
        say: `At ${group.clicks} clicks the holes differ by ${num(group.proudestIn - group.deepestIn)} in, more than a click of ${CLICK_IN} in.`,
        readings: ids(group)
      });
  return [...doubts, ...lineDoubts(groups.filter(({ fromDeep }) => !fromDeep))];
}

function lineDoubts(groups: readonly TrialGroup[]): Doubt[] {
  const readings = groups.flatMap((group) => group.readings);
  const points: TrialPoint[] = readings;
  const line = points.length === 0 ? null : fittedLine(points);
  if (!line) return [];
  const clicks = points.map((point) => point.clicks);
  const apart = Math.max(...clicks) - Math.min(...clicks);
  const slope = -line.slopePerClickIn;
  const all = readings.map(({ id }) => id);
  if (apart >= CLICKS_FOR_SLOPE && !above(slope, LEAST_SLOPE_IN))
    return [
      {
        kind: 'no-deeper',
        say: `${apart} clicks changed the cut by ${num(slope)} in a click: it does not go deeper as it is set.`,
        readings: all
      }
    ];
  if (apart >= CLICKS_FOR_SLOPE && above(slope, MOST_SLOPE_IN))
    return [
      {
        kind: 'too-steep',
        say: `${num(slope)} in a click is more than two clicks’ worth: something gives way.`,
        readings: all
      }
    ];
  if (points.length < POINTS_FOR_LINE) return [];
  const off = readings.filter((reading) =>
    above(Math.abs(reading.flushIn - flushAt(line, reading.clicks)), CLICK_IN)
  );
  return off.length === 0
    ? []
    : [
        {
          kind: 'off-line',
          say: `${off.length} of ${readings.length} readings ${off.length === 1 ? 'lies' : 'lie'} more than a click off the line through all.`,
          readings: off.map(({ id }) => id)
        }
      ];
}
