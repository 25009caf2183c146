import { num } from '../answer.ts';
import type { Joint } from '../kinds/joint.ts';
import type { Plan } from '../plan/plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { cageTask } from './cage/tasks.ts';
import { flushWorks } from './flush-work.ts';
import { CAUTIONS, numbersOf, type MadeStep } from './step-parts.ts';

/** Dimpling and countersinking, stack by stack (handbook 4.3 and 4.4). */
export const flushSteps = (joint: Joint, plan: Plan, profile: RuleProfile): MadeStep[] =>
  flushWorks(joint, plan, profile).map((work): MadeStep => {
    const { key, stack, tool, holes, together, of } = work;
    const common = { key, op: tool.op, count: holes.length, holes: numbersOf(holes) };
    return tool.op === 'dimple'
      ? {
          ...common,
          rests: [tool.punchDeg, tool.dieDeg, together],
          title: `Dimple ${together ? 'the sheets together' : tool.name}${of}`,
          say: `${tool.hot === 'hot' ? 'Hot: this temper cracks cold. ' : tool.hot === 'ask' ? 'Hot if it is 7075-T6. ' : ''}Square on, once; look at the lip for cracks.`,
          tool: together
            ? `the rivet’s head as punch, die ${tool.dieDeg ?? '–'}°`
            : `punch ${tool.punchDeg ?? '–'}°, die ${tool.dieDeg ?? '–'}°`,
          caution: CAUTIONS.dimple
        }
      : {
          ...common,
          cageRests: cageTask(work, profile)?.rests ?? '',
          rests: [tool.cutDeg, tool.depthIn, tool.nest?.clicks ?? null],
          title: `Countersink ${tool.name}${of}`,
          say: 'Set up on scrap of the same thickness first, from the shallow side; press until no more chips come.',
          tool: `${tool.cutDeg}° cutter, pilot ${stack.hole.drill}`,
          setting: `${num(Math.round(tool.depthIn * 1e4) / 1e4)} in deep${tool.nest ? `, ${tool.nest.clicks} clicks past flush` : ''}`,
          caution: CAUTIONS.air
        };
  });
