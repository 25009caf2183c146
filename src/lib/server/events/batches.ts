import type { ColdBatchFacts } from '../../../core/driving/cold-of.ts';
import { BatchTimes } from '../../../core/rules/icebox.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';

interface BatchFactsRow {
  id: string;
  part_number: string;
  lot: string;
  count: number;
  removed_at: Date;
  times: unknown;
}
/** A batch with what became of it. */
export interface BatchRow extends BatchFactsRow {
  by: string;
  driven: number;
  away: number;
}

/** A rivet is of the batch that it was put in from, as long as it is in. */
export const BATCHES = `select b.id, b.part_number, b.lot, b.count, b.removed_at, b.times, p.name as by,
  (select count(*)::integer
   from (select distinct subject_id from drive_events where batch = b.id) tapped
     cross join lateral rivets_in(tapped.subject_id) now_in
   where now_in.batch = b.id) as driven,
  (select coalesce(sum((payload->>'count')::integer), 0)::integer from cold_events c
   where c.subject_id = b.id) as away
  from cold_batches b join people p on p.id = b.person_id`;

export const factsOf = ({
  id,
  part_number,
  lot,
  count,
  removed_at,
  times
}: BatchFactsRow): ColdBatchFacts => ({
  id,
  partNumber: part_number,
  lot,
  count,
  removedAt: removed_at.toISOString(),
  times: BatchTimes.nullable().parse(times)
});

/** How many of a batch were driven, and how many put away; null where there is no such batch. */
export async function countsOfBatch(
  database: Database,
  batchId: string
): Promise<{ count: number; driven: number; away: number } | null> {
  const [row] = await rowsOf<BatchRow>(database, `${BATCHES} where b.id = $1`, [batchId]);
  return row ?? null;
}

/** Batches that a tap may name: what is out, and what was out when a tap was made that comes in late. */
export async function batchesOut(database: Database): Promise<ColdBatchFacts[]> {
  const rows = await rowsOf<BatchRow>(
    database,
    `select id, part_number, lot, count, removed_at, times from cold_batches
     where removed_at > now() - interval '14 days'`
  );
  return rows.map(factsOf);
}

/** The batches out of the cold that rivets of an issue came from. */
export const batchesOf = async (database: Database, issueId: string): Promise<ColdBatchFacts[]> =>
  (
    await rowsOf<BatchFactsRow>(
      database,
      `select id, part_number, lot, count, removed_at, times from cold_batches
       where id in (select batch from drive_events where subject_id = $1) order by seq`,
      [issueId]
    )
  ).map(factsOf);
