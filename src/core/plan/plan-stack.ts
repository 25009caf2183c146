import { workLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { drillIn } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { headLimitsOf, type OwnHeads } from './head-limits-of.ts';
import type { PlannedStack } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Alloy, Dash, Head } from '../schema/fields.ts';
import { flushMethod } from '../stack/flush-method.ts';
import { gripOf, type HeldSheet } from '../stack/layers.ts';
import { predictHead } from '../stack/predict-head.ts';
import { rivetLength } from '../stack/rivet-length.ts';
import { wideHoles } from '../stack/wide-holes.ts';

/** One stack of sheets and one rivet size. */
export interface StackToPlan {
  name: string;
  sheets: HeldSheet[];
  dash: Dash;
  rivets: number;
  /** over the holes of this stack; null for the sheets' own sum */
  gripsIn: { min: number; max: number } | null;
}

/** The far sheet is raised at the hole too: the rivet sits one head height lower in the stack. */
const isDimpledThrough = (flush: PlannedStack['flush']): boolean =>
  flush?.ok === true &&
  (flush.result.method === 'dimple-together' || flush.result.method === 'dimple-each');

/**
 * The rivet that a stack takes: how a flush head is let in, and the length.
 *
 * @source stack-up; coats that stay on the sheets count towards the grip, never towards a sheet's thickness
 */
export function rivetFor(
  sheets: readonly HeldSheet[],
  dash: Dash,
  { head, alloy }: { head: Head; alloy: Alloy },
  profile: Pick<RuleProfile, 'increments' | 'lean' | 'multipliers' | 'dimpled'>
): Pick<PlannedStack, 'flush' | 'length' | 'dimpledThrough' | 'namedFromIn'> {
  const { increments, lean, multipliers } = profile;
  const metalIn = sheets.map((sheet) => sheet.thicknessIn);
  const heldIn = sheets.flatMap(({ thicknessIn, coatIn }) =>
    coatIn > 0 ? [thicknessIn, coatIn] : [thicknessIn]
  );
  const flush = head === 'countersunk' ? flushMethod({ sheetsIn: metalIn, dash }) : null;
  const dimpledThrough = isDimpledThrough(flush);
  const namedFromIn =
    dimpledThrough && profile.dimpled === 'at-dimple'
      ? rivetSize(dash).head.countersunk.heightIn
      : 0;
  const length = rivetLength(
    { sheetsIn: heldIn, dash, head, alloy, increments, lean, dimpled: dimpledThrough },
    multipliers,
    namedFromIn
  );
  return { flush, length, dimpledThrough, namedFromIn };
}

/**
 * Grip, length, flush method, hole and the head to expect for one stack.
 *
 * @returns every part as an answer with its arithmetic; a part that depends on a refused one carries the refusal
 * @source stack-up
 */
export function planStack(
  { name, sheets, dash, rivets, gripsIn }: StackToPlan,
  joint: { head: Head; alloy: Alloy } & OwnHeads,
  profile: RuleProfile
): PlannedStack {
  const { head, alloy } = joint;
  const { flush, length, dimpledThrough, namedFromIn } = rivetFor(
    sheets,
    dash,
    { head, alloy },
    profile
  );
  const drill = rivetSize(dash).drill[profile.drill];
  const diameterIn = drillIn(drill);
  const hole = {
    drill,
    diameterIn,
    work: [
      workLine('final drill', `dash ${dash}, ${profile.drill} drill: ${drill}`, diameterIn, 'in'),
      workLine(
        'clearance',
        by`${len(diameterIn)} − ${len(rivetSize(dash).diameterIn)}`,
        diameterIn - rivetSize(dash).diameterIn,
        'in'
      )
    ]
  };
  const wide = wideHoles(sheets, diameterIn, rivetSize(dash).diameterIn);
  const predicted = length.ok
    ? predictHead(
        {
          dash,
          head,
          gripIn: length.result.gripIn,
          lengthIn: length.result.lengthIn,
          holeIn: diameterIn,
          limits: headLimitsOf(joint, profile).limits,
          dimpled: dimpledThrough
        },
        wide
      )
    : length;
  const sumIn = gripOf(sheets);
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
    head: predicted,
    dimpledThrough,
    namedFromIn,
    wide
  };
}
