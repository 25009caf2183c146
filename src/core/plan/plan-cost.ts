import { kindOf, type Joint } from '../kinds/joint.ts';
import { gridPerIn } from '../layout/fill-line.ts';
import { rivetSize } from '../catalog/rivets.ts';

/** Plans beyond this many steps, about a tenth of a second, are solved away from whoever is typing. */
export const STEPS_AT_ONCE = 2_000_000;

/** Plans beyond this many steps, over a second, are not made for a mere list. */
export const STEPS_FOR_A_LIST = 40_000_000;

/** Fewest inches between two rivets of the smallest size: how many can stand on a line at most. */
const LEAST_PITCH_IN = 3 * rivetSize(3).diameterIn;

/** Measured: what one hole costs by itself, with its limits, its stack and its headroom. */
const STEPS_A_HOLE = 160;

/**
 * Roughly how many steps a plan takes: every hole, and every hole given by hand or by a division; where something is in the
 * way, places on the lines times holes on them.
 */
export function planCost(joint: Joint): number {
  const kind = kindOf(joint);
  const lengthIn = kind.linesIn(joint);
  const given = joint.fixed.length + kind.given(joint);
  const holes = lengthIn / LEAST_PITCH_IN + given;
  const inTheWay = joint.keepOuts.length + given > 0;
  const solving = inTheWay ? lengthIn * gridPerIn(joint.scale) * (lengthIn / LEAST_PITCH_IN) : 0;
  return Math.max(solving, STEPS_A_HOLE * holes);
}
