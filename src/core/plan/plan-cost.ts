import { kindOf, type Joint } from '../kinds/joint.ts';
import { gridPerIn } from '../layout/fill-line.ts';
import { rivetSize } from '../catalog/rivets.ts';

/** Plans beyond this many steps, about a tenth of a second, are solved away from whoever is typing. */
export const STEPS_AT_ONCE = 2_000_000;

/** Plans beyond this many steps, over a second, are not made for a mere list. */
export const STEPS_FOR_A_LIST = 40_000_000;

/** Fewest inches between two rivets of the smallest size: how many can stand on a line at most. */
const LEAST_PITCH_IN = 3 * rivetSize(3).diameterIn;

/**
 * Roughly how many steps solving the rows past fixed holes and keep-outs takes: places on the lines times
 * holes on them. 0 where nothing is in the way.
 */
export function planCost(joint: Joint): number {
  const kind = kindOf(joint);
  if (joint.keepOuts.length + joint.fixed.length + kind.given(joint) === 0) return 0;
  const lengthIn = kind.linesIn(joint);
  return lengthIn * gridPerIn(joint.scale) * (lengthIn / LEAST_PITCH_IN);
}
