import { holeStates, holeStream } from '../../../core/check/hole-events.ts';
import { frozenIssue } from './frozen-issue.ts';
import { keptStream } from './kept-stream.ts';
import { HOLE_EVENTS } from './tables.ts';

/** Measured heads, held against the issue's frozen facts. */
export const holeEvents = keptStream({
  stream: holeStream,
  table: HOLE_EVENTS,
  missing: 'there is no such issue',
  order: 'free',
  async open(database, issueId) {
    const subject = await frozenIssue(database, issueId);
    return subject && { subject, state: holeStates([], []) };
  }
});
