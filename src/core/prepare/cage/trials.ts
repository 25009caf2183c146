import { z } from 'zod';
import { lengthIn } from '../../schema/fields.ts';
import { CLICK_IN } from '../../stack/dimple-nest.ts';
import { fittedLine } from '../../units/fitted-line.ts';
import { above } from '../../units/tolerance.ts';

const FURTHEST_IN = 0.2;
const MOST_CLICKS = 2000;

export const Clicks = z
  .int('clicks are whole')
  .min(-MOST_CLICKS, `at least ${-MOST_CLICKS} clicks`)
  .max(MOST_CLICKS, `at most ${MOST_CLICKS} clicks`);
/** Head height over (+) or under (−) the skin, as read. */
export const Flushness = lengthIn('the flushness', { least: -FURTHEST_IN, most: FURTHEST_IN });

/** One trial hole: the setting it was cut at and what was read. */
export interface TrialReading {
  id: string;
  clicks: number;
  /** as read, film and all; in */
  flushnessIn: number;
  /** the cage was backed off past its play and came up to this setting */
  cameUp: boolean;
  /** a shiny ring round the rivet's rim */
  ring: boolean;
}

/** A straight line of flushness over clicks: where it passes, and its slope in inches a click. */
export interface TrialLine {
  clicks: number;
  flushIn: number;
  slopePerClickIn: number;
}

/** The least-squares line of some trials, or null with fewer than two different settings. */
export function lineThrough(
  trials: readonly { clicks: number; flushIn: number }[]
): TrialLine | null {
  const line = fittedLine(trials.map(({ clicks, flushIn }) => ({ at: clicks, valueIn: flushIn })));
  return line && { clicks: line.at, flushIn: line.valueIn, slopePerClickIn: line.slopeIn };
}

/** Holes cut one after another at one setting. */
export interface TrialGroup {
  clicks: number;
  /** reached by turning back: the play of the thread is on the wrong side, so it says nothing about the setting */
  fromDeep: boolean;
  readings: (TrialReading & { flushIn: number })[];
  deepestIn: number;
  proudestIn: number;
  /** further apart than one click */
  uneven: boolean;
}

/**
 * Trials by setting in the order they were cut, on the bare work. Once turned back, every setting below the deepest one
 * had since is on the wrong side of the thread's play, until one backs off past it and comes up.
 *
 * @param raisedIn how much prouder than read a head stands on the bare work, in
 * @returns also the deepest setting since one last came up from below: whatever is under it now is turned back
 */
export function readTrials(
  readings: readonly TrialReading[],
  raisedIn: number
): { groups: TrialGroup[]; deepestClicks: number | null } {
  const groups: TrialGroup[] = [];
  let deepestClicks: number | null = null;
  for (const reading of readings) {
    const flushIn = reading.flushnessIn + raisedIn;
    const fromDeep = reading.clicks < (deepestClicks ?? -Infinity) && !reading.cameUp;
    deepestClicks = reading.cameUp
      ? reading.clicks
      : Math.max(deepestClicks ?? -Infinity, reading.clicks);
    let group = groups.at(-1);
    if (group?.clicks !== reading.clicks || group.fromDeep !== fromDeep) {
      group = {
        clicks: reading.clicks,
        fromDeep,
        readings: [],
        deepestIn: flushIn,
        proudestIn: flushIn,
        uneven: false
      };
      groups.push(group);
    }
    group.readings.push({ ...reading, flushIn });
    group.deepestIn = Math.min(group.deepestIn, flushIn);
    group.proudestIn = Math.max(group.proudestIn, flushIn);
    group.uneven = above(group.proudestIn - group.deepestIn, CLICK_IN);
  }
  return { groups, deepestClicks };
}
