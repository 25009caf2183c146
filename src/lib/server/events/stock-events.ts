import { PRACTICE } from '../../../core/joint/practice.ts';
import { stockStream, type StockMove } from '../../../core/stock/stock.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { Refused } from '../outcome.ts';
import { keptStream } from './kept-stream.ts';
import { STOCK_EVENTS } from './tables.ts';

type Received = Extract<StockMove, { kind: 'received' }>;

const nameOf = ({ partNumber, lot, place }: Pick<Received, 'partNumber' | 'lot' | 'place'>) =>
  JSON.stringify([partNumber, lot, place]);

/** The bins that rivets came into, by name; those that are new are opened. */
async function binsFor(
  database: Database,
  received: readonly Received[]
): Promise<Map<string, string>> {
  // The first that came in decides how a new bin is kept.
  const firsts = new Map(received.toReversed().map((move) => [nameOf(move), move]));
  const wanted = JSON.stringify(
    [...firsts.values()].map(({ partNumber, lot, place, cold }) => ({
      part: partNumber,
      lot,
      place,
      cold
    }))
  );
  const sent = 'jsonb_to_recordset($1::jsonb) as s (part text, lot text, place text, cold boolean)';
  await rowsOf(
    database,
    `insert into stock_bins (id, part_number, lot, place, cold)
     select gen_random_uuid(), part, lot, place, cold from ${sent} order by part, lot, place
     on conflict (part_number, lot, place) do nothing returning id`,
    [wanted]
  );
  const rows = await rowsOf<{ id: string; part: string; lot: string; place: string }>(
    database,
    `select b.id, b.part_number as part, b.lot, b.place from stock_bins b join ${sent}
     on (b.part_number, b.lot, b.place) = (s.part, s.lot, s.place)`,
    [wanted]
  );
  return new Map(
    rows.map(({ id, part, lot, place }) => [nameOf({ partNumber: part, lot, place }), id])
  );
}

/** Practice takes nothing from stock. */
async function refusePractice(database: Database, moves: readonly StockMove[]): Promise<void> {
  const jobs = moves.flatMap((move) => (move.kind === 'issued' ? (move.jobId ?? []) : []));
  if (jobs.length === 0) return;
  const [practice] = await rowsOf(
    database,
    'select from jobs where id = any($1::uuid[]) and lower(number) = $2 limit 1',
    [jobs, PRACTICE.number]
  );
  if (practice) throw new Refused('not-possible', 'practice takes no rivets from stock');
}

/** Movements of rivets; a bin is held until the end, so that two hands cannot both take the last ones. */
export const stockEvents = keptStream({
  stream: stockStream,
  table: STOCK_EVENTS,
  missing: 'there is no such bin',
  order: 'locked',
  async subjectsOf(database, moves) {
    await refusePractice(database, moves);
    const received = moves.filter((move) => move.kind === 'received');
    const bins = received.length === 0 ? null : await binsFor(database, received);
    return moves.map((move) =>
      move.kind === 'received' ? (bins?.get(nameOf(move)) ?? null) : move.binId
    );
  },
  async open(database, binId) {
    const [row] = await rowsOf<{
      part_number: string;
      lot: string;
      place: string;
      cold: boolean;
      count: number;
    }>(
      database,
      'select part_number, lot, place, cold, count from stock_bins where id = $1 for update',
      [binId]
    );
    if (!row) return null;
    const { part_number: partNumber, lot, place, cold, count } = row;
    return { subject: { partNumber, lot, place, cold }, state: count };
  },
  // from the log, not from the state that was held: what comes in late happened before it
  async keep(database, binId) {
    await rowsOf(
      database,
      'update stock_bins set count = bin_count(id) where id = $1 returning id',
      [binId]
    );
  }
});
