import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import type { EnteredOf, JointKind } from '../../src/core/kinds/joint.ts';
import { readyPlan } from '../../src/core/prepare/ready-plan.ts';
import { STARTING_FIGURES } from '../../src/core/prepare/shop-figures.ts';
import { definition, planned } from './joints.ts';
import { inInches, stepInWords } from './words.ts';

/** A line on a flange that only holds: eight holes of dash 4. */
export const FLANGE = {
  carries: 'attach',
  dash: 4,
  lengthIn: '10',
  flangeIn: '1',
  bendRadiusIn: '1/8'
} as const;

/** The steps of a joint before its first rivet. */
export function stepsOf<K extends JointKind>(
  kind: K,
  thick: string[],
  change: Partial<EnteredOf<K>> = {},
  profile = DEFAULT_PROFILE
) {
  const joint = definition(kind, thick, change);
  const plan = planned(joint, profile);
  // with their words as one reads them in inches
  return readyPlan(joint, plan, profile, STARTING_FIGURES, []).steps.map((step) => ({
    ...step,
    op: step.said.op,
    ...stepInWords(step, inInches)
  }));
}

/** How many of each, by the step's key. */
export const counts = (steps: ReturnType<typeof stepsOf>) =>
  Object.fromEntries(steps.map(({ key, count }) => [key, count]));
