import { num, workLine, type Answer } from './answer.ts';
import {
  perInchLimits,
  rivetsRequired,
  type RivetsRequiredResult
} from './carry/rivets-required.ts';
import { rivetDiameter } from './carry/rivet-diameter.ts';
import { drillIn } from './catalog/drills.ts';
import { DASHES, rivetSize } from './catalog/rivets.ts';
import type { LapJoint } from './joint/lap.ts';
import { headroom, type HoleHeadroom } from './layout/headroom.ts';
import { numberHoles, type PlannedHole } from './layout/holes.ts';
import { rowLayout, type RowLayoutResult } from './layout/row-layout.ts';
import type { Plan } from './plan-shape.ts';
import { planWarnings } from './plan-warnings.ts';
import type { RuleProfile } from './rules/profile.ts';
import type { Dash } from './schema/fields.ts';
import { flushMethod } from './stack/flush-method.ts';
import { predictHead } from './stack/predict-head.ts';
import { rivetLength } from './stack/rivet-length.ts';

const OTHER_SCHOOL = { thickest: 'thinnest', thinnest: 'thickest' } as const;

function planCarry(definition: LapJoint, profile: RuleProfile) {
  const sheetsIn = definition.sheets.map((sheet) => sheet.thicknessIn);
  const byRule = rivetDiameter({ sheetsIn, school: profile.diameter });
  const byOtherSchool = rivetDiameter({ sheetsIn, school: OTHER_SCHOOL[profile.diameter] });
  const ruleDash = byRule.ok ? byRule.result.dash : 4;
  const dash = definition.dash === 'rule' ? ruleDash : definition.dash;
  const thickIn = Math.max(...sheetsIn);
  const thinIn = Math.min(...sheetsIn);
  const [reckonedSheetIn, otherSheetIn] =
    definition.reckonOn === 'thickest' ? [thickIn, thinIn] : [thinIn, thickIn];
  const { family, widthIn, location, head } = definition;
  const need = (thicknessIn: number, withDash: Dash) =>
    rivetsRequired({ family, thicknessIn, dash: withDash, widthIn, location, head });
  return {
    diameter: { byRule, byOtherSchool },
    dash,
    diameterIn: rivetSize(dash).diameterIn,
    dashChosen: definition.dash !== 'rule',
    reckonedSheetIn,
    required: need(reckonedSheetIn, dash),
    requiredOnOther: thickIn === thinIn ? null : need(otherSheetIn, dash),
    sizes: DASHES.map((size) => {
      const { bearing, shear } = perInchLimits(family, reckonedSheetIn, size);
      return {
        dash: size,
        bearingPerInch: bearing,
        shearPerInch: shear,
        required: need(reckonedSheetIn, size)
      };
    })
  };
}

function planLayout(
  definition: LapJoint,
  profile: RuleProfile,
  dash: Dash,
  required: Answer<RivetsRequiredResult>
): Answer<RowLayoutResult> {
  if (!required.ok) return required;
  const { widthIn, head, rows, pattern, edgeIn, nearPitchIn, scale } = definition;
  const prefer = definition.prefer === 'profile' ? profile.pitch : definition.prefer;
  return rowLayout(
    {
      widthIn,
      dash,
      head,
      required: required.result.required,
      rows,
      pattern,
      prefer,
      scale,
      nearPitchIn: nearPitchIn ?? profile.housePitchIn,
      ...(edgeIn === null ? {} : { edgeIn })
    },
    profile.multipliers
  );
}

/** Headroom of the holes as they will be marked: on the ruler, not as computed. */
function headroomOf(
  definition: LapJoint,
  profile: RuleProfile,
  dash: Dash,
  { overlapIn }: RowLayoutResult,
  holes: PlannedHole[]
): HoleHeadroom[] {
  return headroom(
    {
      holes: holes.map(({ number, row, markIn, yIn }) => ({ number, row, xIn: markIn, yIn })),
      widthIn: definition.widthIn,
      overlapIn,
      dash,
      head: definition.head,
      sheetsIn: definition.sheets.map((sheet) => sheet.thicknessIn)
    },
    profile.multipliers
  );
}

function planStack(definition: LapJoint, profile: RuleProfile, dash: Dash) {
  const { head, alloy } = definition;
  const sheetsIn = definition.sheets.map((sheet) => sheet.thicknessIn);
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
  return { flush, length, hole, head: predicted };
}

/**
 * The whole plan of one joint: the rivet, how many, where each hole goes, grip, length and the head to
 * expect. Pages show it; they never compute.
 *
 * @param definition a read joint definition, inches
 * @param profile the shop's schools
 * @returns every part as an answer with its arithmetic; a part that depends on a refused one carries the refusal
 * @throws never
 * @source handbook 4.1 to 4.3
 */
export function plan(definition: LapJoint, profile: RuleProfile): Plan {
  const carry = planCarry(definition, profile);
  const layout = planLayout(definition, profile, carry.dash, carry.required);
  const holes = layout.ok ? numberHoles(layout.result) : [];
  const derived = {
    ...carry,
    layout,
    holes,
    headroom: layout.ok ? headroomOf(definition, profile, carry.dash, layout.result, holes) : [],
    ...planStack(definition, profile, carry.dash)
  };
  return { ...derived, warnings: planWarnings(definition, profile, derived) };
}
