import { z } from 'zod';
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
const settingRests = (of: TaskSetup, cutDeg: number, film: boolean): string =>
  JSON.stringify([
    of.dash,
    of.seat,
    of.sheetIn,
    of.material,
    of.skinIn,
    of.holeIn,
    of.school,
    cutDeg,
    film
  ]);

/** In the order of the fingerprint. */
const RESTS_ON = [
  'dash',
  'seat',
  'sheet',
  'material',
  'skin',
  'hole',
  'school',
  'angle',
  'film'
] as const;

/** One thing that a setting rested on and that is another now; lengths in inches. */
export interface SettingChange {
  what: (typeof RESTS_ON)[number];
  was: unknown;
  now: unknown;
}

const Kept = z.array(z.union([z.string(), z.number(), z.boolean(), z.null()]));

const kept = (rests: string) => {
  try {
    return Kept.safeParse(JSON.parse(rests)).data;
  } catch {
    return undefined;
  }
};

/**
 * What differs between what a setting was made for and what its step is now.
 *
 * @returns null where one of them cannot be compared
 */
export function settingChanges(was: string, now: string): SettingChange[] | null {
  const [before, after] = [kept(was), kept(now)];
  if (!before || !after) return was === now ? [] : null;
  return RESTS_ON.flatMap((what, at) =>
    before[at] === after[at] || before[at] === undefined
      ? []
      : [{ what, was: before[at], now: after[at] }]
  );
}

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
    rests: settingRests(setup, tool.cutDeg, sheet?.film ?? false),
    setup
  };
}

/** What must be countersunk in a joint; nothing while it is stopped. */
export const cageTasks = (joint: Joint, plan: Plan, profile: RuleProfile): CageTask[] =>
  stopsOf(plan).length > 0
    ? []
    : flushWorks(joint, plan, profile).flatMap((work) => cageTask(work, profile) ?? []);
