import { z } from 'zod';
import { answer, notPossible, workLine, type Answer } from '../answer.ts';
import { headLimits, NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { by, len } from '../notation.ts';
import type { Dash, HeadLimitsName } from '../schema/fields.ts';
import { atLeast, atMost, below } from '../units/tolerance.ts';

const pixels = (what: string) =>
  z.number(`${what} is a number of pixels`).positive(`${what} is more than nothing`).max(100_000);

/** A circle laid round a head in a picture, and a scale of known length in the same picture. */
export const CircleFit = z.strictObject({
  /** across the circle */
  circlePx: pixels('the circle'),
  /** from end to end of the scale */
  scalePx: pixels('the scale'),
  /** how long the scale is, lying on the sheet, in */
  scaleIn: z.number().positive().max(10),
  /** how closely an edge is laid on */
  aimPx: pixels('the aim').default(1),
  /** from the lens to the sheet, in */
  standoffIn: z.number().positive().max(100)
});
export type CircleFit = z.output<typeof CircleFit>;

/** A diameter with how far off it may be either way; inches. */
export interface SeenDiameter {
  diameterIn: number;
  plusMinusIn: number;
}

/**
 * The diameter of a head by a circle laid round it in a picture.
 *
 * The rim of a head stands over the sheet that the scale lies on, so it looks larger than it is: between not at all and as
 * if it stood at the full nominal height. The middle is taken off; the rest goes into the uncertainty, with an aim's width
 * at both edges of circle and scale.
 *
 * @returns `not-possible` where the lens is nearer than the head is high
 * @throws never
 */
export function diameterByCircle(dash: Dash, fit: CircleFit): Answer<SeenDiameter> {
  const { circlePx, scalePx, scaleIn, aimPx, standoffIn } = fit;
  const highIn = NOMINAL_HEIGHT_D * rivetSize(dash).diameterIn;
  if (!below(highIn, standoffIn))
    return notPossible('standoffIn', { code: 'lens-too-near', standoffIn, highIn });
  const looksIn = (circlePx / scalePx) * scaleIn;
  const share = highIn / 2 / standoffIn;
  const diameterIn = looksIn * (1 - share);
  const aimIn = diameterIn * ((2 * aimPx) / circlePx + (2 * aimPx) / scalePx);
  const plusMinusIn = aimIn + looksIn * share;
  return answer({ diameterIn, plusMinusIn }, [
    workLine(
      'apparent diameter',
      by`circle / scale × its length = ${circlePx.toFixed(1)} / ${scalePx.toFixed(1)} × ${len(scaleIn)}`,
      looksIn,
      'in'
    ),
    workLine(
      'diameter',
      by`less half a head’s height over the lens’s distance: ${len(looksIn)} × (1 − ${len(highIn / 2)} / ${len(standoffIn)})`,
      diameterIn,
      'in'
    ),
    workLine(
      'uncertain by',
      by`edges to ${aimPx} px: ${len(aimIn)}; where the rim stands: ${len(looksIn * share)}`,
      plusMinusIn,
      'in'
    )
  ]);
}

/** How a diameter that is only known so closely stands to the limits; one that straddles a limit is measured again. */
export type SeenVerdict = 'within' | 'too-narrow' | 'too-wide' | 'measure-again';

export function seenVerdict(
  dash: Dash,
  limits: HeadLimitsName,
  { diameterIn, plusMinusIn }: SeenDiameter
): SeenVerdict {
  const D = rivetSize(dash).diameterIn;
  const { low, high } = headLimits(limits).diameterD;
  const [leastIn, mostIn] = [diameterIn - plusMinusIn, diameterIn + plusMinusIn];
  if (below(mostIn, low * D)) return 'too-narrow';
  if (below(high * D, leastIn)) return 'too-wide';
  return atLeast(leastIn, low * D) && atMost(mostIn, high * D) ? 'within' : 'measure-again';
}
