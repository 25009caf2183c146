import { alloyFacts } from '../../../core/catalog/alloys.ts';
import { driveStream, NOT_DRIVEN } from '../../../core/driving/drive-events.ts';
import { rivetOfHole } from '../../../core/driving/rivet-of-hole.ts';
import { batchesOut } from './batches.ts';
import { frozenRelease } from './frozen-release.ts';
import { callsOf } from './team-calls.ts';
import { keptStream } from './kept-stream.ts';
import { sinceReleased } from './since-released.ts';
import { DRIVE_EVENTS } from './tables.ts';

/** Taps while driving, held against the release and, where its rivets are driven cold, against the batches. */
export const driveEvents = keptStream({
  stream: driveStream,
  table: DRIVE_EVENTS,
  missing: 'there is no such release',
  order: 'free',
  async open(database, releaseId) {
    const frozen = await frozenRelease(database, releaseId);
    if (!frozen) return null;
    const isCold = frozen.holes.some(
      (hole) => alloyFacts(rivetOfHole(frozen.facts, hole).alloy).cold !== null
    );
    const [batches, { clock, ...since }, calls] = await Promise.all([
      isCold ? batchesOut(database) : [],
      sinceReleased(database, releaseId, frozen, 'drive'),
      callsOf(database, releaseId)
    ]);
    return {
      subject: { ...frozen, ...since, batches, calls, releasedMs: frozen.releasedMs },
      state: NOT_DRIVEN,
      sinceMs: frozen.releasedMs,
      clock
    };
  }
});
