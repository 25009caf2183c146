import { isDeepStrictEqual } from 'node:util';
import { z } from 'zod';
import type { Cage } from '../../../core/ready/cage/cage.ts';
import { offerFor } from '../../../core/ready/cage/remembered.ts';
import {
  follow,
  settingState,
  type CageEvent,
  type CageMove
} from '../../../core/ready/cage/setting.ts';
import { CageSetup } from '../../../core/ready/cage/setup.ts';
import { setupChecks } from '../../../core/ready/cage/setup-checks.ts';
import { tickedHoles } from '../../../core/ready/progress.ts';
import type { CageView, SettingView } from '../../cage-view.ts';
import type { CageEventRow, CageSettingRow } from '../db/cage-models.ts';
import type { Database } from '../db/connect.ts';
import { done, refused, type Outcome } from './outcome.ts';
import { readyEvents } from './ready.ts';

/** What a page sends to begin a setting; a repeat is stored once by its id. */
export const NewSetting = z.strictObject({
  id: z.uuid(),
  setup: CageSetup,
  /** the joint's step that it is for */
  step: z.strictObject({ jointId: z.uuid(), key: z.string().min(1).max(60) }).nullable(),
  work: z.string().trim().max(160).default('')
});
export type NewSetting = z.output<typeof NewSetting>;

const namesOf = async ({ models }: Database): Promise<Map<string, string>> =>
  new Map((await models.Person.findAll()).map(({ id, name }) => [id, name]));

const toEvent = (
  { move, found, personId }: CageEventRow,
  names: Map<string, string>
): CageEvent => ({
  ...move,
  found,
  by: names.get(personId) ?? ''
});

/** A setting with whatever names its cage and its step. */
type PlacedSetting = CageView['settings'][number] & { cageId: string; step: string | null };

/** Settings with what happened to them, the latest first. */
export async function settingsWhere(
  database: Database,
  where: { jointId?: string }
): Promise<PlacedSetting[]> {
  const { models } = database;
  const rows = await models.CageSettingRow.findAll({ where, order: [['seq', 'DESC']] });
  const [events, names] = await Promise.all([
    models.CageEventRow.findAll({
      where: { settingId: rows.map(({ id }) => id) },
      order: [['seq', 'ASC']]
    }),
    namesOf(database)
  ]);
  const bySetting = new Map(rows.map(({ id }): [string, CageEvent[]] => [id, []]));
  for (const event of events) bySetting.get(event.settingId)?.push(toEvent(event, names));
  return rows.map(({ id, cageId, step, work, setup, begunAt, personId }) => ({
    id,
    cageId,
    step,
    work,
    setup,
    begunAt: begunAt.toISOString(),
    by: names.get(personId) ?? '',
    state: settingState(setup, bySetting.get(id) ?? [])
  }));
}

/** Every cage with its settings, the latest first. */
export async function listCages(database: Database): Promise<CageView[]> {
  const [cages, settings] = await Promise.all([
    database.models.CageRow.findAll({ order: ['name', 'cutter'] }),
    settingsWhere(database, {})
  ]);
  return cages.map(({ id, cage }) => ({
    id,
    cage,
    settings: settings.filter(({ cageId }) => cageId === id)
  }));
}

/** @returns the new cage's id; a cage of one name may hold several cutters, each of them once */
export async function addCage(
  { models }: Database,
  cage: Cage,
  id: string,
  personId: string
): Promise<Outcome<string>> {
  const { name, cutter } = cage;
  const [row, fresh] = await models.CageRow.findOrCreate({
    where: { name, cutter },
    defaults: { id, name, cutter, cage, personId }
  });
  return fresh || (row.id === id && isDeepStrictEqual(row.cage, cage))
    ? done(row.id)
    : refused('conflict', `${name} with cutter ${cutter} is there already`);
}

