import { PILOT_DRILL } from '../catalog/rivets.ts';
import type { Answer } from '../answer.ts';
import type { Joint } from '../kinds/joint.ts';
import type { Plan, PlanWarning } from '../plan/plan-shape.ts';
import { stopsOf } from '../plan/stops.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { holderPlan, type HolderPlan } from './holder-plan.ts';
import { operationTime, type TimedWork } from './operations.ts';
import type { ShopFigures } from './shop-figures.ts';
import { stepList, type ReadyStep } from './step-list.ts';

/** The Make ready station of one joint: its steps and where sheet holders go. */
export interface ReadyPlan {
  steps: ReadyStep[];
  /** what stops the joint: there are no steps until it is mended */
  stops: PlanWarning[];
  /** null while the joint cannot be laid out, or is stopped */
  holders: Answer<HolderPlan> | null;
}

/** A holder in every so many holes, where chips and burrs must not come between. */
const CLOSED_EVERY = 2;

/** Steps and holders of a planned joint, with the shop's own figures. */
export function readyPlan(
  joint: Joint,
  plan: Plan,
  profile: RuleProfile,
  shop: ShopFigures,
  recorded: readonly TimedWork[]
): ReadyPlan {
  const stops = stopsOf(plan);
  if (!plan.layout.ok || stops.length > 0) return { steps: [], stops, holders: null };
  const { every, pilot, final } = shop.holders;
  // A hole held open stays at its own size: no holder of the final one goes there.
  const open = new Set(
    plan.holes.filter(({ state }) => state === 'held-open').map(({ number }) => number)
  );
  const lines = plan.layout.result.lines.map((line) => ({
    ...line,
    holes: line.holes.filter((hole) => !open.has(hole))
  }));
  // a clear panel is taken out before anything is drilled to size: the pilots' holders stay until then
  const oneSize =
    plan.layout.result.growth !== null ||
    plan.stacks.every(({ hole }) => hole.drill === PILOT_DRILL);
  // parts that stay together are drawn tight all along, so that nothing comes between them
  const nearer = joint.closed ? Math.min(every, CLOSED_EVERY) : every;
  const holders = holderPlan(lines, nearer, { pilot, final }, oneSize);
  return {
    holders,
    stops,
    steps: stepList(joint, plan, profile, holders.ok ? holders.result : null, (op) =>
      operationTime(op, shop.times, recorded)
    )
  };
}
