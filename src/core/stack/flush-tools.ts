import { workLine, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Dash, Family } from '../schema/fields.ts';
import { BrokenPrecondition } from '../units/broken-precondition.ts';
import { above, atLeast } from '../units/tolerance.ts';
import { CLICK_IN, dimpleNest } from './dimple-nest.ts';
import { COUNTERSINK_SHEET_IN, type FlushMethod } from './flush-method.ts';
import { flushTarget, type FlushTarget } from './flush-target.ts';
import type { HeldSheet } from './layers.ts';

type AngleSchool = RuleProfile['dimpleAngles'];
type FlushSchools = Pick<RuleProfile, 'dimpleAngles' | 'flushness'>;

/** Whether a sheet must be dimpled hot: it must, it may have to (its temper is not told), or not. */
export type Hot = 'hot' | 'ask' | 'cold';

/** What is done to one sheet, and with which tools; lengths in inches, angles in degrees. */
export type FlushTool =
  | { op: 'plain'; sheet: number; name: string }
  | {
      op: 'countersink';
      sheet: number;
      name: string;
      cutDeg: number;
      /** where the head stands at its target */
      depthIn: number;
      /** where it stands flush: what the tools are set by */
      whenFlushIn: number;
      /** how it is to stand, and how deep the cut may be; null where no head within the limits fits the sheet */
      aim: FlushTarget | null;
      /** metal left under the cut; negative where it goes through */
      wallIn: number;
      diameterIn: number;
      /** the depth of another angle is a start: finished by trial with a dimpled scrap in it */
      byTrial: boolean;
      /** deeper than flush, for a dimple to nest in */
      nest: { extraIn: number; clicks: number } | null;
      work: WorkLine[];
    }
  | {
      op: 'dimple';
      sheet: number;
      name: string;
      /** null: no angle is told for a sheet this far down */
      punchDeg: number | null;
      dieDeg: number | null;
      /** dimpled in one go with the others, the rivet's head as punch */
      together: boolean;
      hot: Hot;
    };

const HEAD_DEG = 100;
/** Angle at the top face of each dimpled sheet in turn, and beneath the last. */
const STEPPED_DEG = [100, 110, 120];
const UNDER_DIMPLE_DEG = 110;

/** Angles of punch and die for a sheet, counted from the top; null beyond what the school tells. */
export const dimpleAngles = (
  school: AngleSchool,
  sheet: number
): { punchDeg: number | null; dieDeg: number | null } =>
  school === 'all-100'
    ? { punchDeg: HEAD_DEG, dieDeg: HEAD_DEG }
    : { punchDeg: STEPPED_DEG[sheet] ?? null, dieDeg: STEPPED_DEG[sheet + 1] ?? null };

/** Harder tempers crack when dimpled cold (stack-up). */
function hotFor({ material }: HeldSheet, family: Family): Hot {
  if (material.startsWith('7075')) return 'hot';
  return material === '' && family === 'high-strength' ? 'ask' : 'cold';
}

function countersink(
  { name, thicknessIn }: HeldSheet,
  sheet: number,
  dash: Dash,
  dimpledIn: number,
  { dimpleAngles: angles, flushness }: FlushSchools
): FlushTool {
  const { heightIn, diameterIn } = rivetSize(dash).head.countersunk;
  const nest = dimpledIn === 0 ? null : dimpleNest({ skinIn: dimpledIn, dash, clickIn: CLICK_IN });
  if (nest?.ok === false)
    throw new BrokenPrecondition('nest', 'sheets and size that nest', nest.error.path);
  const stepped = nest !== null && angles === 'stepped';
  const deepIn = heightIn + (nest?.result.extraDepthIn ?? 0);
  const aimed = flushTarget({ dash, deepIn, sheetIn: thicknessIn, school: flushness });
  const aim = aimed.ok ? aimed.result : null;
  const flushIn = stepped ? nest.result.steppedDepthIn : deepIn;
  // a cut of another angle is only begun by its depth: a dimpled scrap in it says the rest
  const depthIn = stepped ? flushIn : (aim?.depthIn ?? flushIn);
  return {
    op: 'countersink',
    sheet,
    name,
    cutDeg: stepped ? UNDER_DIMPLE_DEG : HEAD_DEG,
    depthIn,
    whenFlushIn: flushIn,
    aim,
    wallIn: thicknessIn - depthIn,
    diameterIn: nest?.result.nestDiameterIn ?? diameterIn,
    byTrial: stepped,
    // Clicks past a flush setting belong to one cutter: there is none of 110° that was ever flush.
    nest:
      nest === null || stepped
        ? null
        : { extraIn: nest.result.extraDepthIn, clicks: nest.result.extraClicks },
    work: [
      ...(nest?.work ?? []),
      ...(stepped
        ? []
        : [
            workLine(
              'depth when flush',
              nest === null
                ? `100° head of dash ${dash}`
                : by`${len(heightIn)} + ${len(nest.result.extraDepthIn)}`,
              deepIn,
              'in'
            ),
            ...(aimed.ok ? aimed.work : []),
            ...(aim === null
              ? []
              : [
                  workLine(
                    'depth of the cut',
                    by`${len(deepIn)} − ${len(aim.targetIn)}`,
                    aim.depthIn,
                    'in'
                  )
                ])
          ]),
      workLine(
        'left under it',
        by`${len(thicknessIn)} − ${len(depthIn)}`,
        thicknessIn - depthIn,
        'in'
      )
    ]
  };
}

/** The sheet that is cut; beyond the last where all are dimpled. */
function cutSheet(held: readonly HeldSheet[], method: FlushMethod): number {
  if (method.startsWith('dimple-') && method !== 'dimple-top-countersink-under') return held.length;
  if (atLeast(held[0]?.thicknessIn ?? 0, COUNTERSINK_SHEET_IN)) return 0;
  const thick = held.findIndex(({ thicknessIn }) => above(thicknessIn, COUNTERSINK_SHEET_IN));
  return thick === -1 ? held.length : thick;
}

/**
 * What is done to each sheet of a flush stack, from the top, with the angles and the flushness of one school each.
 *
 * @param held sheets at the hole, in
 * @returns one entry a sheet; where there is no standard method, what would have been tried, so that one sees why
 * @source stack-up
 */
export function flushTools(
  held: readonly HeldSheet[],
  dash: Dash,
  method: FlushMethod,
  schools: FlushSchools,
  family: Family
): FlushTool[] {
  const cutAt = cutSheet(held, method);
  const dimpledIn = held.slice(0, cutAt).reduce((sum, sheet) => sum + sheet.thicknessIn, 0);
  return held.map((sheet, at): FlushTool => {
    if (at === cutAt) return countersink(sheet, at, dash, dimpledIn, schools);
    if (at > cutAt) return { op: 'plain', sheet: at, name: sheet.name };
    return {
      op: 'dimple',
      sheet: at,
      name: sheet.name,
      ...dimpleAngles(schools.dimpleAngles, at),
      together: method === 'dimple-together',
      hot: hotFor(sheet, family)
    };
  });
}
