import type { ShopPlate } from '../../../core/devices/shop-plate.ts';
import type { DrivingTools } from '../../../core/drive/driving-tools.ts';
import { merge } from '../../../core/joint/merge.ts';
import type { TimedWork } from '../../../core/prepare/operations.ts';
import { ReadyMove, type ReadyEvent } from '../../../core/prepare/progress.ts';
import { ShopFigures, STARTING_FIGURES } from '../../../core/prepare/shop-figures.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { eventsOf } from '../events/read.ts';
import { stepEvents } from '../events/step-events.ts';
import { done, refused, type Outcome } from '../outcome.ts';

/** Ticks of a joint in the order recorded. */
export const readyEvents = (database: Database, jointId: string): Promise<ReadyEvent[]> =>
  eventsOf(database, stepEvents, jointId);

const Timed = ReadyMove.shape.timed.unwrap();

/** The works that people timed, of all joints. */
export async function timedWorks(database: Database): Promise<TimedWork[]> {
  const rows = await rowsOf<{ timed: unknown }>(
    database,
    `select payload->'timed' as timed from step_events
     where jsonb_typeof(payload->'timed') = 'object' and (payload->>'done')::boolean order by seq`
  );
  return rows.flatMap(({ timed }) => {
    const read = Timed.safeParse(timed);
    return read.success ? [read.data] : [];
  });
}

/** The shop's own times and holders, as set last. */
export async function shopFigures({ models }: Database): Promise<ShopFigures> {
  const last = await models.ShopFiguresRow.findOne({ order: [['seq', 'DESC']] });
  return last ? ShopFigures.parse(last.figures) : STARTING_FIGURES;
}

/** A change of some of them: as they were where it began, and as they are to be. */
export interface ChangedFigures<T> {
  was: T;
  now: T;
}

/**
 * Puts a change onto what stands now: what another hand changed meanwhile stays. What was set before stays in the table.
 *
 * @returns refused where both changed one thing in different ways
 */
async function change(
  database: Database,
  some: ChangedFigures<Partial<ShopFigures>>,
  personId: string
): Promise<Outcome<ShopFigures>> {
  return inTransaction(database, async () => {
    // of two at once the second waits, and then sees what the first has set
    await rowsOf(database, `select pg_advisory_xact_lock(hashtextextended('shop figures', 0))`);
    const stands = await shopFigures(database);
    const theirs = Object.fromEntries(
      Object.keys(some.now).map((key) => [key, stands[key as keyof ShopFigures]])
    );
    const { value, crossings } = merge(some.was, some.now, theirs);
    const [crossed] = crossings;
    if (crossed)
      return refused(
        'stale',
        `someone else changed ${crossed.path.replaceAll('.', ', ')} . Reload and try again`
      );
    const figures = ShopFigures.parse({ ...stands, ...(value as Partial<ShopFigures>) });
    await database.models.ShopFiguresRow.create({ figures, personId });
    return done(figures);
  });
}

/** Sets times and holders; tools and plates stay. */
export const setShopFigures = (
  database: Database,
  figures: ChangedFigures<Omit<ShopFigures, 'tools' | 'plates'>>,
  personId: string
): Promise<Outcome<ShopFigures>> => change(database, figures, personId);

/** Sets the tools; all else stays. */
export const setDrivingTools = (
  database: Database,
  { was, now }: ChangedFigures<DrivingTools>,
  personId: string
): Promise<Outcome<ShopFigures>> =>
  change(database, { was: { tools: was }, now: { tools: now } }, personId);

/** Sets the gauge plates; all else stays. */
export const setShopPlates = (
  database: Database,
  { was, now }: ChangedFigures<ShopPlate[]>,
  personId: string
): Promise<Outcome<ShopFigures>> =>
  change(database, { was: { plates: was }, now: { plates: now } }, personId);
