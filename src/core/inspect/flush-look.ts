import { z } from 'zod';
import { above, atLeast, atMost, below } from '../units/tolerance.ts';
import type { SeenFlag } from './findings.ts';
import type { CannotTell } from './head-judged.ts';

/** Further off than this is a slipped decimal. */
const BELIEVABLE_IN = 0.1;
/** Thicker than this is no slip of paper. */
const THICKEST_SLIP_IN = 0.02;

export const FlushLook = z.discriminatedUnion('by', [
  z.strictObject({
    by: z.literal('number'),
    /** over (+) or under (−) the skin, in */
    offIn: z.number().min(-BELIEVABLE_IN).max(BELIEVABLE_IN)
  }),
  z.strictObject({
    by: z.literal('slip'),
    /** of the paper that a straightedge lies on at both sides of the head, in */
    slipIn: z.number().positive().max(THICKEST_SLIP_IN),
    /** the straightedge touches the head before it lies on the slips */
    catches: z.boolean()
  })
]);
/** How flush a countersunk head stands after driving: measured, or felt over slips of paper. */
export type FlushLook = z.output<typeof FlushLook>;

/** How far a head may stand over (+) or under (−) the skin, in. */
export interface FlushLimits {
  lowIn: number;
  highIn: number;
}

/**
 * What a look at its flushness says. A straightedge over slips of paper tells whether a head stands prouder than the slip is
 * thick; how deep it lies it never tells.
 *
 * @source prepare and inspect
 */
export function flushFound(
  look: FlushLook,
  { lowIn, highIn }: FlushLimits
): { flag: SeenFlag | null; cannotTell: CannotTell[] } {
  if (look.by === 'number') {
    if (above(look.offIn, highIn)) return { flag: 'not-flush-high', cannotTell: [] };
    return { flag: below(look.offIn, lowIn) ? 'not-flush-low' : null, cannotTell: [] };
  }
  const { slipIn, catches } = look;
  if (catches && atLeast(slipIn, highIn)) return { flag: 'not-flush-high', cannotTell: [] };
  const high: CannotTell[] = !catches && atMost(slipIn, highIn) ? [] : ['not-flush-high'];
  return { flag: null, cannotTell: [...high, 'not-flush-low'] };
}
