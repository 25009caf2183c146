import { median } from '../units/median.ts';
import type { DriveEvent } from './drive-events.ts';

/** Rivets further apart than this have a pause between them: it tells nothing of the pace. */
const PAUSE_S = 180;
/** Nobody drives faster: taps nearer than this log what was driven before. */
const FASTEST_S = 2;
/** So many of the latest tell the pace as it is now. */
const LATEST = 12;

export interface Pace {
  /** seconds from one rivet to the next, the middle of the latest */
  perRivetS: number;
  /** how many gaps it rests on */
  gaps: number;
}

/**
 * The pace of driving as logged: the middle of the latest gaps between different rivets, pauses left out.
 *
 * @param events of one release or several, in any order; whole rows logged in one instant give no gap
 * @returns null before two rivets were logged one after the other
 * @throws never
 */
export function paceOf(events: readonly DriveEvent[]): Pace | null {
  const taps = events
    .flatMap((event) =>
      event.kind === 'driven' ? [{ atS: Date.parse(event.at) / 1000, hole: event.hole }] : []
    )
    .sort((a, b) => a.atS - b.atS);
  const gaps = taps.slice(1).flatMap(({ atS, hole }, at) => {
    const before = taps[at];
    const gapS = before ? atS - before.atS : 0;
    return before && before.hole !== hole && gapS >= FASTEST_S && gapS <= PAUSE_S ? [gapS] : [];
  });
  const latest = gaps.slice(-LATEST);
  return latest.length === 0 ? null : { perRivetS: median(latest), gaps: latest.length };
}

/** Fewer gaps than these are chance: nobody takes rivets out of the cold by them. */
const GAPS_TO_RELY_ON = 3;

/** Seconds a rivet, where so many were logged that one may reckon with it; else null. */
export const steadyPaceS = (pace: Pace | null): number | null =>
  pace !== null && pace.gaps >= GAPS_TO_RELY_ON ? pace.perRivetS : null;
