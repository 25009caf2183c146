import { edgeOf } from '../joint/usual-edge.ts';
import { answer, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { perInchLimits } from '../size/rivets-required.ts';
import { rivetDiameter } from '../size/rivet-diameter.ts';
import { gaugeOfMetric } from '../catalog/gauges.ts';
import { neededFor, needsOf, reckonedSheets } from './needs.ts';
import { DASHES, rivetSize } from '../catalog/rivets.ts';
import { kindOf, type Joint } from '../kinds/joint.ts';
import type { OnProgress } from '../layout/fill-near.ts';
import { headLimitsOf } from './head-limits-of.ts';
import { existingHoles } from './existing-holes.ts';
import { headroom, type HoleHeadroom } from './headroom.ts';
import { holeChecks, type AtEdge } from './hole-checks.ts';
import { holeRooms, type HoleRoom } from '../layout/hole-room.ts';
import { metalOf } from '../layout/lines.ts';
import type { KindLayout, LayContext } from '../kinds/kind-layout.ts';
import type { PlannedHole } from './holes.ts';
import { clearBySize, layHoles, type LaidHoles } from './lay-holes.ts';
import { jointMass, type JointMass } from './mass.ts';
import { edgeDistanceIn, partsNamed, withSquareInserts, type Part } from '../layout/shapes.ts';
import type { JointLayout, Plan, PlannedStack } from './plan-shape.ts';
import { planWarnings } from './plan-warnings.ts';
import type { LayLimits } from '../layout/pitch-limits.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { bareStack, groupStacks } from './group-stacks.ts';
import { layerEnds } from '../stack/layer-ends.ts';
import { heldAt, varies } from '../stack/layers.ts';
import { lengthRuns, type LengthChange, type LengthRun } from './length-runs.ts';
import { planStack } from './plan-stack.ts';
import { measuredSpans } from './measured-span.ts';
import { plannedTries } from './planned-tries.ts';

const OTHER_SCHOOL = { thickest: 'thinnest', thinnest: 'thickest' } as const;

function planCarry(joint: Joint, profile: RuleProfile) {
  const sheetsIn = kindOf(joint).metal(joint).sizing;
  const byRule = rivetDiameter({ sheetsIn, school: profile.diameter });
  const byOtherSchool = rivetDiameter({ sheetsIn, school: OTHER_SCHOOL[profile.diameter] });
  const ruleDash = byRule.ok ? byRule.result.dash : 4;
  const dash = joint.dash === 'rule' ? ruleDash : joint.dash;
  const { reckonedIn, otherIn } = reckonedSheets(joint);
  const needs = needsOf(joint, reckonedIn, dash);
  const [first] = needs;
  return {
    diameter: { byRule, byOtherSchool },
    dash,
    diameterIn: rivetSize(dash).diameterIn,
    dashChosen: joint.dash !== 'rule',
    reckonedSheetIn: reckonedIn,
    needs,
    required: first?.required ?? null,
    requiredOnOther:
      otherIn === null || !first ? null : neededFor(joint, first.widthIn, otherIn, first.dash),
    sizes: DASHES.map((size) => {
      const { bearing, shear } = perInchLimits(
        joint.family,
        gaugeOfMetric(reckonedIn) ?? reckonedIn,
        size
      );
      return {
        dash: size,
        bearingPerInch: bearing,
        shearPerInch: shear,
        required: first ? neededFor(joint, first.widthIn, reckonedIn, size) : null
      };
    })
  };
}

/** A joint that only holds may go further apart than one that carries, or less far: its job says so. */
const limitsOf = (
  { holdPitchIn }: Joint,
  { multipliers }: RuleProfile,
  diameterIn: number,
  carries: boolean
): LayLimits =>
  carries || holdPitchIn === null
    ? { ...multipliers, holdPitchIn: null }
    : { ...multipliers, pitchMaxD: holdPitchIn / diameterIn, holdPitchIn };

function contextOf(
  joint: Joint,
  profile: RuleProfile,
  { dash, diameterIn, needs }: Pick<Plan, 'dash' | 'diameterIn' | 'needs'>
): LayContext {
  const { head } = joint;
  const limits = limitsOf(joint, profile, diameterIn, needs.length > 0);
  const leastIn = limits.edgeMinD[head] * diameterIn;
  const { edgeIn, step } = edgeOf(joint, leastIn);
  const prefer = joint.prefer === 'profile' ? profile.pitch : joint.prefer;
  return {
    dash,
    diameterIn,
    head,
    edgeIn,
    edgeWork: workLine(
      'edge distance',
      step !== null
        ? by`next whole ${step} over ${limits.edgeMinD[head]} D = ${len(leastIn)}`
        : by`as given; the least is ${limits.edgeMinD[head]} D = ${len(leastIn)}`,
      edgeIn,
      'in'
    ),
    nearPitchIn: prefer === 'near' ? (joint.nearPitchIn ?? profile.housePitchIn) : null,
    needs,
    limits,
    toolRadiusIn: profile.setRadiusIn
  };
}

/** Rooms of the holes: for the limits as computed and as marked, and for growth with real corners. */
function roomsOf(kind: KindLayout, laid: LaidHoles) {
  const ends = kind.stackings.map(({ layers }) => layerEnds(layers, kind.widthIn));
  /** a layer's own end stops a larger rivet as an edge does */
  const toLayerEndIn = ({ xIn, stack }: PlannedHole): number =>
    Math.min(Infinity, ...(ends[stack] ?? []).map((end) => Math.abs(xIn - end.xIn)));
  const lines = laid.lines.map(({ holes, path }) => ({ holes, closed: path.path === 'circle' }));
  const square = withSquareInserts(kind.parts);
  const marked = laid.holes.map(({ number, markXIn, markYIn }) => ({
    number,
    xIn: markXIn,
    yIn: markYIn
  }));
  const hasInsert = kind.parts.some((part) => part.layer === 'filler');
  /** what each hole's rivet holds, by the line that laid it */
  const heldOf = (parts: readonly Part[]): Part[][] => {
    const byLine = kind.lines.map(({ through }) => partsNamed(parts, through));
    return laid.holes.map(({ row }) => byLine[row - 1] ?? []);
  };
  const held = heldOf(square);
  const atMarks = holeRooms(marked, lines, held);
  const real = hasInsert ? holeRooms(marked, lines, heldOf(kind.parts)) : null;
  return {
    edgesIn: laid.holes.map(({ xIn, yIn }, at) => edgeDistanceIn(held[at] ?? [], xIn, yIn)),
    marked: atMarks,
    /** to an insert's rounded corners, where it has any */
    corners: real?.map(({ edgeIn }) => edgeIn) ?? null,
    growing: ends.every((own) => own.length === 0)
      ? (real ?? atMarks)
      : (real ?? atMarks).map((room, at) => ({
          ...room,
          edgeIn: Math.min(room.edgeIn, toLayerEndIn(laid.holes[at] as PlannedHole))
        }))
  };
}

/** Thicknesses of the sheets at a hole, in; before holes are told their group. */
function metalAt(kind: KindLayout): (hole: PlannedHole) => number[] {
  const stackings = kind.stackings.map(({ layers }) => ({
    layers,
    even: varies(layers, kind.widthIn) ? null : heldAt(layers, 0).map((sheet) => sheet.thicknessIn)
  }));
  return ({ stack, xIn, gripIn }) => {
    const through = stackings[stack];
    if (!through) return [gripIn];
    return through.even ?? heldAt(through.layers, xIn).map((sheet) => sheet.thicknessIn);
  };
}

/** What follows from a layout that is possible. */
interface Laid {
  layout: JointLayout;
  headroom: HoleHeadroom[];
  stacks: PlannedStack[];
  mass: JointMass;
  runs: LengthRun[];
  changes: LengthChange[];
}

function layOut(
  joint: Joint,
  kind: KindLayout,
  context: LayContext,
  profile: RuleProfile,
  onProgress?: OnProgress
): Laid {
  const laid = layHoles(joint, kind, context, onProgress);
  const rooms = roomsOf(kind, laid);
  const { head } = joint;
  const { limits } = context;
  const atEdge: AtEdge = new Map(
    kind.lines.map((line) => {
      const { endsAtEdge: at, key } = line;
      const [fromIn, toIn] = metalOf(line);
      return [
        key,
        {
          fromIn: at === true || at === 'first' ? fromIn : null,
          toIn: at === true || at === 'last' ? toIn : null
        }
      ];
    })
  );
  const checks = holeChecks(
    {
      holes: laid.holes,
      lines: laid.lines,
      clear: clearBySize(joint, kind.lines),
      bend: kind.bend,
      stackings: kind.stackings,
      alongIn: kind.widthIn,
      head,
      limits
    },
    rooms,
    kind.checks,
    atEdge
  );
  const thicknessesAt = metalAt(kind);
  const room = headroom(
    laid.holes.map((hole, index) => ({
      room: rooms.growing[index] as HoleRoom,
      dash: hole.dash,
      sheetsIn: thicknessesAt(hole)
    })),
    head,
    limits
  );
  const stacks = groupStacks(laid.holes, kind, joint, profile, context.dash).map((stack) =>
    planStack(stack, joint, profile)
  );
  const rivets = laid.holes.filter((hole) => hole.state === 'rivet').length;
  return {
    layout: { ...kind, ...laid, checks, rivets, drilled: laid.holes.length },
    headroom: room,
    stacks,
    ...lengthRuns(laid.lines, laid.holes, stacks),
    mass: jointMass(
      stacks.flatMap(({ dash, rivets: count, length }) =>
        length.ok ? [{ dash, count, lengthIn: length.result.lengthIn }] : []
      ),
      head,
      kind.addedIn3
    )
  };
}

function derive(
  joint: Joint,
  profile: RuleProfile,
  limitsToLayBy: (limits: LayLimits) => LayLimits,
  onProgress?: OnProgress
): Plan {
  const carry = planCarry(joint, profile);
  const context = contextOf(joint, profile, carry);
  const kind = kindOf(joint).lay(joint, { ...context, limits: limitsToLayBy(context.limits) });
  const laid = kind.ok ? layOut(joint, kind.result, context, profile, onProgress) : null;
  const layout: Answer<JointLayout> =
    kind.ok && laid ? answer(laid.layout, kind.work) : (kind as Exclude<typeof kind, { ok: true }>);
  const derived: Omit<Plan, 'warnings'> = {
    ...carry,
    headLimits: headLimitsOf(joint, profile).limits,
    layout,
    holes: laid?.layout.holes ?? [],
    headroom: laid?.headroom ?? [],
    existing: laid
      ? existingHoles(joint, { holes: laid.layout.holes, headroom: laid.headroom }, profile)
      : [],
    stacks: laid?.stacks ?? [planStack(bareStack(joint, carry.dash), joint, profile)],
    mass: laid?.mass ?? null,
    lengthRuns: laid?.runs ?? [],
    lengthChanges: laid?.changes ?? [],
    tries: laid ? plannedTries(joint.tries, laid.layout.holes, laid.stacks, profile) : [],
    spans: laid
      ? measuredSpans(joint.spans, laid.layout.lines, laid.layout.holes, context.limits)
      : []
  };
  return { ...derived, warnings: planWarnings(joint, profile, derived) };
}

/**
 * The whole plan of one joint: the rivet, how many, where each hole goes, grip, length and the head to
 * expect. Pages show it; they never compute.
 *
 * @param joint a read joint definition, inches
 * @param profile the shop's schools
 * @param onProgress told how much of solving rows past obstacles is done, 0 to 1
 * @returns every part as an answer with its arithmetic; a part that depends on a refused one carries the refusal
 * @throws never
 * @source size to stack-up
 */
export const plan = (joint: Joint, profile: RuleProfile, onProgress?: OnProgress): Plan =>
  derive(joint, profile, (limits) => limits, onProgress);

/** As if there were none: what is wished for is laid, and then held against the real ones. */
const unlimited = (limits: LayLimits, edgeAsTyped: boolean): LayLimits => ({
  ...limits,
  // where none was typed the least is what is wished for
  edgeMinD: edgeAsTyped ? { universal: 0, countersunk: 0 } : limits.edgeMinD,
  edgeMaxD: Infinity,
  pitchMinD: 0,
  transverseMinD: 0
});

/**
 * A joint that a limit refuses, laid out all the same with the holes that break limits among its checks: to be drawn, never
 * to be built.
 */
export const planAsWished = (joint: Joint, profile: RuleProfile): Plan =>
  derive(joint, profile, (limits) => unlimited(limits, joint.edgeIn !== null));
