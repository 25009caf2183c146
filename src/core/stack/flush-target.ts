import { notPossible, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { FLUSHNESS_LIMITS, type FlushnessSchool } from '../rules/flushness.ts';
import type { Dash } from '../schema/fields.ts';
import { above, atMost, below } from '../units/tolerance.ts';
import { CLICK_IN } from './dimple-nest.ts';

/** Where a head may stand, and what is aimed at; in, above the skin is positive. */
export interface FlushBand {
  lowIn: number;
  highIn: number;
  targetIn: number;
}

/** How flush a head is to stand in its cut, and how deep that cut may be. Lengths in inches. */
export interface FlushTarget extends FlushBand {
  /** of the cut from its sheet's face, at the target */
  depthIn: number;
  /** never deeper: at the low limit */
  deepestIn: number;
  /** the sheet, not the shop's limits, says how deep the head may stand */
  heldBySheet: boolean;
  /** less than one click of a stop countersink between the limits */
  marginal: boolean;
}

/** A cut as its sheet takes it; lengths in inches. */
export interface CutToAim {
  dash: Dash;
  /** from the face, where the head stands flush: its height, and the nest where a dimple lies in it */
  deepIn: number;
  sheetIn: number;
  school: FlushnessSchool;
}

/**
 * How flush a cut head is to stand: the shop's limits, and never so deep that the cut goes through its sheet.
 *
 * @param wantedIn the target somebody chose, in; null: the middle of the limits
 * @returns `not-possible` where the sheet is too thin for any head within the limits, or the target is outside them
 * @source stack-up (knife edge) and prepare (flushness)
 */
export function flushTarget(
  { dash, deepIn, sheetIn, school }: CutToAim,
  wantedIn: number | null = null
): Answer<FlushTarget> {
  const shop = FLUSHNESS_LIMITS[school];
  const throughIn = deepIn - sheetIn;
  const { highIn } = shop;
  if (above(throughIn, highIn))
    return notPossible('sheetIn', { code: 'cut-through', dash, deepIn, sheetIn, highIn });
  const heldBySheet = above(throughIn, shop.lowIn);
  const lowIn = heldBySheet ? Math.min(throughIn, highIn) : shop.lowIn;
  const targetIn = wantedIn ?? (lowIn + highIn) / 2;
  if (below(targetIn, lowIn) || above(targetIn, highIn))
    return notPossible('targetIn', {
      code: 'target-outside',
      targetIn,
      lowIn,
      highIn,
      nearestIn: below(targetIn, lowIn) ? lowIn : highIn
    });
  return {
    ok: true,
    result: {
      lowIn,
      highIn,
      targetIn,
      depthIn: deepIn - targetIn,
      deepestIn: deepIn - lowIn,
      heldBySheet,
      marginal: below(highIn - lowIn, CLICK_IN)
    },
    work: [
      workLine(
        'low limit',
        atMost(throughIn, shop.lowIn)
          ? 'shop practice'
          : by`knife edge: depth when flush − sheet = ${len(deepIn)} − ${len(sheetIn)}`,
        lowIn,
        'in'
      ),
      workLine('high limit', 'shop practice', highIn, 'in'),
      workLine(
        'target',
        wantedIn === null ? by`(${len(lowIn)} + ${len(highIn)}) / 2` : 'as typed',
        targetIn,
        'in'
      )
    ]
  };
}
