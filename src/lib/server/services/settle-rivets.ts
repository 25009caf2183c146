import { ZodError } from 'zod';
import { driveStream } from '../../../core/driving/drive-events.ts';
import { holeStream } from '../../../core/inspect/hole-events.ts';
import { rivetRecords, type SettingSpan } from '../../../core/records/rivet-record.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { frozenRelease } from '../events/frozen-release.ts';
import { eventsAtHoles, eventsOf } from '../events/read.ts';
import { sinceReleased } from '../events/since-released.ts';
import { DRIVE_EVENTS, HOLE_EVENTS } from '../events/tables.ts';
import { log } from '../log.ts';

/** So many notes are taken at once: few enough that one who waits is not held long. */
const AT_ONCE = 2000;

/**
 * Makes anew the records of every rivet that an event has changed since they were made.
 *
 * @returns how many notes were settled
 */
export async function settleRivets(database: Database): Promise<number> {
  let settled = 0;
  for (;;) {
    const taken = await inTransaction(database, () => settleSome(database));
    settled += taken;
    if (taken < AT_ONCE) return settled;
  }
}

const SOON_MS = 10_000;
let waiting: NodeJS.Timeout | null = null;

/** Settles in a while, so that notes do not pile up; a search settles first and needs none of it. */
export function settleSoon(database: Database): void {
  if (waiting) return;
  waiting = setTimeout(() => {
    waiting = null;
    settleRivets(database).catch((error: unknown) => {
      // what is due stays noted: the next search settles it
      log.warn({ err: error }, 'rivets on record were not settled');
    });
  }, SOON_MS);
  waiting.unref();
}

interface DueRow {
  issue_id: string;
  hole: number | null;
}

async function settleSome(database: Database): Promise<number> {
  const due = await rowsOf<DueRow>(
    database,
    `delete from rivets_due where seq in (
       select seq from rivets_due order by seq limit ${AT_ONCE} for update skip locked)
     returning issue_id, hole`
  );
  const holes = new Map<string, Set<number | null>>();
  for (const { issue_id, hole } of due)
    holes.set(issue_id, (holes.get(issue_id) ?? new Set()).add(hole));
  for (const [releaseId, some] of [...holes].sort(([a], [b]) => (a < b ? -1 : 1)))
    try {
      await makeAnew(database, releaseId, some);
    } catch (error) {
      // one release that cannot be read takes no other out of the records
      if (!(error instanceof ZodError)) throw error;
      log.error({ err: error, release: releaseId }, 'rivets of a release cannot be put on record');
    }
  return due.length;
}

/** The records of some holes of a release as its events have them now. */
async function makeAnew(
  database: Database,
  releaseId: string,
  some: ReadonlySet<number | null>
): Promise<void> {
  // of two who settle one release the second waits, and then reads what the first has not seen
  const [owner] = await rowsOf<{ joint_id: string }>(
    database,
    `select joint_id from joint_issues, pg_advisory_xact_lock(hashtextextended('rivets ' || $1::text, 0))
     where id = $1::uuid`,
    [releaseId]
  );
  const release = owner ? await frozenRelease(database, releaseId) : null;
  // practice is in no search
  if (!owner || !release || release.facts.practice) return;
  const every = some.has(null);
  const holes = every
    ? release.holes.map(({ number }) => number)
    : [...some].flatMap((hole) => hole ?? []);
  const drive = { stream: driveStream, table: DRIVE_EVENTS };
  const look = { stream: holeStream, table: HOLE_EVENTS };
  const driving = every
    ? await eventsOf(database, drive, releaseId)
    : await eventsAtHoles(database, drive, releaseId, holes);
  const heads = every
    ? await eventsOf(database, look, releaseId)
    : await eventsAtHoles(database, look, releaseId, holes);
  const { rework } = await sinceReleased(database, releaseId, release, 'rework');
  const batchLots = await lotsOf(
    database,
    driving.flatMap((event) => (event.kind === 'driven' ? (event.batch ?? []) : []))
  );
  const settings = await settingSpans(database, owner.joint_id);
  const records = rivetRecords({ release, rework, driving, heads, batchLots, settings }, holes);
  await rowsOf(
    database,
    'delete from rivet_records where issue_id = $1 and hole = any($2::integer[])',
    [releaseId, holes]
  );
  await rowsOf(
    database,
    `insert into rivet_records (issue_id, hole, life, joint_id, part_number, at, driven_at, looked_at, out_at,
       drove, looked, sent_by, batch, lot, setting, verdict, findings, diameter_d, height_d)
     select $1, hole, life, $2, "partNumber", at, "drivenAt", "lookedAt", "outAt",
       drove, looked, "sentBy", batch, lot, setting, verdict, findings, "diameterD", "heightD"
     from jsonb_to_recordset($3::jsonb) as r (hole integer, life integer, "partNumber" text, at timestamptz, "drivenAt" timestamptz,
       "lookedAt" timestamptz, "outAt" timestamptz, drove uuid[], looked uuid[], "sentBy" text[], batch uuid, lot text, setting uuid,
       verdict text, findings text[], "diameterD" double precision, "heightD" double precision)`,
    [releaseId, owner.joint_id, JSON.stringify(records)]
  );
}

export async function lotsOf(
  database: Database,
  batches: readonly string[]
): Promise<Map<string, string>> {
  if (batches.length === 0) return new Map();
  const rows = await rowsOf<{ id: string; lot: string }>(
    database,
    'select id, lot from cold_batches where id = any($1::uuid[])',
    [[...new Set(batches)]]
  );
  return new Map(rows.map(({ id, lot }) => [id, lot]));
}

export async function settingSpans(database: Database, jointId: string): Promise<SettingSpan[]> {
  const rows = await rowsOf<{
    id: string;
    run: string | null;
    begun: Date;
    withdrawn: Date | null;
  }>(
    database,
    `select s.id, s.run, s.begun_at as begun,
       (select min(e.at) from tool_setting_events e where e.subject_id = s.id and e.kind = 'withdrawn') as withdrawn
     from tool_settings s where s.joint_id = $1 and s.setup->>'tool' <> 'dies'`,
    [jointId]
  );
  return rows.map(({ id, run, begun, withdrawn }) => ({
    id,
    run,
    begunAt: begun.toISOString(),
    withdrawnAt: withdrawn?.toISOString() ?? null
  }));
}
