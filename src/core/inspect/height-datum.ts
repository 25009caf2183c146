import { headLimits } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Dash, HeadLimitsName } from '../schema/fields.ts';
import { atLeast, atMost } from '../units/tolerance.ts';

/** One reading of a head's height, by what it may have been measured from; inches. */
export interface TwoDatums {
  /** as read, if from the sheet's flat */
  flatIn: number;
  /** the same head from its dimple */
  dimpleIn: number;
}

/**
 * A height that no good head on a dimple has, and that one would have read from the sheet's flat: which was meant is asked.
 * The shop head of a sheet dimpled through stands on the dimple, a head height beyond the flat.
 *
 * @returns null where the reading is what it says, or fits neither
 * @source rework: head height and the gauge's notch are read from the metal round the shank
 */
export function otherDatum(
  heightIn: number,
  { dash, limits, dimpledThrough }: { dash: Dash; limits: HeadLimitsName; dimpledThrough: boolean }
): TwoDatums | null {
  if (!dimpledThrough) return null;
  const { diameterIn, head } = rivetSize(dash);
  const { low, high } = headLimits(limits).heightD;
  const isGood = (valueIn: number) =>
    atLeast(valueIn, low * diameterIn) && atMost(valueIn, high * diameterIn);
  const dimpleIn = heightIn - head.countersunk.heightIn;
  return !isGood(heightIn) && isGood(dimpleIn) ? { flatIn: heightIn, dimpleIn } : null;
}
