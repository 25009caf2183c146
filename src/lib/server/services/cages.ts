import { isDeepStrictEqual } from 'node:util';
import { UniqueConstraintError } from 'sequelize';
import { Cage } from '../../../core/ready/cage/cage.ts';
import { offerFor } from '../../../core/ready/cage/remembered.ts';
import { cageStream } from '../../../core/ready/cage/setting.ts';
import { CageSetup } from '../../../core/ready/cage/setup.ts';
import { setupChecks } from '../../../core/ready/cage/setup-checks.ts';
import { stepStream, tickedHoles } from '../../../core/ready/progress.ts';
import type { NewSetting } from '../../api/cages.ts';
import type { CageView, SettingView } from '../../cage-view.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';
import { cageEvents, settingEvents } from '../events/cage-events.ts';
import { eventsOfMany } from '../events/read.ts';
import { checkInWords } from '../../words/cages.ts';
import { done, refused, type Outcome } from '../outcome.ts';
import { readyEvents } from './ready.ts';

/** A setting with whatever names its cage and its step. */
type PlacedSetting = CageView['settings'][number] & {
  cageId: string;
  /** the cage's name and its cutter's */
  cage: string;
  jointId: string | null;
  step: string | null;
  /** what of the joint it rests on; empty where that was not kept */
  rests: string;
};

interface SettingRow {
  id: string;
  cage_id: string;
  cage: string;
  joint_id: string | null;
  step: string | null;
  rests: string;
  work: string;
  setup: unknown;
  begun_at: Date;
  by: string;
}

const SETTINGS = `select s.id, s.cage_id, c.name || ', ' || c.cutter as cage, s.joint_id, s.step, s.rests,
  s.work, s.setup, s.begun_at, p.name as by
  from cage_settings s join cages c on c.id = s.cage_id join people p on p.id = s.person_id`;

/** Settings with what happened to them, the latest first; two queries. */
export async function settingsWhere(
  database: Database,
  where: { jointIds?: readonly string[]; cageId?: string }
): Promise<PlacedSetting[]> {
  const rows = await rowsOf<SettingRow>(
    database,
    `${SETTINGS} where ($1::uuid[] is null or s.joint_id = any($1::uuid[]))
     and ($2::uuid is null or s.cage_id = $2) order by s.seq desc`,
    [where.jointIds ? [...where.jointIds] : null, where.cageId ?? null]
  );
  const events = await eventsOfMany(
    database,
    cageEvents,
    rows.map(({ id }) => id)
  );
  return rows.map(({ id, cage_id: cageId, joint_id: jointId, begun_at: begunAt, ...row }) => {
    const setup = CageSetup.parse(row.setup);
    return {
      ...row,
      id,
      cageId,
      jointId,
      setup,
      begunAt: begunAt.toISOString(),
      state: cageStream.project(setup, events.get(id) ?? [])
    };
  });
}

/** Every cage with its settings, the latest first. */
export async function listCages(database: Database): Promise<CageView[]> {
  const [cages, settings] = await Promise.all([
    database.models.CageRow.findAll({ order: ['name', 'cutter'] }),
    settingsWhere(database, {})
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
  if (!row) return refused('not-found', 'there is no such cage');
  return done({
    id,
    cage: Cage.parse(row.cage),
    settings: await settingsWhere(database, { cageId: id })
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
  if (made === null) return refused('conflict', 'another cage was stored under this id');
  const [row, fresh] = made;
  return fresh || (row.id === id && isDeepStrictEqual(row.cage, cage))
    ? done(row.id)
    : refused('conflict', `${name} with cutter ${cutter} is there already`);
}

/** Begins a setting once everything before the first hole is right. */
export async function beginSetting(
  { models }: Database,
  cageId: string,
  { id, setup, step, work }: NewSetting,
  personId: string,
  begunAt = new Date()
): Promise<Outcome<string>> {
  const cage = await models.CageRow.findByPk(cageId);
  if (!cage) return refused('not-found', 'there is no such cage');
  const wrong = setupChecks(Cage.parse(cage.cage), setup).find(({ verdict }) => verdict === 'stop');
  if (wrong)
    return refused('not-possible', (length) => {
      const { title, say } = checkInWords(wrong, length);
      return `${title}? ${say}`;
    });
  if (step && !(await models.Joint.findByPk(step.jointId)))
    return refused('not-found', 'there is no such joint');
  const [row, fresh] = await models.CageSettingRow.findOrCreate({
    where: { id },
    defaults: {
      id,
      cageId,
      jointId: step?.jointId ?? null,
      step: step?.key ?? null,
      rests: step?.rests ?? '',
      work,
      setup,
      personId,
      begunAt
    }
  });
  const same =
    row.cageId === cageId &&
    row.jointId === (step?.jointId ?? null) &&
    row.step === (step?.key ?? null) &&
    row.work === work &&
    isDeepStrictEqual(row.setup, setup);
  return fresh || same ? done(id) : refused('conflict', 'another setting was stored under this id');
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
export async function getSetting(database: Database, id: string): Promise<Outcome<SettingView>> {
  const [row] = await rowsOf<SettingRow>(database, `${SETTINGS} where s.id = $1`, [id]);
  if (!row) return refused('not-found', 'there is no such setting');
  const [own, events, holesCut] = await Promise.all([
    getCage(database, row.cage_id),
    settingEvents(database, id),
    holesCutOf(database, row.joint_id, row.step)
  ]);
  if (!own.ok) return own;
  const setup = CageSetup.parse(row.setup);
  const begunAt = row.begun_at.toISOString();
  const before = own.value.settings.filter(
    (setting) => setting.id !== id && setting.begunAt <= begunAt
  );
  const offer = offerFor(setup, before);
  const found = offer?.state.found;
  return done({
    id,
    cageId: row.cage_id,
    cage: own.value.cage,
    setup,
    work: row.work,
    jointId: row.joint_id,
    begunAt,
    by: row.by,
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
