import { workLine, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { drillIn } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Joint } from '../kinds/joint.ts';
import type { PlannedStack } from './plan-shape.ts';
import { headLimitsOf } from './head-limits-of.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { candidateLengths, type CandidateLength } from '../stack/candidate-lengths.ts';
import { fullHoleHeightIn, type DrivenRivet } from '../stack/driving.ts';
import { flushPath, type FlushStep } from '../stack/flush-path.ts';
import { flushTools, type FlushTool } from '../stack/flush-tools.ts';
import { cutsReachIn, sectionOf, type Section } from '../stack/section.ts';

/** How a flush head is let in: the rule as walked, and the tools under both angle schools. */
export interface FlushView {
  path: FlushStep[];
  tools: FlushTool[];
  /** the same under the other angle school; null where no sheet is dimpled */
  otherTools: FlushTool[] | null;
  /** the drill that the cutter's pilot must match */
  pilot: { drill: string; diameterIn: number };
}

/** The protrusion as one school names it; the metal, and so the head, is the same. */
export interface DimpleReckoning {
  school: RuleProfile['dimpled'];
  protrusionIn: number;
  protrusionD: number;
  work: WorkLine[];
}

/** Everything that the Stack station shows of one stack beyond its plan; lengths in inches. */
export interface StackView {
  section: Section;
  /** half of the sheet shown */
  besideIn: number;
  /** null where no head can be made of it */
  rivet: DrivenRivet | null;
  /** from where to where it is driven, past the sheets: the protrusion down to a little under the lowest good height */
  travel: {
    fromIn: number;
    fullHoleIn: number;
    toIn: number;
    /** the middle of the heights to stop at, or half a diameter where there are none */
    restIn: number;
  } | null;
  /** free all round the shank before it swells */
  clearanceIn: number;
  candidates: CandidateLength[];
  flush: FlushView | null;
  /** both schools' reckonings where the far sheet is dimpled; else empty */
  reckonings: DimpleReckoning[];
}

/** Half of the sheet shown beside a rivet, in diameters, and flat metal beyond a dimple's mouth. */
const BESIDE_D = 1.25;
const FLAT_BEYOND_D = 0.25;
/** The slider goes this low, in D: under every limit, so that one sees an over-driven head too. */
const LOWEST_D = 0.3;

function reckoningsOf({ length, dash }: PlannedStack): DimpleReckoning[] {
  if (!length.ok || length.result.atDimpleIn === null) return [];
  const { gripIn, lengthIn, protrusionIn, atDimpleIn } = length.result;
  const { diameterIn: D, head } = rivetSize(dash);
  return (['flat-stack', 'at-dimple'] as const).map((school) => {
    const standsIn = school === 'flat-stack' ? protrusionIn : atDimpleIn;
    return {
      school,
      protrusionIn: standsIn,
      protrusionD: standsIn / D,
      work: [
        workLine(
          'protrusion',
          school === 'flat-stack'
            ? by`L − G = ${len(lengthIn)} − ${len(gripIn)}`
            : by`${len(protrusionIn)} − head height ${len(head.countersunk.heightIn)}`,
          standsIn,
          'in'
        )
      ]
    };
  });
}

function flushOf(stack: PlannedStack, joint: Joint, profile: RuleProfile): FlushView | null {
  const { flush, sheets, dash, hole } = stack;
  if (!flush?.ok) return null;
  const { method } = flush.result;
  const under = (dimpleAngles: RuleProfile['dimpleAngles']) =>
    flushTools(sheets, dash, method, { ...profile, dimpleAngles }, joint.family);
  const tools = under(profile.dimpleAngles);
  const dimples = tools.some(({ op }) => op === 'dimple');
  return {
    path: flushPath(
      sheets.map((sheet) => sheet.thicknessIn),
      dash
    ),
    tools,
    otherTools: dimples ? under(profile.dimpleAngles === 'stepped' ? 'all-100' : 'stepped') : null,
    pilot: { drill: hole.drill, diameterIn: drillIn(hole.drill) }
  };
}

/**
 * One stack as the Stack station shows it: the section to draw, driving, lengths to choose from, the flush rule.
 *
 * @returns lengths in inches; what depends on a refused part is null or empty
 * @source stack-up
 */
export function stackView(stack: PlannedStack, joint: Joint, profile: RuleProfile): StackView {
  const { dash, length, hole, sheets, head } = stack;
  const D = rivetSize(dash).diameterIn;
  const flush = flushOf(stack, joint, profile);
  const gripIn = length.ok ? length.result.gripIn : (stack.gripMinIn + stack.gripMaxIn) / 2;
  const lengthIn = length.ok ? length.result.lengthIn : gripIn;
  const headIn = joint.head === 'countersunk' ? rivetSize(dash).head.countersunk.heightIn : 0;
  const rivet: DrivenRivet | null =
    length.ok && head.ok
      ? {
          dash,
          holeIn: hole.diameterIn,
          filledIn: stack.dimpledThrough ? gripIn : gripIn - headIn,
          wideIn3: stack.wide.volumeIn3,
          protrusionIn: length.result.protrusionIn - (stack.dimpledThrough ? headIn : 0)
        }
      : null;
  const sectionTo = (besideIn: number) =>
    sectionOf(
      sheets,
      flush?.tools ?? [],
      { dash, head: joint.head },
      { holeIn: hole.diameterIn, lengthIn, besideIn }
    );
  const band = head.ok ? head.result.heightBandD : null;
  const besideIn = Math.max(BESIDE_D * D, cutsReachIn(sectionTo(0)) + FLAT_BEYOND_D * D);
  return {
    besideIn,
    clearanceIn: (hole.diameterIn - D) / 2,
    section: sectionTo(besideIn),
    rivet,
    travel: rivet
      ? {
          fromIn: rivet.protrusionIn,
          fullHoleIn: fullHoleHeightIn(rivet),
          toIn: LOWEST_D * D,
          restIn: D * (band ? (band.low + band.high) / 2 : NOMINAL_HEIGHT_D)
        }
      : null,
    candidates: candidateLengths(
      {
        dash,
        head: joint.head,
        alloy: joint.alloy,
        gripIn,
        dimpledThrough: stack.dimpledThrough,
        namedFromIn: stack.namedFromIn,
        holeIn: hole.diameterIn,
        wide: stack.wide,
        pickedIn: length.ok ? length.result.lengthIn : null,
        limits: headLimitsOf(joint, profile).limits
      },
      profile
    ),
    flush,
    reckonings: reckoningsOf(stack)
  };
}
