import { alloyFacts } from '../../../core/catalog/alloys.ts';
import type { ColdBatchFacts } from '../../../core/driving/drive-events.ts';
import { BatchTimes, GUIDANCE_TIMES, ruledTimes } from '../../../core/rules/icebox.ts';
import type { Alloy } from '../../../core/schema/fields.ts';
import { partNumber } from '../../../core/stack/part-number.ts';
import type { ColdView, TakeOut } from '../../cold-view.ts';
import type { Database } from '../db/connect.ts';
import { inWork, rowsOf } from '../db/work.ts';
import { recordMoves } from '../events/record.ts';
import { stockEvents } from '../events/stock-events.ts';
import { currentProfile } from './profiles.ts';
import type { PersonView } from './people.ts';
import { done, Refused, refused, type Outcome } from './outcome.ts';

export interface BatchFactsRow {
  id: string;
  part_number: string;
  lot: string;
  count: number;
  removed_at: Date;
  times: unknown;
}
interface BatchRow extends BatchFactsRow {
  by: string;
  driven: number;
  away: number;
}

/** A batch is looked back at for a day; older ones lie in the record. */
const RECENT = "interval '1 day'";
/** A rivet is of the batch that it was put in from, as long as it is in. */
const BATCHES = `select b.id, b.part_number, b.lot, b.count, b.removed_at, b.times, p.name as by,
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

/** Batches of the last day that still have rivets, the oldest first, with the server's time. */
export async function coldView(database: Database): Promise<ColdView> {
  const rows = await rowsOf<BatchRow>(
    database,
    `${BATCHES} where b.removed_at > now() - ${RECENT} order by b.removed_at, b.seq`
  );
  const rules = await currentProfile(database);
  return {
    serverAt: new Date().toISOString(),
    icebox: rules?.rules.icebox ?? GUIDANCE_TIMES,
    batches: rows.map((row) => ({
      ...factsOf(row),
      by: row.by,
      left: row.count - row.driven - row.away
    }))
  };
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

/** The shop's own times for an alloy as its rules stand, with whose rule they are; null: the guidance's. */
async function timesNow(database: Database, alloy: Alloy): Promise<BatchTimes | null> {
  const current = await currentProfile(database);
  const times = current && ruledTimes(current.rules.icebox, alloy);
  if (!current || !times) return null;
  const { name, version } = current.rules;
  return { ...times, rule: `${name}, version ${version}` };
}

/** Takes rivets out of the cold: out of their bin, and their clock begins, by the server's time. A repeat is done once. */
export async function takeOut(
  database: Database,
  { id, binId, count, jobId }: TakeOut,
  person: PersonView,
  removedAt = new Date()
): Promise<Outcome<string>> {
  try {
    return await inWork(database, async () => {
      const [known] = await rowsOf<{ id: string }>(
        database,
        'select id from cold_batches where id = $1',
        [id]
      );
      if (known) return done(id);
      const [bin] = await rowsOf<{ part_number: string; lot: string }>(
        database,
        'select part_number, lot from stock_bins where id = $1',
        [binId]
      );
      if (!bin) return refused('not-found', stockEvents.missing);
      const part = partNumber({ text: bin.part_number });
      if (!part.ok || !alloyFacts(part.result.alloy).cold)
        return refused(
          'not-possible',
          `${bin.part_number} is driven as received: it needs no clock`
        );
      const moved = await recordMoves(
        database,
        stockEvents,
        null,
        [
          {
            id,
            kind: 'issued',
            at: removedAt.toISOString(),
            binId,
            jobId,
            count,
            note: 'out of the cold'
          }
        ],
        person
      );
      // whatever was written is taken back with it
      if (!moved.ok) throw new Refused(moved.reason, moved.message);
      const times = await timesNow(database, part.result.alloy);
      await rowsOf(
        database,
        `insert into cold_batches (id, bin_id, part_number, lot, count, removed_at, person_id, times)
         values ($1, $2, $3, $4, $5, $6, $7, $8)
         on conflict (id) do nothing returning id`,
        [
          id,
          binId,
          bin.part_number,
          bin.lot,
          count,
          removedAt.toISOString(),
          person.id,
          times && JSON.stringify(times)
        ]
      );
      return done(id);
    });
  } catch (error) {
    if (error instanceof Refused) return error.outcome;
    throw error;
  }
}
