import type { Answer } from '../answer.ts';
import type { Joint } from '../kinds/joint.ts';
import type { Plan } from '../plan/plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { holderPlan, type HolderPlan } from './holder-plan.ts';
import { operationTime, type TimedWork } from './operations.ts';
import type { ShopFigures } from './shop-figures.ts';
import { stepList, type ReadyStep } from './step-list.ts';

/** The Make ready station of one joint: its steps and where sheet holders go. */
export interface ReadyPlan {
  steps: ReadyStep[];
  /** null while the joint cannot be laid out */
  holders: Answer<HolderPlan> | null;
}

/** Steps and holders of a planned joint, with the shop's own figures. */
export function readyPlan(
  joint: Joint,
  plan: Plan,
  profile: RuleProfile,
  shop: ShopFigures,
  recorded: readonly TimedWork[]
): ReadyPlan {
  if (!plan.layout.ok) return { steps: [], holders: null };
  const { every, pilot, final } = shop.holders;
  const holders = holderPlan(plan.layout.result.lines, every, { pilot, final });
  return {
    holders,
    steps: stepList(joint, plan, profile, holders.ok ? holders.result : null, (op) =>
      operationTime(op, shop.times, recorded)
    )
  };
}
