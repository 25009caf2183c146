import { alloyFacts } from '../../../core/catalog/alloys.ts';
import { driveStream, NOT_DRIVEN } from '../../../core/driving/drive-events.ts';
import { rivetOfHole } from '../../../core/driving/rivet-of-hole.ts';
import { batchesOut } from './batches.ts';
import { frozenIssue } from './frozen-issue.ts';
import { callsOf } from './team-calls.ts';
import { keptStream } from './kept-stream.ts';
import { sinceIssued } from './since-issued.ts';
import { DRIVE_EVENTS } from './tables.ts';

/** Taps while driving, held against the issue and, where its rivets are driven cold, against the batches. */
export const driveEvents = keptStream({
  stream: driveStream,
  table: DRIVE_EVENTS,
  missing: 'there is no such issue',
  order: 'free',
  async open(database, issueId) {
    const frozen = await frozenIssue(database, issueId);
    if (!frozen) return null;
    const isCold = frozen.holes.some(
      (hole) => alloyFacts(rivetOfHole(frozen.facts, hole).alloy).cold !== null
    );
    const [batches, { clock, ...since }, calls] = await Promise.all([
      isCold ? batchesOut(database) : [],
      sinceIssued(database, issueId, frozen, 'drive'),
      callsOf(database, issueId)
    ]);
    return {
      subject: { ...frozen, ...since, batches, calls, releasedMs: frozen.issuedMs },
      state: NOT_DRIVEN,
      sinceMs: frozen.issuedMs,
      clock
    };
  }
});
