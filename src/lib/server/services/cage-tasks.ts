import { readStored } from '../../../core/joint/read-entered.ts';
import { cageTasks, type CageTask } from '../../../core/ready/cage/tasks.ts';
import { cageOfStep, type StepCage } from '../../../core/ready/cage/step-cage.ts';
import { tickedHoles } from '../../../core/ready/progress.ts';
import { plan } from '../../../core/plan.ts';
import { RuleProfile } from '../../../core/rules/profile.ts';
import type { JointCageSetting } from '../../cage-view.ts';
import type { Database } from '../db/connect.ts';
import { settingsWhere } from './cages.ts';
import { readyEvents, shopFigures } from './ready.ts';

/** A countersinking step of a stored joint, for which a cage is to be set. */
export interface JointCageTask extends CageTask {
  jointId: string;
  /** the joint's name and the sheet */
  work: string;
  recheckEvery: number;
}

/** @returns null where there is no such joint or step, or the joint cannot be laid out as it stands */
export async function cageTaskOf(
  database: Database,
  jointId: string,
  key: string
): Promise<JointCageTask | null> {
  const { models } = database;
  const joint = await models.Joint.findByPk(jointId);
  if (!joint) return null;
  const profile = await models.Profile.findByPk(joint.profileId, { rejectOnEmpty: true });
  const read = readStored(joint.definition);
  if (!read.ok) return null;
  const rules = RuleProfile.parse(profile.rules);
  const task = cageTasks(read.definition, plan(read.definition, rules), rules).find(
    (one) => one.key === key
  );
  const { recheckEvery } = await shopFigures(database);
  return task ? { ...task, jointId, work: `${joint.title}: ${task.name}`, recheckEvery } : null;
}

/** Settings made for the steps of one joint, the latest first. */
export async function settingsOfJoint(
  database: Database,
  jointId: string
): Promise<JointCageSetting[]> {
  const settings = await settingsWhere(database, { jointId });
  const cages = await database.models.CageRow.findAll({
    where: { id: settings.map(({ cageId }) => cageId) }
  });
  const nameOf = new Map(cages.map(({ id, name, cutter }) => [id, `${name}, ${cutter}`]));
  return settings.flatMap((setting) =>
    setting.step === null
      ? []
      : [{ ...setting, step: setting.step, cage: nameOf.get(setting.cageId) ?? '' }]
  );
}

/** How the cage of each countersinking step is set, and whether it may go on, by the step's key. */
export async function cagesOfSteps(
  database: Database,
  jointId: string
): Promise<Map<string, NonNullable<StepCage<JointCageSetting>['set']>>> {
  const settings = await settingsOfJoint(database, jointId);
  const ticks = settings.length === 0 ? [] : await readyEvents(database, jointId);
  const cages = new Map<string, NonNullable<StepCage<JointCageSetting>['set']>>();
  for (const step of new Set(settings.map((setting) => setting.step))) {
    const holes = tickedHoles(ticks.filter((tick) => tick.step === step));
    const { set } = cageOfStep(settings, step, holes);
    if (set) cages.set(step, set);
  }
  return cages;
}