/** Begins a setting once everything before the first hole is right. */
export async function beginSetting(
  { models }: Database,
  cageId: string,
  { id, setup, step, work }: NewSetting,
  personId: string
): Promise<Outcome<string>> {
  const cage = await models.CageRow.findByPk(cageId);
  if (!cage) return refused('not-found', 'there is no such cage');
  const wrong = setupChecks(cage.cage, setup).find(({ verdict }) => verdict === 'stop');
  if (wrong) return refused('not-possible', `${wrong.title}? ${wrong.say}`);
  if (step && !(await models.Joint.findByPk(step.jointId)))
    return refused('not-found', 'there is no such joint');
  const [row, fresh] = await models.CageSettingRow.findOrCreate({
    where: { id },
    defaults: {
      id,
      cageId,
      jointId: step?.jointId ?? null,
      step: step?.key ?? null,
      work,
      setup,
      personId
    }
  });
  return fresh || (row.cageId === cageId && isDeepStrictEqual(row.setup, setup))
    ? done(id)
    : refused('conflict', 'another setting was stored under this id');
}

/** Holes of a step that are ticked off. */
async function holesCutOf(
  database: Database,
  { jointId, step }: CageSettingRow
): Promise<number | null> {
  if (jointId === null || step === null) return null;
  const events = await readyEvents(database, jointId);
  return tickedHoles(events.filter((event) => event.step === step));
}

/** One setting with its events, and what its cage remembers for the same work. */
export async function getSetting(database: Database, id: string): Promise<Outcome<SettingView>> {
  const { models } = database;
  const row = await models.CageSettingRow.findOne({ where: { id } });
  if (!row) return refused('not-found', 'there is no such setting');
  const [cages, names, events, holesCut] = await Promise.all([
    listCages(database),
    namesOf(database),
    models.CageEventRow.findAll({ where: { settingId: id }, order: [['seq', 'ASC']] }),
    holesCutOf(database, row)
  ]);
  const own = cages.find((cage) => cage.id === row.cageId);
  if (!own) return refused('not-found', 'there is no such cage');
  const begunAt = row.begunAt.toISOString();
  const before = own.settings.filter((setting) => setting.id !== id && setting.begunAt <= begunAt);
  const offer = offerFor(row.setup, before);
  const found = offer?.state.found;
  return done({
    id,
    cageId: row.cageId,
    cage: own.cage,
    setup: row.setup,
    work: row.work,
    jointId: row.jointId,
    begunAt,
    by: names.get(row.personId) ?? '',
    events: events.map((event) => toEvent(event, names)),
    holesCut,
    offered:
      offer && found
        ? {
            clicks: found.clicks,
            at: found.at,
            by: found.by,
            couponIn: offer.setup.couponIn,
            couponMaterial: offer.setup.couponMaterial
          }
        : null
  });
}

/** Thrown to take back a transaction whose event was refused. */
class Refused extends Error {
  constructor(readonly outcome: Outcome<never>) {
    super('refused');
  }
}

/**
 * Records what happened to a setting, in order, if each may follow on what happened before: all or none. What was sent
 * twice is stored once.
 *
 * @returns every event of the setting
 */
export async function recordCageMoves(
  database: Database,
  settingId: string,
  moves: readonly CageMove[],
  personId: string
): Promise<Outcome<CageEvent[]>> {
  const { sequelize, models } = database;
  const names = await namesOf(database);
  const refuse = (...said: Parameters<typeof refused>): never => {
    throw new Refused(refused(...said));
  };
  try {
    return await sequelize.transaction(async (transaction) => {
      // Held until the end: two hands must not both finish one setting.
      const setting = await models.CageSettingRow.findOne({
        where: { id: settingId },
        transaction,
        lock: transaction.LOCK.UPDATE
      });
      if (!setting) return refuse('not-found', 'there is no such setting');
      const rows = await models.CageEventRow.findAll({
        where: { settingId },
        order: [['seq', 'ASC']],
        transaction
      });
      const events = rows.map((row) => toEvent(row, names));
      for (const move of moves) {
        const known = await models.CageEventRow.findOne({ where: { id: move.id }, transaction });
        if (known) {
          if (known.settingId !== settingId || !isDeepStrictEqual(known.move, move))
            return refuse('conflict', 'another event was stored under this id');
          continue;
        }
        const may = follow(setting.setup, events, move);
        if (!may.ok) return refuse('not-possible', may.error.message);
        const row = await models.CageEventRow.create(
          { id: move.id, settingId, move, found: may.result, personId },
          { transaction }
        );
        events.push(toEvent(row, names));
      }
      return done(events);
    });
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    return error.outcome;
  }
}
