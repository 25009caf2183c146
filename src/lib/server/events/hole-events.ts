import { holeStates, holeStream } from '../../../core/check/hole-events.ts';
import { driveStream } from '../../../core/driving/drive-events.ts';
import type { Database } from '../db/connect.ts';
import { frozenIssue } from './frozen-issue.ts';
import { keptStream } from './kept-stream.ts';
import { eventsOf } from './read.ts';
import { sinceIssued } from './since-issued.ts';
import { DRIVE_EVENTS, HOLE_EVENTS } from './tables.ts';

/** Looks at heads, held against the issue's frozen facts and what rework has made of them. */
export const holeEvents = keptStream({
  stream: holeStream,
  table: HOLE_EVENTS,
  missing: 'there is no such issue',
  order: 'free',
  async open(database, issueId) {
    const frozen = await frozenIssue(database, issueId);
    if (!frozen) return null;
    const since = await sinceIssued(database, issueId, frozen);
    const people =
      frozen.facts.rules?.checking === 'another'
        ? await drovePeople(database, issueId, { ...frozen, ...since })
        : undefined;
    return {
      subject: { ...frozen, ...since, people },
      state: holeStates([], []),
      sinceMs: frozen.issuedMs
    };
  }
});

/** Who drove the rivet in each hole, as far as taps have come in; what comes in later is held against it before a signature. */
async function drovePeople(
  database: Database,
  issueId: string,
  issue: Omit<Parameters<typeof driveStream.project>[0], 'batches'>
): Promise<ReadonlyMap<number, readonly string[]>> {
  const taps = await eventsOf(database, { stream: driveStream, table: DRIVE_EVENTS }, issueId);
  const { holes } = driveStream.project({ ...issue, batches: [] }, taps);
  return new Map([...holes].map(([hole, { people }]) => [hole, people]));
}
