import { holeStates, holeStream } from '../../../core/inspect/hole-events.ts';
import { drivenNow, driveStream } from '../../../core/driving/drive-events.ts';
import { drivingOf } from '../../../core/releases/release-now.ts';
import type { ReworkState } from '../../../core/reworking/rework-state.ts';
import type { Database } from '../db/connect.ts';
import { frozenRelease } from './frozen-release.ts';
import { keptStream } from './kept-stream.ts';
import { eventsOf } from './read.ts';
import { sinceReleased } from './since-released.ts';
import { DRIVE_EVENTS, HOLE_EVENTS } from './tables.ts';

/** Looks at heads, held against the release's frozen facts and what rework has made of them. */
export const holeEvents = keptStream({
  stream: holeStream,
  table: HOLE_EVENTS,
  missing: 'there is no such release',
  order: 'free',
  async open(database, releaseId) {
    const frozen = await frozenRelease(database, releaseId);
    if (!frozen) return null;
    const { clock, ...since } = await sinceReleased(database, releaseId, frozen, 'hole');
    const people =
      frozen.facts.rules?.checking === 'another'
        ? await drovePeople(database, releaseId, frozen, since.rework)
        : undefined;
    return {
      subject: { ...frozen, ...since, people },
      state: holeStates([], []),
      sinceMs: frozen.releasedMs,
      clock
    };
  }
});

/** Who drove the rivet in each hole, as far as taps have come in; what comes in later is held against it before a signature. */
async function drovePeople(
  database: Database,
  releaseId: string,
  release: Parameters<typeof drivingOf>[0],
  rework: ReworkState
): Promise<ReadonlyMap<number, readonly string[]>> {
  const taps = await eventsOf(database, { stream: driveStream, table: DRIVE_EVENTS }, releaseId);
  return drivenNow(driveStream.project(drivingOf(release, rework, []), taps)).people;
}
