import type { ShopPlate } from '../../../core/devices/shop-plate.ts';
import type { DrivingTools } from '../../../core/drive/driving-tools.ts';
import type { TimedWork } from '../../../core/ready/operations.ts';
import { ReadyMove, type ReadyEvent } from '../../../core/ready/progress.ts';
import { ShopFigures, STARTING_FIGURES } from '../../../core/ready/shop-figures.ts';
import type { Database } from '../db/connect.ts';
import { inWork, rowsOf } from '../db/work.ts';
import { eventsOf } from '../events/read.ts';
import { stepEvents } from '../events/step-events.ts';
import { done, type Outcome } from './outcome.ts';

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

/** Sets some of them on those that stand now; what was set before stays in the table. */
async function setSome(
  database: Database,
  some: Partial<ShopFigures>,
  personId: string
): Promise<Outcome<ShopFigures>> {
  return inWork(database, async () => {
    const figures = { ...(await shopFigures(database)), ...some };
    await database.models.ShopFiguresRow.create({ figures, personId });
    return done(figures);
  });
}

/** Sets times and holders; tools and plates stay. */
export const setShopFigures = (
  database: Database,
  figures: Omit<ShopFigures, 'tools' | 'plates'>,
  personId: string
): Promise<Outcome<ShopFigures>> => setSome(database, figures, personId);

/** Sets the tools; all else stays. */
export const setDrivingTools = (
  database: Database,
  tools: DrivingTools,
  personId: string
): Promise<Outcome<ShopFigures>> => setSome(database, { tools }, personId);

/** Sets the gauge plates; all else stays. */
export const setShopPlates = (
  database: Database,
  plates: ShopPlate[],
  personId: string
): Promise<Outcome<ShopFigures>> => setSome(database, { plates }, personId);
