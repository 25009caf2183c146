import type { Joint } from './joint/kinds.ts';
import { gridPerIn } from './layout/fill-line.ts';
import { rivetSize } from './catalog/rivets.ts';

/** Plans beyond this many steps, about a tenth of a second, are solved away from whoever is typing. */
export const STEPS_AT_ONCE = 2_000_000;

/** Plans beyond this many steps, over a second, are not made for a mere list. */
export const STEPS_FOR_A_LIST = 40_000_000;

/** How far a joint's rivet lines run, in. */
function lineLengthsIn(joint: Joint): number {
  switch (joint.kind) {
    case 'lap':
      return 3 * joint.widthIn;
    case 'splice':
    case 'sandwich':
      return 6 * joint.widthIn;
    case 'patch':
      return 4 * joint.rows * (joint.cutoutWIn + joint.cutoutHIn);
    case 'round':
      return 0;
    case 'line':
      return joint.lengthIn;
    case 'tapered':
      return joint.lines * joint.lengthIn;
    case 'panel':
      return 2 * (joint.widthIn + joint.heightIn);
  }
}

/** Fewest inches between two rivets of the smallest size: how many can stand on a line at most. */
const LEAST_PITCH_IN = 3 * rivetSize(3).diameterIn;

/**
 * Roughly how many steps solving the rows past fixed holes and keep-outs takes: places on the lines times
 * holes on them. 0 where nothing is in the way.
 */
export function planCost(joint: Joint): number {
  const divided = joint.kind === 'line' ? joint.divides.length : 0;
  if (joint.keepOuts.length + joint.fixed.length + divided === 0) return 0;
  const lengthIn = lineLengthsIn(joint);
  return lengthIn * gridPerIn(joint.scale) * (lengthIn / LEAST_PITCH_IN);
}
