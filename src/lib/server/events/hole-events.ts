import { holeStates, holeStream } from '../../../core/inspect/hole-events.ts';
import { drivenNow, driveStream } from '../../../core/driving/drive-events.ts';
import { drivingOf } from '../../../core/releases/release-now.ts';
import type { ReworkState } from '../../../core/reworking/rework-state.ts';
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
    const { clock, ...since } = await sinceIssued(database, issueId, frozen, 'hole');
    const people =
      frozen.facts.rules?.checking === 'another'
        ? await drovePeople(database, issueId, frozen, since.rework)
        : undefined;
    return {
      subject: { ...frozen, ...since, people },
      state: holeStates([], []),
      sinceMs: frozen.issuedMs,
      clock
    };
  }
});

/** Who drove the rivet in each hole, as far as taps have come in; what comes in later is held against it before a signature. */
async function drovePeople(
  database: Database,
  issueId: string,
  issue: Parameters<typeof drivingOf>[0],
  rework: ReworkState
): Promise<ReadonlyMap<number, readonly string[]>> {
  const taps = await eventsOf(database, { stream: driveStream, table: DRIVE_EVENTS }, issueId);
  return drivenNow(driveStream.project(drivingOf(issue, rework, []), taps)).people;
}
