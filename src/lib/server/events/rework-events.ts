import { reworkStream } from '../../../core/reworking/rework-events.ts';
import { asReworked, sinceOf, type ReworkState } from '../../../core/reworking/rework-state.ts';
import { may, ROLES } from '../../../core/people/rights.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';
import { frozenIssue } from './frozen-issue.ts';
import { keptStream } from './kept-stream.ts';
import { sinceIssued } from './since-issued.ts';
import { REWORK_EVENTS } from './tables.ts';

/** Rework of an issue; what may follow depends on what was done before, so one at a time. */
export const reworkEvents = keptStream({
  stream: reworkStream,
  table: REWORK_EVENTS,
  missing: 'there is no such issue',
  order: 'locked',
  async open(database, issueId) {
    const [held] = await rowsOf(database, 'select id from joint_issues where id = $1 for update', [
      issueId
    ]);
    const frozen = held ? await frozenIssue(database, issueId) : null;
    if (!frozen) return null;
    const { rework, signed } = await sinceIssued(database, issueId, frozen);
    const driven = await rowsOf<{ hole: number }>(database, 'select hole from rivets_in($1)', [
      issueId
    ]);
    const rivetIn = new Set(driven.map(({ hole }) => hole));
    return {
      subject: { ...frozen, signed, rivetIn, inspectors: await inspectors(database) },
      state: rework
    };
  },
  keep: keepForLists
});

/** Who may void another’s reading, by their ids. */
async function inspectors(database: Database): Promise<Set<string>> {
  const roles = ROLES.filter((role) => may(role, 'void'));
  const rows = await rowsOf<{ id: string }>(
    database,
    'select id from people where active and role = any($1::text[])',
    [roles]
  );
  return new Set(rows.map(({ id }) => id));
}

/** As the database reads an instant; looks at an empty hole count from never on. */
const sinceInWords = (ms: number | undefined): string | null =>
  ms === undefined ? null : Number.isFinite(ms) ? new Date(ms).toISOString() : 'infinity';

/** What the lists read: where each hole stands, and no look at a rivet that is out. */
async function keepForLists(
  database: Database,
  issueId: string,
  state: ReworkState
): Promise<void> {
  const frozen = await frozenIssue(database, issueId);
  if (!frozen) return;
  const now = asReworked(frozen, state);
  const since = sinceOf(state);
  const rows = [...state.holes.values()].map(({ hole, stage, rivet, leftAt }) => ({
    hole,
    stage,
    since_at: sinceInWords(since.get(hole)),
    left_at: sinceInWords(leftAt ?? undefined),
    part_number: rivet && now.holes.some(({ number }) => number === hole) ? rivet.partNumber : null
  }));
  await rowsOf(database, 'delete from hole_rework where issue_id = $1', [issueId]);
  await rowsOf(
    database,
    `insert into hole_rework (issue_id, hole, stage, since_at, left_at, part_number)
     select $1, hole, stage, since_at, left_at, part_number from jsonb_to_recordset($2::jsonb)
       as r (hole integer, stage text, since_at timestamptz, left_at timestamptz, part_number text)`,
    [issueId, JSON.stringify(rows)]
  );
  await rowsOf(
    database,
    `delete from hole_looks l using hole_rework r
     where l.issue_id = $1 and r.issue_id = l.issue_id and r.hole = l.hole and r.since_at > l.at`,
    [issueId]
  );
  // a removal that was logged by mistake: what was seen of its rivet counts again
  await rowsOf(
    database,
    `insert into hole_looks (issue_id, hole, seq, verdict, at)
     select distinct on (e.hole) e.subject_id, e.hole, e.seq, e.frozen->>'verdict', e.at from hole_events e
     where e.subject_id = $1 and not exists (select from hole_looks l where l.issue_id = $1 and l.hole = e.hole)
       and not exists (select from hole_rework r where r.issue_id = $1 and r.hole = e.hole and r.since_at > e.at)
     order by e.hole, e.at desc, e.seq desc
     on conflict do nothing`,
    [issueId]
  );
}
