import type { Joint } from '../../joint/kinds.ts';
import type { Plan } from '../../plan-shape.ts';
import type { RuleProfile } from '../../rules/profile.ts';
import { flushWorks } from '../flush-work.ts';
import type { CageSetup } from './setup.ts';

/** A countersinking step of a joint that a cage must be set for. */
export interface CageTask {
  /** the step's key */
  key: string;
  /** what is cut */
  name: string;
  holes: number[];
  cutDeg: number;
  setup: Pick<CageSetup, 'dash' | 'seat' | 'sheetIn' | 'material' | 'skinIn' | 'holeIn' | 'school'>;
}

/**
 * What must be countersunk in a joint, with everything that the joint itself says of the setting.
 *
 * @returns lengths in inches; a cut of another angle than the head's is found with a dimpled scrap in it
 */
export const cageTasks = (joint: Joint, plan: Plan, profile: RuleProfile): CageTask[] =>
  flushWorks(joint, plan, profile).flatMap(({ key, stack, tool, holes, of }): CageTask[] => {
    if (tool.op !== 'countersink') return [];
    const sheet = stack.sheets[tool.sheet];
    const aboveIn = stack.sheets
      .slice(0, tool.sheet)
      .reduce((sum, { thicknessIn }) => sum + thicknessIn, 0);
    return [
      {
        key,
        name: `${tool.name}${of}`,
        holes: holes.map(({ number }) => number),
        cutDeg: tool.cutDeg,
        setup: {
          dash: stack.dash,
          seat: tool.byTrial ? 'dimpled-scrap' : 'rivet',
          sheetIn: sheet?.thicknessIn ?? 0,
          material: sheet?.material ?? '',
          skinIn: tool.sheet === 0 ? null : aboveIn,
          holeIn: stack.hole.diameterIn,
          school: profile.flushness
        }
      }
    ];
  });
