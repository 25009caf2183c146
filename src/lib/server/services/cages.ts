import { isPracticeJoint } from './practice.ts';
import { NO_SETTING } from './tool-settings.ts';
import { isDeepStrictEqual } from 'node:util';
import { UniqueConstraintError, type InferAttributes, type WhereOptions } from 'sequelize';
import { Cage } from '../../../core/prepare/cage/cage.ts';
import { offerFor } from '../../../core/prepare/cage/remembered.ts';
import { setupChecks } from '../../../core/prepare/cage/setup-checks.ts';
import { stepStream, tickedHoles } from '../../../core/prepare/progress.ts';
import type { NewSetting } from '../../api/cages.ts';
import type { CageLine, CageSettingView, CageView, StepCageLine } from '../../setting-view.ts';
import type { Database } from '../db/connect.ts';
import type { CageSettingRow } from '../db/setting-models.ts';
import { cageEvents } from '../events/setting-events.ts';
import { checkInWords } from '../../words/cages.ts';
import { done, refused, type Outcome } from '../outcome.ts';
import { readyEvents } from './ready.ts';
import { begun, withStates, WITH_PERSON } from './trial-settings.ts';

/** Settings of cages with what happened to them, the latest first. */
export async function cageSettings(
  database: Database,
  where: WhereOptions<InferAttributes<CageSettingRow>> = {}
): Promise<CageLine[]> {
  return (await settingsWhere(database, where)).map(({ line }) => line);
}

/** Settings that were made for steps of some joints, the latest first. */
export async function stepSettings(
  database: Database,
  jointIds: readonly string[]
): Promise<StepCageLine[]> {
  const settings = await settingsWhere(database, { jointId: [...jointIds] });
  return settings.flatMap(({ line, row: { step, rests, cage } }) =>
    step === null || !cage ? [] : [{ ...line, step, rests, cage: `${cage.name}, ${cage.cutter}` }]
  );
}

async function settingsWhere(
  database: Database,
  where: WhereOptions<InferAttributes<CageSettingRow>>
) {
  const rows = await database.models.CageSettingRow.findAll({
    ...WITH_PERSON,
    include: [...WITH_PERSON.include, 'cage'],
    where
  });
  const settings = await withStates(database, cageEvents, rows);
  return settings.map(({ row, events, setting, line }) => ({
    row,
    events,
    setting: { ...setting, cageId: row.cageId },
    line: { ...line, cageId: row.cageId }
  }));
}

/** Every cage with its settings, the latest first. */
export async function listCages(database: Database): Promise<CageView[]> {
  const [cages, settings] = await Promise.all([
    database.models.CageRow.findAll({ order: ['name', 'cutter'] }),
    cageSettings(database)
  ]);
  return cages.map(({ id, cage }) => ({
    id,
    cage: Cage.parse(cage),
    settings: settings.filter(({ cageId }) => cageId === id)
  }));
}

/** One cage with its own settings. */
export async function getCage(database: Database, id: string): Promise<Outcome<CageView>> {
  const row = await database.models.CageRow.findByPk(id);
  if (!row) return refused('not-found', 'no such stop countersink');
  return done({
    id,
    cage: Cage.parse(row.cage),
    settings: await cageSettings(database, { cageId: id })
  });
}

/** @returns the new cage's id; a cage of one name may hold several cutters, each of them once */
export async function addCage(
  { models }: Database,
  cage: Cage,
  id: string,
  personId: string
): Promise<Outcome<string>> {
  const { name, cutter } = cage;
  const made = await models.CageRow.findOrCreate({
    where: { name, cutter },
    defaults: { id, name, cutter, cage, personId }
  }).catch((error: unknown) => {
    // not its name, so its id
    if (error instanceof UniqueConstraintError) return null;
    throw error;
  });
  if (made === null) return refused('conflict', 'another stop countersink has this id');
  const [row, fresh] = made;
  return fresh || (row.id === id && isDeepStrictEqual(row.cage, cage))
    ? done(row.id)
    : refused('conflict', `${name} with cutter ${cutter} is there already`);
}

/** Begins a setting once everything before the first hole is right. */
export async function beginSetting(
  database: Database,
  cageId: string,
  { id, setup, step, work }: NewSetting,
  personId: string,
  begunAt = new Date()
): Promise<Outcome<string>> {
  const { models } = database;
  const cage = await models.CageRow.findByPk(cageId);
  if (!cage) return refused('not-found', 'no such stop countersink');
  const wrong = setupChecks(Cage.parse(cage.cage), setup).find(({ verdict }) => verdict === 'stop');
  if (wrong)
    return refused('not-possible', (length) => {
      const { title, say } = checkInWords(wrong, length);
      return `${title}? ${say}`;
    });
  if (step && !(await models.Joint.findByPk(step.jointId)))
    return refused('not-found', 'there is no such joint');
  if (step && (await isPracticeJoint(database, step.jointId)))
    return refused('not-possible', NO_SETTING);
  const sent = {
    id,
    cageId,
    jointId: step?.jointId ?? null,
    step: step?.key ?? null,
    work,
    setup
  };
  return begun(
    await models.CageSettingRow.findOrCreate({
      where: { id },
      defaults: { ...sent, rests: step?.rests ?? '', personId, begunAt }
    }),
    sent
  );
}

/** Holes of a step that are ticked off. */
async function holesCutOf(
  database: Database,
  jointId: string | null,
  step: string | null
): Promise<number | null> {
  if (jointId === null || step === null) return null;
  const ticks = await readyEvents(database, jointId);
  return tickedHoles(stepStream.project(null, ticks).get(step));
}

/** One setting with its events, and what its cage remembers for the same work. */
export async function getSetting(
  database: Database,
  id: string
): Promise<Outcome<CageSettingView>> {
  const [one] = await settingsWhere(database, { id });
  if (!one) return refused('not-found', 'there is no such setting');
  const { row, events, setting } = one;
  const [own, holesCut] = await Promise.all([
    getCage(database, row.cageId),
    holesCutOf(database, row.jointId, row.step)
  ]);
  if (!own.ok) return own;
  const { cage, settings } = own.value;
  const before = settings.filter((had) => had.id !== id && had.begunAt <= setting.begunAt);
  const offer = offerFor(setting.setup, before);
  const found = offer?.state.found;
  return done({
    ...setting,
    cage,
    events,
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
