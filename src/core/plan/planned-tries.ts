import { invalidInput } from '../answer.ts';
import { told } from '../refusal-said.ts';
import type { Joint } from '../kinds/joint.ts';
import type { PlannedHole } from './holes.ts';
import type { PlannedStack, PlannedTry } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { parseLength } from '../units/parse-length.ts';
import { measuredProtrusion } from '../stack/measured-protrusion.ts';
import { partNumber } from '../stack/part-number.ts';

/** What each rivet that was put in and measured says of the stack at its own hole. */
export function plannedTries(
  tries: Joint['tries'],
  holes: readonly PlannedHole[],
  stacks: readonly PlannedStack[],
  profile: RuleProfile
): PlannedTry[] {
  return tries.flatMap(({ hole: number, partNumber: text, protrusionIn: typed, from }) => {
    if (typed.trim() === '') return [];
    const measured = parseLength(typed);
    const hole = holes.find((candidate) => candidate.number === number);
    const stack = hole && stacks[hole.stack];
    const read = partNumber({ text });
    const found =
      stack && read.ok
        ? !measured.ok
          ? invalidInput('protrusionIn', told(measured.message))
          : measuredProtrusion(
              {
                dash: read.result.dash,
                lengthIn: read.result.lengthIn,
                protrusionIn: measured.valueIn,
                fromDimple: stack.dimpledThrough && from === 'dimple'
              },
              { gripIn: hole.gripIn, sheets: stack.sheets },
              profile.multipliers
            )
        : null;
    return [{ hole: number, partNumber: text, found }];
  });
}
