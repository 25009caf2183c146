import { isDeepStrictEqual } from 'node:util';
import type { TimedWork } from '../../../core/ready/operations.ts';
import { ReadyMove, type ReadyEvent } from '../../../core/ready/progress.ts';
import { ShopFigures, STARTING_FIGURES } from '../../../core/ready/shop-figures.ts';
import type { Database } from '../db/connect.ts';
import type { ReadyEventRow } from '../db/models.ts';
import { done, refused, type Outcome } from './outcome.ts';

const toMove = ({ id, at, step, hole, of, done: ticked, timed }: ReadyEventRow): ReadyMove => ({
  id,
  at: at.toISOString(),
  step,
  hole,
  of,
  done: ticked,
  timed
});

/** Ticks of a joint in the order recorded. */
export async function readyEvents({ models }: Database, jointId: string): Promise<ReadyEvent[]> {
  const [rows, people] = await Promise.all([
    models.ReadyEventRow.findAll({ where: { jointId }, order: [['seq', 'ASC']] }),
    models.Person.findAll()
  ]);
  const names = new Map(people.map((person) => [person.id, person.name]));
  return rows.map((row) => ({ ...toMove(row), by: names.get(row.personId) ?? '' }));
}

/** Records ticks; the same tick sent twice is stored once. @returns every tick of the joint */
export async function recordReady(
  database: Database,
  jointId: string,
  moves: readonly ReadyMove[],
  personId: string
): Promise<Outcome<ReadyEvent[]>> {
  const { sequelize, models } = database;
  const outcome = await sequelize.transaction(async (transaction): Promise<Outcome<null>> => {
    const joint = await models.Joint.findByPk(jointId, { transaction });
    if (!joint) return refused('not-found', 'there is no such joint');
    for (const move of moves) {
      const [row, fresh] = await models.ReadyEventRow.findOrCreate({
        where: { id: move.id },
        defaults: { ...move, jointId, personId, at: new Date(move.at) },
        transaction
      });
      const sent = { ...move, at: new Date(move.at).toISOString() };
      if (!fresh && !(row.jointId === jointId && isDeepStrictEqual(toMove(row), sent)))
        return refused('conflict', 'another tick was stored under this id');
    }
    return done(null);
  });
  return outcome.ok ? done(await readyEvents(database, jointId)) : outcome;
}

/** The works that people timed, of all joints. */
export async function timedWorks({ models }: Database): Promise<TimedWork[]> {
  const rows = await models.ReadyEventRow.findAll({
    where: { done: true },
    attributes: ['timed'],
    order: [['seq', 'ASC']]
  });
  return rows.flatMap(({ timed }) => (timed ? [timed] : []));
}

/** The shop's own times and holders, as set last. */
export async function shopFigures({ models }: Database): Promise<ShopFigures> {
  const last = await models.ShopFiguresRow.findOne({ order: [['seq', 'DESC']] });
  return last ? ShopFigures.parse(last.figures) : STARTING_FIGURES;
}

/** Sets them; what was set before stays in the table. */
export async function setShopFigures(
  { models }: Database,
  figures: ShopFigures,
  personId: string
): Promise<Outcome<ShopFigures>> {
  await models.ShopFiguresRow.create({ figures, personId });
  return done(figures);
}
