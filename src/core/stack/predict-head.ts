import { z } from 'zod';
import { answer, invalidInput, notPossible, num, workLine, type Answer } from '../answer.ts';
import { by, cubic, len } from '../notation.ts';
import {
  headLimits,
  limitsCalled,
  NOMINAL_DIAMETER_D,
  NOMINAL_HEIGHT_D
} from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { Dash, Head, HeadLimitsKey, lengthIn, type HeadLimitsName } from '../schema/fields.ts';
import { above, below } from '../units/tolerance.ts';
import { FILLED_HOLE_D, NO_WIDE_HOLES, type WideHoles } from './wide-holes.ts';

export const PredictHeadInput = z.strictObject({
  dash: Dash,
  head: Head,
  gripIn: lengthIn('the grip', { above: 0, most: 100 }),
  lengthIn: lengthIn("the rivet's length", { above: 0, most: 100 }),
  holeIn: lengthIn('the hole', { above: 0, most: 10 }),
  limits: HeadLimitsKey.default('standard'),
  /** the far sheet is dimpled through: the rivet sits one head height lower in the stack */
  dimpled: z.boolean('dimpled is true or false').default(false)
});
export type PredictHeadInput = z.output<typeof PredictHeadInput>;

/** A rivet whose head is held against a school’s limits, or those of the joint’s own data. */
type HeadToPredict = Omit<PredictHeadInput, 'limits'> & { limits: HeadLimitsName };

export const PredictHeadResult = z.strictObject({
  volumeIn3: z.number(),
  diameterAtHalfDIn: z.number(),
  heightAt1p5DIn: z.number(),
  heightBandD: z.strictObject({ low: z.number(), high: z.number() }).nullable()
});
export type PredictHeadResult = z.infer<typeof PredictHeadResult>;

/** Height of the cylinder of a given volume and diameter; all inches. */
const cylinderHeightIn = (volumeIn3: number, diameterIn: number): number =>
  (4 * volumeIn3) / (Math.PI * diameterIn ** 2);

/**
 * The shop head that a rivet will make: the metal past the sheets, less what fills the hole round the
 * shank, as an equivalent cylinder (volume is constant).
 *
 * @param input inches; `lengthIn` under the head for universal, overall for countersunk
 * @param wide what the shank loses into larger holes of some sheets
 * @returns volume in³, cylinder diameter at ½ D high, height at 1.5 D wide, and the band of heights in
 * D at which both height and diameter are within the limits (null when there is none)
 * @throws never; `not-possible` when no metal is left for a head, the hole is too wide to be filled, or a countersunk head
 * is higher than a grip that is not dimpled through
 * @source stack-up; calculation `predict-head`
 * @example predict-head {"dash":4,"head":"universal","gripIn":0.08,"lengthIn":0.25,"holeIn":0.1285} -> {"heightAt1p5DIn":0.073537}
 */
export function predictHead(
  input: HeadToPredict,
  wide: WideHoles = NO_WIDE_HOLES
): Answer<PredictHeadResult> {
  const { dash, head, gripIn, lengthIn, holeIn, limits, dimpled } = input;
  const rivet = rivetSize(dash);
  const D = rivet.diameterIn;
  if (below(holeIn, D))
    return invalidInput('holeIn', { code: 'hole-too-small', holeIn, dash, diameterIn: D });
  if (dimpled && head === 'universal') return invalidInput('dimpled', { code: 'not-dimpled-head' });
  if (above(holeIn, FILLED_HOLE_D * D))
    return notPossible('holeIn', {
      code: 'hole-too-large',
      holeIn,
      dash,
      mostIn: FILLED_HOLE_D * D
    });
  const headHeightIn = head === 'countersunk' ? rivet.head.countersunk.heightIn : 0;
  if (!dimpled && above(headHeightIn, gripIn))
    return notPossible('gripIn', { code: 'head-over-grip', headIn: headHeightIn, gripIn });
  const filledIn = dimpled ? gripIn : gripIn - headHeightIn;
  const sunkIn = dimpled ? headHeightIn : 0;
  const outsideIn3 = (Math.PI / 4) * D ** 2 * (lengthIn - gripIn - sunkIn);
  const fillIn3 = (Math.PI / 4) * (holeIn ** 2 - D ** 2) * filledIn;
  const volumeIn3 = outsideIn3 - fillIn3 - wide.volumeIn3;
  if (volumeIn3 <= 0)
    return notPossible('lengthIn', { code: 'no-metal-for-head', lengthIn, gripIn, holeIn });

  const diameterAtHalfDIn = Math.sqrt((4 * volumeIn3) / (Math.PI * NOMINAL_HEIGHT_D * D));
  const heightAt1p5DIn = cylinderHeightIn(volumeIn3, NOMINAL_DIAMETER_D * D);
  const { diameterD, heightD } = headLimits(limits);
  const low = Math.max(heightD.low, cylinderHeightIn(volumeIn3, diameterD.high * D) / D);
  const high = Math.min(heightD.high, cylinderHeightIn(volumeIn3, diameterD.low * D) / D);
  const heightBandD = above(low, high) ? null : { low, high: Math.max(low, high) };

  return answer({ volumeIn3, diameterAtHalfDIn, heightAt1p5DIn, heightBandD }, [
    workLine(
      dimpled ? 'metal past the dimple' : 'metal past the sheets',
      dimpled
        ? by`π/4·D²·(L−G−head) = π/4 × ${len(D)}² × (${len(lengthIn)} − ${len(gripIn)} − ${len(sunkIn)})`
        : by`π/4·D²·(L−G) = π/4 × ${len(D)}² × (${len(lengthIn)} − ${len(gripIn)})`,
      outsideIn3,
      'in³'
    ),
    workLine(
      'rivet volume filling the hole',
      by`π/4·(hole²−D²)·${sunkIn < headHeightIn ? '(G−head)' : 'G'} = π/4 × (${len(holeIn)}² − ${len(D)}²) × ${len(filledIn)}`,
      fillIn3,
      'in³'
    ),
    ...wide.work,
    workLine(
      'head volume',
      wide.volumeIn3 === 0
        ? by`${cubic(outsideIn3)} − ${cubic(fillIn3)}`
        : by`${cubic(outsideIn3)} − ${cubic(fillIn3)} − ${cubic(wide.volumeIn3)}`,
      volumeIn3,
      'in³'
    ),
    workLine('diameter at ½ D high', '√(4·V / (π·½D))', diameterAtHalfDIn, 'in'),
    workLine('height at 1.5 D wide', '4·V / (π·(1.5D)²)', heightAt1p5DIn, 'in'),
    workLine(
      `heights to stop at, ${limitsCalled(limits)} limits`,
      `both ${diameterD.low}–${diameterD.high} D wide and ${heightD.low}–${heightD.high} D high`,
      heightBandD ? `${num(low)} to ${num(heightBandD.high)}` : 'none',
      heightBandD ? 'D' : ''
    )
  ]);
}
