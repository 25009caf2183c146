import { cageTasks, type CageTask } from '../../../core/prepare/cage/tasks.ts';
import { cageOfStep, type StepCage } from '../../../core/prepare/cage/step-cage.ts';
import { stepStream, tickedHoles } from '../../../core/prepare/progress.ts';
import type { StepCageLine } from '../../setting-view.ts';
import type { Database } from '../db/connect.ts';
import { eventsOfMany } from '../events/read.ts';
import { stepEvents } from '../events/step-events.ts';
import { planOf } from '../heavy/kept-plans.ts';
import { stepSettings } from './cages.ts';
import { getJoint } from './joints.ts';
import { shopFigures } from './ready.ts';

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
  const joint = await getJoint(database, jointId);
  const planned = joint.ok ? await planOf(joint.value) : null;
  if (!joint.ok || !planned?.ok) return null;
  const { definition, plan } = planned.value;
  const task = cageTasks(definition, plan, joint.value.profile).find((one) => one.key === key);
  const { recheckEvery } = await shopFigures(database);
  return task
    ? { ...task, jointId, work: `${joint.value.title}: ${task.name}`, recheckEvery }
    : null;
}

/** Settings made for the steps of some joints, the latest first, by joint. */
async function settingsOfJoints(
  database: Database,
  jointIds: readonly string[]
): Promise<Map<string, StepCageLine[]>> {
  const byJoint = new Map<string, StepCageLine[]>();
  for (const setting of await stepSettings(database, jointIds))
    if (setting.jointId !== null)
      byJoint.set(setting.jointId, [...(byJoint.get(setting.jointId) ?? []), setting]);
  return byJoint;
}

/** Settings made for the steps of one joint, the latest first. */
export const settingsOfJoint = async (
  database: Database,
  jointId: string
): Promise<StepCageLine[]> => (await settingsOfJoints(database, [jointId])).get(jointId) ?? [];

/** The cage that a step is cut with, and whether it may go on. */
type SetCage = NonNullable<StepCage<StepCageLine>['set']>;

/**
 * How the cage of each countersinking step is set, by joint and by the step's key.
 *
 * @param restsOf what a step's setting must rest on; null where the joint as it is now was not planned
 */
export async function cagesOfSteps(
  database: Database,
  jointIds: readonly string[],
  restsOf: (step: string) => string | null = () => null
): Promise<Map<string, Map<string, SetCage>>> {
  const settings = await settingsOfJoints(database, jointIds);
  const ticks = await eventsOfMany(database, stepEvents, [...settings.keys()]);
  const cages = new Map<string, Map<string, SetCage>>();
  for (const [jointId, own] of settings) {
    const standings = stepStream.project(null, ticks.get(jointId) ?? []);
    const ofJoint = new Map<string, SetCage>();
    for (const step of new Set(own.map((setting) => setting.step))) {
      const { set } = cageOfStep(
        own,
        { key: step, cageRests: restsOf(step) },
        tickedHoles(standings.get(step))
      );
      if (set) ofJoint.set(step, set);
    }
    cages.set(jointId, ofJoint);
  }
  return cages;
}
