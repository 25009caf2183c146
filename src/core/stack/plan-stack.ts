import { num, workLine } from '../answer.ts';
import { drillIn } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { PlannedStack } from '../plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Alloy, Dash, Head } from '../schema/fields.ts';
import { flushMethod } from './flush-method.ts';
import { predictHead } from './predict-head.ts';
import { rivetLength } from './rivet-length.ts';

/** One stack of sheets and one rivet size. */
export interface StackToPlan {
  name: string;
  sheets: { name: string; thicknessIn: number }[];
  dash: Dash;
  rivets: number;
  /** over the holes of this stack; null for the sheets' own sum */
  gripsIn: { min: number; max: number } | null;
}

/**
 * Grip, length, flush method, hole and the head to expect for one stack.
 *
 * @returns every part as an answer with its arithmetic; a part that depends on a refused one carries the refusal
 * @source handbook 4.3
 */
export function planStack(
  { name, sheets, dash, rivets, gripsIn }: StackToPlan,
  { head, alloy }: { head: Head; alloy: Alloy },
  profile: RuleProfile
): PlannedStack {
  const sheetsIn = sheets.map((sheet) => sheet.thicknessIn);
  const flush = head === 'countersunk' ? flushMethod({ sheetsIn, dash }) : null;
  const dimpled = flush?.ok === true && flush.result.method.startsWith('dimple');
  const { increments, lean, headLimits: limits } = profile;
  const length = rivetLength(
    { sheetsIn, dash, head, alloy, increments, lean, dimpled },
    profile.multipliers
  );
  const drill = rivetSize(dash).drill[profile.drill];
  const diameterIn = drillIn(drill);
  const hole = {
    drill,
    diameterIn,
    work: [
      workLine('final drill', `dash ${dash}, ${profile.drill} school: ${drill}`, diameterIn, 'in'),
      workLine(
        'clearance',
        `${num(diameterIn)} − ${num(rivetSize(dash).diameterIn)}`,
        diameterIn - rivetSize(dash).diameterIn,
        'in'
      )
    ]
  };
  const predicted = length.ok
    ? predictHead({
        dash,
        head,
        gripIn: length.result.gripIn,
        lengthIn: length.result.lengthIn,
        holeIn: diameterIn,
        limits
      })
    : length;
  const sumIn = sheetsIn.reduce((sum, thicknessIn) => sum + thicknessIn, 0);
  return {
    name,
    dash,
    sheets,
    rivets,
    gripMinIn: gripsIn?.min ?? sumIn,
    gripMaxIn: gripsIn?.max ?? sumIn,
    flush,
    length,
    hole,
    head: predicted
  };
}
