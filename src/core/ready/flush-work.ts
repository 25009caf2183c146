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
  /** all sheets dimpled in one go, with the rivet's head as punch */
  together: boolean;
  /** names the stack where there are several */
  of: string | null;
}

/** Everything that is dimpled or countersunk, stack by stack from the top. */
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
      profile.dimpleAngles,
      joint.family
    );
    const together = tools.some((tool) => tool.op === 'dimple' && tool.together);
    for (const tool of tools) {
      if (tool.op === 'plain' || (together && tool.sheet > 0)) continue;
      works.push({ key: `${tool.op}-${index}-${tool.sheet}`, stack, tool, holes, together, of });
    }
  }
  return works;
}
