import { plan } from '../plan/plan.ts';
import { planCost, STEPS_FOR_A_LIST } from '../plan/plan-cost.ts';
import { blocksOf } from '../plan/blocks.ts';
import type { Plan, Station } from '../plan/plan-shape.ts';
import type { PlanWarningSaid } from '../plan/warning-said.ts';
import { told, type RefusalSaid } from '../refusal-said.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { EnteredJoint, JointKind } from '../kinds/joint.ts';
import { placedPath, valueAt } from '../joint/paths.ts';
import { readEntered, type EntryProblem } from '../kinds/read-entered.ts';
import { stopsOf } from '../plan/stops.ts';

/** What a joint takes of one rivet. */
export interface PartCount {
  partNumber: string;
  count: number;
}

/** What a list says of a joint that is not released as it stands; kept with the joint when it is saved. */
export interface PlanSummary {
  kind: JointKind;
  /** `costly`: its rows take too long to solve for a mere list */
  state: 'unreadable' | 'impossible' | 'costly' | 'planned';
  /** the first stage that stops it; null where none does */
  stoppedAt: Station | null;
  holes: number;
  /** by part number; null while that is not known, or something stops the joint: nobody sets rivets out for it */
  parts: PartCount[] | null;
  /** what stops it; a field that is still empty by its path, items by their place */
  attention: ({ missing: string } | { why: RefusalSaid } | { stop: PlanWarningSaid })[];
}

/** Raised whenever a summary would come out differently: those kept are then made anew. */
export const SUMMARY_VERSION = 8;

/** The first reason why a joint cannot be made, or null. */
function refusalOf({ layout, stacks }: Plan): RefusalSaid | null {
  for (const answer of [layout, ...stacks.map(({ length }) => length)])
    if (!answer.ok) return answer.error.said;
  return null;
}

function partsOf({ stacks }: Plan): PartCount[] {
  const counts = new Map<string, number>();
  for (const { rivets, length } of stacks)
    if (length.ok)
      counts.set(length.result.partNumber, (counts.get(length.result.partNumber) ?? 0) + rivets);
  return [...counts].map(([partNumber, count]) => ({ partNumber, count }));
}

/** The first field that cannot be read: empty, or why. */
function whatIsWrong(
  entered: EnteredJoint,
  problem: EntryProblem | undefined
): PlanSummary['attention'][number] {
  if (!problem) return { why: told('a field cannot be read') };
  return String(valueAt(entered, problem.path) ?? '').trim() === ''
    ? { missing: placedPath(entered, problem.path) }
    : { why: problem.said };
}

/** Plans a joint and says in short what came of it. */
export function summaryOf(entered: EnteredJoint, profile: RuleProfile): PlanSummary {
  const { kind } = entered;
  const nothing = { kind, stoppedAt: null, holes: 0, parts: null, attention: [] };
  const read = readEntered(entered);
  if (!read.ok)
    return {
      ...nothing,
      state: 'unreadable',
      attention: [whatIsWrong(entered, read.problems[0])]
    };
  if (planCost(read.definition) > STEPS_FOR_A_LIST) return { ...nothing, state: 'costly' };
  const planned = plan(read.definition, profile);
  const refusal = refusalOf(planned);
  if (refusal !== null || !planned.layout.ok)
    return {
      ...nothing,
      state: 'impossible',
      stoppedAt: blocksOf(planned)[0]?.station ?? null,
      attention: refusal === null ? [] : [{ why: refusal }]
    };
  const stops = stopsOf(planned);
  return {
    kind,
    state: 'planned',
    stoppedAt: blocksOf(planned)[0]?.station ?? null,
    holes: planned.layout.result.rivets,
    parts: stops.length > 0 ? null : partsOf(planned),
    attention: stops.map(({ said }) => ({ stop: said }))
  };
}
