import type { Joint } from '../../kinds/joint.ts';
import type { Plan } from '../../plan/plan-shape.ts';
import { stopsOf } from '../../plan/stops.ts';
import type { RuleProfile } from '../../rules/profile.ts';
import { flushWorks, type FlushWork } from '../flush-work.ts';
import type { CageSetup } from './setup.ts';

type TaskSetup = Pick<
  CageSetup,
  'dash' | 'seat' | 'sheetIn' | 'material' | 'skinIn' | 'holeIn' | 'school'
>;

/** What a setting is good for, as one fingerprint: where a step's differs, the cage is to be set anew. */
const settingRests = (of: TaskSetup, cutDeg: number): string =>
  JSON.stringify([
    of.dash,
    of.seat,
    of.sheetIn,
    of.material,
    of.skinIn,
    of.holeIn,
    of.school,
    cutDeg
  ]);

/** A countersinking step of a joint that a cage must be set for. */
export interface CageTask {
  /** the step's key */
  key: string;
  /** what is cut */
  name: string;
  holes: number[];
  cutDeg: number;
  /** fingerprint of what a setting for it rests on */
  rests: string;
  setup: TaskSetup;
}

/**
 * What a cage must be set for to do one work of a joint, with everything that the joint itself says of the setting.
 *
 * @returns lengths in inches; a cut of another angle than the head's is found with a dimpled scrap in it; null where it
 *   is no countersinking
 */
export function cageTask(
  { key, stack, tool, holes, of }: FlushWork,
  { flushness }: Pick<RuleProfile, 'flushness'>
): CageTask | null {
  if (tool.op !== 'countersink') return null;
  const sheet = stack.sheets[tool.sheet];
  const aboveIn = stack.sheets
    .slice(0, tool.sheet)
    .reduce((sum, { thicknessIn }) => sum + thicknessIn, 0);
  const setup: TaskSetup = {
    dash: stack.dash,
    seat: tool.byTrial ? 'dimpled-scrap' : 'rivet',
    sheetIn: sheet?.thicknessIn ?? 0,
    material: sheet?.material ?? '',
    skinIn: tool.sheet === 0 ? null : aboveIn,
    holeIn: stack.hole.diameterIn,
    school: flushness
  };
  return {
    key,
    name: of === null ? tool.name : `${tool.name}, ${of}`,
    holes: holes.map(({ number }) => number),
    cutDeg: tool.cutDeg,
    rests: settingRests(setup, tool.cutDeg),
    setup
  };
}

/** What must be countersunk in a joint; nothing while it is stopped. */
export const cageTasks = (joint: Joint, plan: Plan, profile: RuleProfile): CageTask[] =>
  stopsOf(plan).length > 0
    ? []
    : flushWorks(joint, plan, profile).flatMap((work) => cageTask(work, profile) ?? []);
