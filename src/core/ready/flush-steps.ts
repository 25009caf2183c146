import { num } from '../answer.ts';
import type { Joint } from '../joint/kinds.ts';
import type { Plan } from '../plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { flushTools } from '../stack/flush-tools.ts';
import { CAUTIONS, numbersOf, type MadeStep } from './step-parts.ts';

/** Dimpling and countersinking, stack by stack (handbook 4.3 and 4.4). */
export function flushSteps(joint: Joint, plan: Plan, profile: RuleProfile): MadeStep[] {
  const made: MadeStep[] = [];
  for (const [index, stack] of plan.stacks.entries()) {
    if (!stack.flush?.ok) continue;
    const own = plan.holes.filter((hole) => hole.stack === index);
    const of = plan.stacks.length > 1 ? `, ${stack.name}` : '';
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
      const common = { count: own.length, holes: numbersOf(own) };
      if (tool.op === 'dimple')
        made.push({
          ...common,
          key: `dimple-${index}-${tool.sheet}`,
          op: 'dimple',
          title: `Dimple ${together ? 'the sheets together' : tool.name}${of}`,
          say: `${tool.hot === 'hot' ? 'Hot: this temper cracks cold. ' : tool.hot === 'ask' ? 'Hot if it is 7075-T6. ' : ''}Square on, once; look at the lip for cracks.`,
          tool: together
            ? `the rivet’s head as punch, die ${tool.dieDeg ?? '–'}°`
            : `punch ${tool.punchDeg ?? '–'}°, die ${tool.dieDeg ?? '–'}°`,
          caution: CAUTIONS.dimple
        });
      else
        made.push({
          ...common,
          key: `countersink-${index}-${tool.sheet}`,
          op: 'countersink',
          title: `Countersink ${tool.name}${of}`,
          say: 'Set up on scrap of the same thickness first, from the shallow side; press until no more chips come.',
          tool: `${tool.cutDeg}° cutter, pilot ${stack.hole.drill}`,
          setting: `${num(Math.round(tool.depthIn * 1e4) / 1e4)} in deep${tool.nest ? `, ${tool.nest.clicks} clicks past flush` : ''}`,
          caution: CAUTIONS.air
        });
    }
  }
  return made;
}
