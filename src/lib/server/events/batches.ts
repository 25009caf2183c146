import type { ColdBatchFacts } from '../../../core/driving/cold-of.ts';
import { BatchTimes } from '../../../core/rules/icebox.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';

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

/** Batches with what became of them: one, or those taken out within so many hours, the oldest first (migration 0028). */
export const batchesCounted = (
  database: Database,
  { one = null, hours = null }: { one?: string | null; hours?: number | null }
): Promise<BatchRow[]> =>
  rowsOf<BatchRow>(database, 'select * from batches_counted($1::uuid, $2::integer)', [one, hours]);

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
  const [row] = await batchesCounted(database, { one: batchId });
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

/** The batches out of the cold that rivets of a release came from. */
export const batchesOf = async (database: Database, releaseId: string): Promise<ColdBatchFacts[]> =>
  (
    await rowsOf<BatchFactsRow>(
      database,
      `select id, part_number, lot, count, removed_at, times from cold_batches
       where id in (select batch from drive_events where subject_id = $1) order by seq`,
      [releaseId]
    )
  ).map(factsOf);
