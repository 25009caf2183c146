import type { Joint } from '../kinds/joint.ts';
import type { PlannedHole } from '../plan/holes.ts';
import type { Plan, PlannedStack } from '../plan/plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { flushTools, type FlushTool } from '../stack/flush-tools.ts';

/** One sheet of one stack that is dimpled or countersunk. */
export interface FlushWork {
  /** stays the same while the joint does; its step has it too */
  key: string;
  stack: PlannedStack;
  tool: Exclude<FlushTool, { op: 'plain' }>;
  holes: PlannedHole[];
  /** names the stack where there are several */
  of: string | null;
}

/**
 * Everything that is dimpled or countersunk before the first rivet, stack by stack from the top. Sheets that the rivet itself
 * dimples are not: that is done rivet by rivet while driving.
 */
export function flushWorks(joint: Joint, plan: Plan, profile: RuleProfile): FlushWork[] {
  const works: FlushWork[] = [];
  for (const [index, stack] of plan.stacks.entries()) {
    if (!stack.flush?.ok) continue;
    const holes = plan.holes.filter((hole) => hole.stack === index && hole.flushed);
    if (holes.length === 0) continue;
    const of = plan.stacks.length > 1 ? stack.name : null;
    const tools = flushTools(
      stack.sheets,
      stack.dash,
      stack.flush.result.method,
      profile,
      joint.family
    );
    for (const tool of tools) {
      if (tool.op === 'plain' || (tool.op === 'dimple' && tool.together)) continue;
      works.push({ key: `${tool.op}-${index}-${tool.sheet}`, stack, tool, holes, of });
    }
  }
  return works;
}

/** Holes whose sheets are dimpled together, with the rivet as punch, while driving. */
export const dimpledDriving = ({ holes, stacks }: Pick<Plan, 'holes' | 'stacks'>): PlannedHole[] =>
  holes.filter((hole) => {
    const flush = stacks[hole.stack]?.flush;
    return hole.flushed && flush?.ok && flush.result.method === 'dimple-together';
  });
