import type { Joint } from '../kinds/joint.ts';
import type { Plan } from '../plan/plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { cageTask } from './cage/tasks.ts';
import { flushWorks } from './flush-work.ts';
import { numbersOf, type MadeStep } from './step-parts.ts';

/** Whether the top sheet is countersunk before the parts come apart: as the shop works, or because they never do. */
const cutClamped = ({ closed }: Joint, { countersinkWhen }: RuleProfile): boolean =>
  closed || countersinkWhen === 'clamped';

/** Dimpling and countersinking, stack by stack (stack-up and prepare). */
export const flushSteps = (joint: Joint, plan: Plan, profile: RuleProfile): MadeStep[] =>
  flushWorks(joint, plan, profile).map((work): MadeStep => {
    const { key, stack, tool, holes, of } = work;
    const common = { key, count: holes.length, holes: numbersOf(holes) };
    return tool.op === 'dimple'
      ? {
          ...common,
          rests: [tool.punchDeg, tool.dieDeg],
          said: {
            op: 'dimple',
            sheet: tool.name,
            stack: of,
            punchDeg: tool.punchDeg,
            dieDeg: tool.dieDeg,
            hot: tool.hot
          },
          hazard: 'dimple'
        }
      : {
          ...common,
          cageRests: cageTask(work, profile)?.rests ?? '',
          rests: [
            tool.cutDeg,
            tool.whenFlushIn,
            tool.nest?.clicks ?? null,
            ...(tool.aim?.heldBySheet === true ? [tool.aim.deepestIn] : [])
          ],
          said: {
            op: 'countersink',
            sheet: tool.name,
            stack: of,
            cutDeg: tool.cutDeg,
            pilotDrill: stack.hole.drill,
            depthIn: tool.depthIn,
            aim: tool.aim,
            clicksPastFlush: tool.nest?.clicks ?? null,
            byTrial: tool.byTrial,
            clamped: cutClamped(joint, profile) && tool.sheet === 0 && tool.nest === null
          },
          hazard: 'air'
        };
  });
