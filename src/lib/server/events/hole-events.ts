import { holeStates, holeStream } from '../../../core/check/hole-events.ts';
import { frozenIssue } from './frozen-issue.ts';
import { keptStream } from './kept-stream.ts';
import { sinceIssued } from './since-issued.ts';
import { HOLE_EVENTS } from './tables.ts';

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
    return { subject: { ...frozen, ...since }, state: holeStates([], []) };
  }
});
