import type { Transaction } from 'sequelize';
import {
  balanceOf,
  onHandByPart,
  type StockEvent,
  type StockMove
} from '../../../core/stock/stock.ts';
import type { BinView } from '../../stock-view.ts';
import type { Database } from '../db/connect.ts';
import type { StockBin, StockEventRow } from '../db/models.ts';
import { done, refused, type Outcome } from './outcome.ts';

/** Every bin with what is in it and how it came to be so. */
export async function listBins({ models }: Database): Promise<BinView[]> {
  const [bins, rows, people] = await Promise.all([
    models.StockBin.findAll(),
    models.StockEventRow.findAll({ order: [['seq', 'ASC']] }),
    models.Person.findAll()
  ]);
  const names = new Map(people.map((person) => [person.id, person.name]));
  const toEvent = ({ id, kind, count, jobId, note, at, personId }: StockEventRow): StockEvent => ({
    id,
    kind,
    count,
    jobId,
    note,
    at: at.toISOString(),
    by: names.get(personId) ?? ''
  });
  return bins
    .map(({ id, partNumber, lot, place, cold }): BinView => {
      const events = rows.filter((row) => row.binId === id).map(toEvent);
      return {
        id,
        partNumber,
        lot,
        place,
        cold,
        count: balanceOf(events),
        events: events.reverse()
      };
    })
    .sort(
      (a, b) =>
        a.partNumber.localeCompare(b.partNumber, 'en', { numeric: true }) ||
        a.lot.localeCompare(b.lot, 'en', { numeric: true })
    );
}

/** Counts by part number, all bins together. */
export const onHand = async (database: Database): Promise<Record<string, number>> =>
  onHandByPart(await listBins(database));

async function binOf(
  { models }: Database,
  move: StockMove,
  transaction: Transaction
): Promise<StockBin | null> {
  if (move.kind !== 'received')
    // Held until the end, so that two hands cannot both take the last rivets.
    return models.StockBin.findByPk(move.binId, { transaction, lock: transaction.LOCK.UPDATE });
  const { partNumber, lot, place, cold } = move;
  const [bin] = await models.StockBin.findOrCreate({
    where: { partNumber, lot, place },
    defaults: { partNumber, lot, place, cold },
    transaction
  });
  await bin.reload({ transaction, lock: transaction.LOCK.UPDATE });
  return bin;
}

const eventsOf = ({ models }: Database, binId: string, transaction: Transaction) =>
  models.StockEventRow.findAll({ where: { binId }, order: [['seq', 'ASC']], transaction });

/** Why a movement cannot be, or null. */
async function refusalOf(
  database: Database,
  move: StockMove,
  bin: StockBin,
  transaction: Transaction
): Promise<string | null> {
  if (move.kind === 'received')
    return move.cold === bin.cold
      ? null
      : `lot ${bin.lot} of ${bin.partNumber} is kept ${bin.cold ? 'cold' : 'as received'}: a bin is one or the other`;
  if (move.kind === 'counted') return null;
  const held = balanceOf(await eventsOf(database, bin.id, transaction));
  return move.count <= held
    ? null
    : `${move.count} cannot go out: ${held} of ${bin.partNumber} lot ${bin.lot} are left; count the bin if that is wrong`;
}

const sameMove = (row: StockEventRow, bin: StockBin, move: StockMove): boolean =>
  row.binId === bin.id && row.kind === move.kind && row.count === move.count;

/** Thrown to take back a transaction whose movement was refused. */
class Refused extends Error {
  constructor(readonly outcome: Extract<Outcome<never>, { ok: false }>) {
    super(outcome.message);
  }
}

async function moveWithin(
  database: Database,
  move: StockMove,
  personId: string,
  transaction: Transaction
): Promise<Moved> {
  const { models } = database;
  const refuse = (...said: Parameters<typeof refused>): never => {
    const outcome = refused(...said);
    if (outcome.ok) throw new RangeError('a refusal is not ok');
    throw new Refused(outcome);
  };
  const bin = await binOf(database, move, transaction);
  if (!bin) return refuse('not-found', 'there is no such bin');
  const known = await models.StockEventRow.findOne({ where: { id: move.id }, transaction });
  if (known && !sameMove(known, bin, move))
    return refuse('conflict', 'another movement was stored under this id');
  if (!known) {
    const refusal = await refusalOf(database, move, bin, transaction);
    if (refusal !== null) return refuse('not-possible', refusal);
    const jobId = move.kind === 'issued' ? move.jobId : null;
    if (jobId !== null && !(await models.Job.findByPk(jobId, { transaction })))
      return refuse('not-found', 'there is no such job');
    const { id, kind, count, note, at } = move;
    await models.StockEventRow.create(
      { id, binId: bin.id, kind, count, jobId, note, personId, at: new Date(at) },
      { transaction }
    );
  }
  return { binId: bin.id, count: balanceOf(await eventsOf(database, bin.id, transaction)) };
}

/** Where a movement left its bin. */
interface Moved {
  binId: string;
  count: number;
}

/**
 * Records movements, all or none. The same movement sent twice is stored once.
 *
 * @returns each bin's count after its movement, or the first refusal; of several, with its place among them
 */
export async function moveStock(
  database: Database,
  moves: readonly StockMove[],
  personId: string
): Promise<Outcome<Moved[]>> {
  let at = 0;
  try {
    return await database.sequelize.transaction(async (transaction) => {
      const moved: Moved[] = [];
      for (const move of moves) {
        at += 1;
        moved.push(await moveWithin(database, move, personId, transaction));
      }
      return done(moved);
    });
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    const { reason, message } = error.outcome;
    return refused(
      reason,
      moves.length === 1 ? message : `entry ${at}: ${message}; none was stored`
    );
  }
}

/** What each job was handed out so far, by part number. */
export async function issuedToJobs({
  models
}: Database): Promise<Map<string, Record<string, number>>> {
  const [rows, bins] = await Promise.all([
    models.StockEventRow.findAll({ where: { kind: 'issued' } }),
    models.StockBin.findAll()
  ]);
  const partOf = new Map(bins.map((bin) => [bin.id, bin.partNumber]));
  const jobs = new Map<string, Record<string, number>>();
  for (const { jobId, binId, count } of rows) {
    const part = partOf.get(binId);
    if (jobId === null || part === undefined) continue;
    const given = jobs.get(jobId) ?? {};
    given[part] = (given[part] ?? 0) + count;
    jobs.set(jobId, given);
  }
  return jobs;
}
