import { Seal } from '../../src/core/signing/record.ts';
import { brokenParts } from '../../src/lib/server/record/seal.ts';
import type { Database } from '../../src/lib/server/db/connect.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import type { Acknowledged, Ledger } from './ledger.ts';

/** What a comparison of the ledger with the database came to. */
export interface Compared {
  acknowledged: number;
  /** acknowledged, and not there or not as it was sent */
  missing: string[];
  /** there twice, or there and never sent */
  twice: string[];
  /** what lists keep that is not what the events come to */
  kept: string[];
}

const ofKind = <What extends Acknowledged['what']>(
  all: readonly Acknowledged[],
  what: What
): Extract<Acknowledged, { what: What }>[] =>
  all.filter((one): one is Extract<Acknowledged, { what: What }> => one.what === what);

/** Events that were acknowledged and do not stand there as sent. */
async function missingEvents(database: Database, all: readonly Acknowledged[]): Promise<string[]> {
  const events = ofKind(all, 'event');
  const missing: string[] = [];
  for (const table of new Set(events.map((event) => event.table))) {
    const rows = await rowsOf<{ id: string }>(
      database,
      `select w.id from jsonb_to_recordset($1::jsonb) as w (id uuid, subject uuid, payload text)
       left join ${table} e on e.id = w.id and e.subject_id = w.subject and e.payload @> w.payload::jsonb
       where e.id is null`,
      [JSON.stringify(events.filter((event) => event.table === table))]
    );
    missing.push(...rows.map(({ id }) => `${table} ${id}`));
  }
  return missing;
}

/** Rows that the soak's writers are the only ones to write, and that nobody sent, or that stand twice. */
async function strangers(
  database: Database,
  { sent, titles }: Ledger,
  since: Date
): Promise<string[]> {
  const found: string[] = [];
  for (const table of ['hole_events', 'drive_events', 'step_events', 'sign_events']) {
    const rows = await rowsOf<{ id: string }>(
      database,
      `select id from ${table} where recorded_at > $1 and not (payload ? 'carried')`,
      [since]
    );
    found.push(...rows.filter(({ id }) => !sent.has(id)).map(({ id }) => `${table} ${id}`));
  }
  const revisions = await rowsOf<{ title: string; times: number }>(
    database,
    'select title, count(*)::integer as times from joint_revisions where saved_at > $1 group by title',
    [since]
  );
  for (const { title, times } of revisions)
    if (times > 1 || !titles.has(title)) found.push(`revision ${title}, ${times} times`);
  const releases = await rowsOf<{ joint_id: string; revision: number }>(
    database,
    'select joint_id, revision from joint_issues group by joint_id, revision having count(*) > 1'
  );
  found.push(...releases.map(({ joint_id, revision }) => `release of ${joint_id} at ${revision}`));
  return found;
}

async function missingRows(database: Database, all: readonly Acknowledged[]): Promise<string[]> {
  const saves = await rowsOf<{ title: string }>(
    database,
    `select w.title from jsonb_to_recordset($1::jsonb) as w (joint uuid, revision integer, title text)
     left join joint_revisions r on r.joint_id = w.joint and r.revision = w.revision and r.title = w.title
     where r.joint_id is null`,
    [JSON.stringify(ofKind(all, 'save'))]
  );
  const releases = await rowsOf<{ number: number }>(
    database,
    `select w.number from jsonb_to_recordset($1::jsonb) as w (joint uuid, revision integer, number integer)
     left join joint_issues i on i.joint_id = w.joint and i.number = w.number and i.revision = w.revision
     where i.id is null or not exists (select from holes h where h.issue_id = i.id)`,
    [JSON.stringify(ofKind(all, 'release'))]
  );
  return [
    ...saves.map(({ title }) => `save ${title}`),
    ...releases.map(({ number }) => `release ${number}`)
  ];
}

/** What is kept beside the events for the lists, where it is not what they come to; and records whose seal is broken. */
async function keptWrongly(database: Database): Promise<string[]> {
  const looks = await rowsOf<{ issue_id: string; hole: number }>(
    database,
    `select e.subject_id as issue_id, e.hole from hole_events e
     left join hole_looks k on k.issue_id = e.subject_id and k.hole = e.hole and k.seq = e.seq
     where k.seq is null`
  );
  const records = await rowsOf<{ issue_id: string; record: unknown; seal: unknown }>(
    database,
    'select s.issue_id, s.record, s.seal from signed_records s'
  );
  const [unsigned] = await rowsOf<{ count: number }>(
    database,
    `select count(*)::integer as count from sign_events s full join signed_records r on r.issue_id = s.subject_id
     where s.id is null or r.issue_id is null`
  );
  return [
    ...looks.map(({ issue_id, hole }) => `a look at ${issue_id} ${hole}`),
    ...records.flatMap(({ issue_id, record, seal }) =>
      brokenParts(record as Record<string, unknown>, Seal.parse(seal)).map(
        (part) => `seal of ${issue_id}: ${part}`
      )
    ),
    ...(unsigned?.count ? [`${unsigned.count} signatures without their record`] : [])
  ];
}

/** Holds everything that was acknowledged until now against what stands in the database. */
export async function compare(database: Database, ledger: Ledger, since: Date): Promise<Compared> {
  // what is acknowledged from here on is the next comparison's
  const all = [...ledger.acknowledged];
  const missing = [...(await missingEvents(database, all)), ...(await missingRows(database, all))];
  return {
    acknowledged: all.length,
    missing,
    twice: await strangers(database, ledger, since),
    kept: await keptWrongly(database)
  };
}
