import { randomUUID } from 'node:crypto';
import { CLOCK_SLACK_MS } from '../../../core/events/clock-slack.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { KEPT_STREAMS } from './index.ts';
import { done, refused, type Outcome } from '../outcome.ts';

/** A log whose last entry is dated in what is still to come: nothing new gets into it until then. */
export interface LogAhead {
  /** its stream, as addresses name it */
  log: string;
  subject: string;
  /** what it is the log of, in words */
  of: string;
  /** its last entry is dated so far from now, ms */
  aheadMs: number;
  /** who logged that one, and when the server got it */
  by: string;
  recordedAt: string;
}

/** A line for each table, put together once: names of tables are the program's own. */
const AHEAD = [...KEPT_STREAMS.values()]
  .map(
    ({ stream, table: { name } }) =>
      `select '${stream.name}' as log, e.subject_id, e.seq, e.person_id, e.recorded_at,
         counted_at('${stream.name}', e.subject_id, e.seq, e.at) as at from ${name} e
       where e.at > now() + interval '${CLOCK_SLACK_MS} milliseconds'`
  )
  .join(' union all ');

/** What a log is of. */
const OF = `
  (select j.title || ', release ' || i.number from joint_issues i join joints j on j.id = i.joint_id where i.id = a.subject_id),
  (select title from joints where id = a.subject_id),
  (select part_number || ', lot ' || lot from stock_bins where id = a.subject_id),
  (select part_number || ', lot ' || lot || ', out of the cold' from cold_batches where id = a.subject_id),
  (select setup->>'name' from tool_settings where id = a.subject_id),
  (select c.name from cage_settings s join cages c on c.id = s.cage_id where s.id = a.subject_id)`;

/** Logs that are ahead, the furthest first. */
export async function logsAhead(database: Database): Promise<LogAhead[]> {
  const rows = await rowsOf<{
    log: string;
    subject: string;
    of: string;
    ahead: number;
    by: string;
    recorded: Date;
  }>(
    database,
    `select distinct on (a.log, a.subject_id) a.log, a.subject_id as subject, coalesce(${OF}, '') as of, p.name as by, a.recorded_at as recorded,
       (extract(epoch from a.at - now()) * 1000)::double precision as ahead
     from (${AHEAD}) a join people p on p.id = a.person_id
     where a.at > now() + interval '${CLOCK_SLACK_MS} milliseconds' order by a.log, a.subject_id, a.at desc`
  );
  return rows
    .map(({ ahead, recorded, ...row }) => ({
      ...row,
      aheadMs: ahead,
      recordedAt: recorded.toISOString()
    }))
    .sort((a, b) => b.aheadMs - a.aheadMs);
}

/**
 * Sets a log right: what is dated in what is still to come counts as much earlier as makes its last entry one of now. What was
 * stored stays, and who set it right, and why, stands beside it.
 */
export const setLogRight = (
  database: Database,
  { log, subject, why }: { log: string; subject: string; why: string },
  person: string
): Promise<Outcome<void>> =>
  inTransaction(database, async () => {
    const kept = KEPT_STREAMS.get(log);
    if (!kept) return refused('not-found', 'there is no such log');
    await rowsOf(
      database,
      `select pg_advisory_xact_lock(hashtextextended('set right ' || $1, 0))`,
      [subject]
    );
    const ahead = (await logsAhead(database)).find(
      (one) => one.log === log && one.subject === subject
    );
    if (!ahead) return refused('not-possible', 'this log is not ahead of the server’s clock');
    await rowsOf(
      database,
      `insert into logs_set_right (id, log, subject_id, up_to, after, ahead, why, person_id)
       select $1, $2, $3::uuid, max(seq), now(), make_interval(secs => $4), $5, $6::uuid
       from ${kept.table.name} where subject_id = $3::uuid returning id`,
      [randomUUID(), log, subject, ahead.aheadMs / 1000, why, person]
    );
    await countAnew(database, log, subject);
    return done(undefined);
  });

/** What lists keep of a log that was set right. */
async function countAnew(database: Database, log: string, subject: string): Promise<void> {
  if (log === 'stock')
    await rowsOf(
      database,
      'update stock_bins set count = bin_count(id) where id = $1 returning id',
      [subject]
    );
  if (log === 'hole')
    await rowsOf(
      database,
      `update hole_looks l set at = counted_at('hole', e.subject_id, e.seq, e.at) from hole_events e
       where e.subject_id = $1 and l.issue_id = $1 and l.seq = e.seq returning l.seq`,
      [subject]
    );
  if (log === 'hole' || log === 'drive')
    await rowsOf(
      database,
      'insert into rivets_due (issue_id, hole) values ($1, null) returning 1',
      [subject]
    );
}
