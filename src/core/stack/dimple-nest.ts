import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { Dash, thicknessIn } from '../schema/fields.ts';
import { roundHalfAway } from '../units/tolerance.ts';
import { NEST_PER_IN } from './flush-method.ts';

export const DimpleNestInput = z.strictObject({ skinIn: thicknessIn, dash: Dash });
export type DimpleNestInput = z.output<typeof DimpleNestInput>;

export const DimpleNestResult = z.strictObject({
  extraDepthIn: z.number(),
  extraClicks: z.number().int(),
  flushDiameterIn: z.number(),
  nestDiameterIn: z.number()
});
export type DimpleNestResult = z.infer<typeof DimpleNestResult>;

/** One click of a countersink cage. */
export const CLICK_IN = 0.001;
/** Width that a 100° cutter gains per inch of depth. */
const DIAMETER_PER_DEPTH = 2 * Math.tan((50 * Math.PI) / 180);

/**
 * How much deeper a 100° countersink must be so that a dimpled skin nests in it: the cones are parallel
 * and one skin thickness apart.
 *
 * @param input the dimpled skin, in, and the rivet
 * @returns extra depth in inches and in clicks of 0.001 (nearest), the flush and the nest diameter in inches
 * @throws never
 * @source handbook 4.3 and 4.4; contract `dimple-nest`
 * @example dimple-nest {"skinIn":0.032,"dash":4} -> {"extraClicks":10,"extraDepthIn":0.009773,"flushDiameterIn":0.225}
 */
export function dimpleNest({ skinIn, dash }: DimpleNestInput): Answer<DimpleNestResult> {
  const extraDepthIn = NEST_PER_IN * skinIn;
  const extraClicks = roundHalfAway(extraDepthIn / CLICK_IN);
  const flushDiameterIn = rivetSize(dash).head.countersunk.diameterIn;
  const nestDiameterIn = flushDiameterIn + DIAMETER_PER_DEPTH * extraDepthIn;
  return answer({ extraDepthIn, extraClicks, flushDiameterIn, nestDiameterIn }, [
    workLine(
      'extra depth',
      by`t × (1/sin 50° − 1) = ${len(skinIn)} × ${num(NEST_PER_IN)}`,
      extraDepthIn,
      'in'
    ),
    workLine('extra clicks', by`${len(extraDepthIn)} / ${len(CLICK_IN)}`, extraClicks, 'clicks'),
    workLine(
      'nest diameter',
      by`flush + 2·tan 50° × extra = ${len(flushDiameterIn)} + ${num(DIAMETER_PER_DEPTH)} × ${len(extraDepthIn)}`,
      nestDiameterIn,
      'in'
    )
  ]);
}
