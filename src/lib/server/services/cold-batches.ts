import { alloyFacts } from '../../../core/catalog/alloys.ts';
import { BatchTimes, GUIDANCE_TIMES, ruledTimes } from '../../../core/rules/icebox.ts';
import type { Alloy } from '../../../core/schema/fields.ts';
import { partNumber } from '../../../core/stack/part-number.ts';
import type { ColdView, TakeOut } from '../../cold-view.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { batchesCounted, factsOf } from '../events/batches.ts';
import { recordMoves } from '../events/record.ts';
import { stockEvents } from '../events/stock-events.ts';
import { currentProfile } from './profiles.ts';
import type { PersonView } from './people.ts';
import { done, Refused, refused, type Outcome } from '../outcome.ts';

/** A batch is looked back at for a day; older ones lie in the record. */
const RECENT_H = 24;
/** Batches of the last day that still have rivets, the oldest first, with the server's time. */
export async function coldView(database: Database): Promise<ColdView> {
  const rows = await batchesCounted(database, { hours: RECENT_H });
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
    return await inTransaction(database, async () => {
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
