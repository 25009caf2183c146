import { z } from 'zod';
import { answer, notPossible, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { drillIn } from '../catalog/drills.ts';
import { Dash, lengthIn, takesThickness, thicknessIfMeantIn } from '../schema/fields.ts';
import { atLeast, floorTo } from '../units/tolerance.ts';
import { DIMPLED_LIMIT_IN, NEST_PER_IN } from './flush-method.ts';

/** One click of a countersink cage, until its own step was measured. */
export const CLICK_IN = 0.001;

export const DimpleNestInput = takesThickness({
  skinIn: thicknessIfMeantIn,
  dash: Dash,
  clickIn: lengthIn('one click of the stop countersink', { above: 0, most: 0.1 }).default(CLICK_IN)
});
export type DimpleNestInput = z.output<typeof DimpleNestInput>;

export const DimpleNestResult = z.strictObject({
  extraDepthIn: z.number(),
  extraClicks: z.number().int(),
  flushDiameterIn: z.number(),
  nestDiameterIn: z.number(),
  steppedDepthIn: z.number()
});
export type DimpleNestResult = z.infer<typeof DimpleNestResult>;

/** Width that a 100° cutter gains per inch of depth. */
const DIAMETER_PER_DEPTH = 2 * Math.tan((50 * Math.PI) / 180);
/** Width that a 110° cutter, of the stepped school, gains per inch of depth. */
const STEPPED_DIAMETER_PER_DEPTH = 2 * Math.tan((55 * Math.PI) / 180);

/**
 * How much deeper a 100° countersink must be so that a dimpled skin nests in it: the cones are parallel
 * and one skin thickness apart. The stepped school cuts the same mouth with a 110° cutter.
 *
 * @param input the dimpled skin, in, and the rivet; `clickIn` the cage's own measured step
 * @returns extra depth in inches and in whole clicks that do not pass it, the flush and the nest diameter, and the depth of
 * a 110° cut with that mouth from the close final drill, in inches
 * @throws never; a skin that is not dimpled is `not-possible`
 * @source stack-up and prepare; calculation `dimple-nest`
 * @example dimple-nest {"skinIn":0.032,"dash":4} -> {"extraClicks":9,"extraDepthIn":0.009773,"flushDiameterIn":0.225}
 */
export function dimpleNest({ skinIn, dash, clickIn }: DimpleNestInput): Answer<DimpleNestResult> {
  if (atLeast(skinIn, DIMPLED_LIMIT_IN))
    return notPossible('skinIn', {
      code: 'too-thick-to-dimple',
      thickIn: skinIn,
      limitIn: DIMPLED_LIMIT_IN
    });
  const extraDepthIn = NEST_PER_IN * skinIn;
  const extraClicks = floorTo(extraDepthIn / clickIn);
  const flushDiameterIn = rivetSize(dash).head.countersunk.diameterIn;
  const nestDiameterIn = flushDiameterIn + DIAMETER_PER_DEPTH * extraDepthIn;
  const holeIn = drillIn(rivetSize(dash).drill.close);
  const steppedDepthIn = (nestDiameterIn - holeIn) / STEPPED_DIAMETER_PER_DEPTH;
  return answer({ extraDepthIn, extraClicks, flushDiameterIn, nestDiameterIn, steppedDepthIn }, [
    workLine(
      'extra depth',
      by`t × (1/sin 50° − 1) = ${len(skinIn)} × ${num(NEST_PER_IN)}`,
      extraDepthIn,
      'in'
    ),
    workLine(
      'extra clicks',
      by`⌊${len(extraDepthIn)} / ${len(clickIn)}⌋: whole clicks that do not pass it`,
      extraClicks,
      'clicks'
    ),
    workLine(
      'nest diameter',
      by`flush + 2·tan 50° × extra = ${len(flushDiameterIn)} + ${num(DIAMETER_PER_DEPTH)} × ${len(extraDepthIn)}`,
      nestDiameterIn,
      'in'
    ),
    workLine(
      'depth of a 110° cut with that mouth',
      by`(nest − hole) / (2·tan 55°) = (${len(nestDiameterIn)} − ${len(holeIn)}) / ${num(STEPPED_DIAMETER_PER_DEPTH)}`,
      steppedDepthIn,
      'in'
    )
  ]);
}
