import type { RefusalSaid } from '../refusal-said.ts';
import { sinceOf, type ReworkState } from '../reworking/rework-state.ts';
import type { DriveMove } from './drive-move.ts';

/**
 * The earliest time that the rivet in a hole may be stated to have been driven at, ms: it went in after the release, and after
 * the rivet before it came out.
 */
export const earliestStatedMs = (rework: ReworkState, hole: number, releasedMs: number): number =>
  Math.max(releasedMs, sinceOf(rework).get(hole) ?? -Infinity);

/** What is wrong with the time that a rivet is stated to have been driven at; null where nothing is, or none is stated. */
export function statedWrong(
  { stated, hole, at }: Extract<DriveMove, { kind: 'driven' }>,
  rework: ReworkState,
  releasedMs: number
): RefusalSaid | null {
  if (stated === undefined) return null;
  const ms = Date.parse(stated);
  if (ms > Date.parse(at)) return { code: 'stated-after-entry', hole };
  return ms < earliestStatedMs(rework, hole, releasedMs)
    ? { code: 'stated-too-early', hole }
    : null;
}
