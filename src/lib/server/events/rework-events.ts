import { reworkStream } from '../../../core/reworking/rework-events.ts';
import { asReworked, sinceOf, type ReworkState } from '../../../core/reworking/rework-state.ts';
import { may, ROLES, type Right } from '../../../core/people/rights.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { frozenRelease } from './frozen-release.ts';
import { keptStream } from './kept-stream.ts';
import { sinceReleased } from './since-released.ts';
import { REWORK_EVENTS } from './tables.ts';

/** Rework of a release; what may follow depends on what was done before, so one at a time. */
export const reworkEvents = keptStream({
  stream: reworkStream,
  table: REWORK_EVENTS,
  missing: 'there is no such release',
  order: 'locked',
  async open(database, releaseId) {
    const [held] = await rowsOf(database, 'select id from joint_issues where id = $1 for update', [
      releaseId
    ]);
    const frozen = held ? await frozenRelease(database, releaseId) : null;
    if (!frozen) return null;
    const { rework, signed, clock } = await sinceReleased(database, releaseId, frozen, 'rework');
    const driven = await rowsOf<{ hole: number }>(database, 'select hole from rivets_in($1)', [
      releaseId
    ]);
    const rivetIn = new Set(driven.map(({ hole }) => hole));
    return {
      subject: {
        ...frozen,
        signed,
        rivetIn,
        inspectors: await whoMay(database, 'void'),
        leads: await whoMay(database, 'rules'),
        looks: await looksAt(database, releaseId)
      },
      state: rework,
      sinceMs: frozen.releasedMs,
      clock
    };
  },
  keep: keepForLists
});

/** Who has a right, by their ids. */
async function whoMay({ models }: Database, right: Right): Promise<Set<string>> {
  const roles = ROLES.filter((role) => may(role, right));
  const rows = await models.Person.scope('here').findAll({ where: { role: roles }, raw: true });
  return new Set(rows.map(({ id }) => id));
}

/** The looks at the heads of a release, those by camera while driving too, each with who took it. */
async function looksAt(
  database: Database,
  releaseId: string
): Promise<Map<string, { hole: number; person: string; by: string }>> {
  const rows = await rowsOf<{ id: string; hole: number; person: string; by: string }>(
    database,
    `select e.id, e.hole, e.person_id as person, p.name as by
     from (select id, hole, person_id from hole_events where subject_id = $1
       union all select id, hole, person_id from drive_events where subject_id = $1 and kind = 'seen') e
     join people p on p.id = e.person_id`,
    [releaseId]
  );
  return new Map(rows.map(({ id, ...look }) => [id, look]));
}

/** As the database reads an instant; looks at an empty hole count from never on. */
const sinceInWords = (ms: number | undefined): string | null =>
  ms === undefined ? null : Number.isFinite(ms) ? new Date(ms).toISOString() : 'infinity';

/** What the lists read: where each hole stands, and which looks were false. */
async function keepForLists(
  database: Database,
  releaseId: string,
  state: ReworkState
): Promise<void> {
  const frozen = await frozenRelease(database, releaseId);
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
  await rowsOf(database, 'delete from hole_rework where issue_id = $1', [releaseId]);
  await rowsOf(
    database,
    `insert into hole_rework (issue_id, hole, stage, since_at, left_at, part_number)
     select $1, hole, stage, since_at, left_at, part_number from jsonb_to_recordset($2::jsonb)
       as r (hole integer, stage text, since_at timestamptz, left_at timestamptz, part_number text)`,
    [releaseId, JSON.stringify(rows)]
  );
  await rowsOf(
    database,
    `update hole_looks l set voided = true from hole_events e
     where e.subject_id = $1 and e.id = any($2::uuid[]) and l.issue_id = $1 and l.hole = e.hole and l.seq = e.seq and not l.voided`,
    [releaseId, [...state.voidedLooks.keys()]]
  );
}
