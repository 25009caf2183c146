import type { BinView } from '../../stock-view.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';

/** Every bin with what is in it. How it came to be so is asked for one bin at a time. */
export async function listBins({ models }: Database): Promise<BinView[]> {
  const bins = await models.StockBin.findAll();
  return bins
    .map(({ id, partNumber, lot, place, cold, count }): BinView => ({
      id,
      partNumber,
      lot,
      place,
      cold,
      count
    }))
    .sort(
      (a, b) =>
        a.partNumber.localeCompare(b.partNumber, 'en', { numeric: true }) ||
        a.lot.localeCompare(b.lot, 'en', { numeric: true })
    );
}

/** Counts by part number, all bins together. */
export async function onHand(database: Database): Promise<Record<string, number>> {
  const rows = await rowsOf<{ part: string; count: number }>(
    database,
    'select part_number as part, sum(count)::integer as count from stock_bins group by part_number'
  );
  return Object.fromEntries(rows.map(({ part, count }) => [part, count]));
}

/** What each job was handed out so far, by part number. */
export async function issuedToJobs(
  database: Database
): Promise<Map<string, Record<string, number>>> {
  const rows = await rowsOf<{ job: string; part: string; count: number }>(
    database,
    `select e.job_id as job, b.part_number as part, sum((e.payload->>'count')::integer)::integer as count
     from stock_events e join stock_bins b on b.id = e.subject_id
     where e.kind = 'issued' and e.job_id is not null group by e.job_id, b.part_number`
  );
  const jobs = new Map<string, Record<string, number>>();
  for (const { job, part, count } of rows) jobs.set(job, { ...jobs.get(job), [part]: count });
  return jobs;
}
