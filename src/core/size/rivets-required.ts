import { z } from 'zod';
import { answer, notPossible, num, workLine, type Answer } from '../answer.ts';
import {
  FAMILY_CONSTANTS,
  LEAST_SHEET_IN,
  LOCATION_FACTOR,
  MOST_PER_INCH
} from '../catalog/families.ts';
import { rivetSize } from '../catalog/rivets.ts';
import {
  Dash,
  Family,
  Head,
  lengthIn,
  Location,
  takesThickness,
  thicknessIfMeantIn,
  WIDEST_IN
} from '../schema/fields.ts';
import { atLeast, below, ceilTo, roundHalfAway } from '../units/tolerance.ts';

export const RivetsRequiredInput = takesThickness({
  family: Family,
  thicknessIn: thicknessIfMeantIn,
  dash: Dash,
  widthIn: lengthIn("the joint's width", { above: 0, most: WIDEST_IN }),
  location: Location.default('general'),
  head: Head.default('universal')
});
export type RivetsRequiredInput = z.output<typeof RivetsRequiredInput>;

export const RivetsRequiredResult = z.strictObject({
  perInchExact: z.number(),
  perInch: z.number(),
  critical: z.enum(['shear', 'bearing']),
  factor: z.number(),
  required: z.number().int(),
  requiredExact: z.number().int(),
  warnings: z.array(z.literal('flush-strength-lower'))
});
export type RivetsRequiredResult = z.infer<typeof RivetsRequiredResult>;

/**
 * Rivets an inch that each limit asks for by itself.
 *
 * @param thicknessIn in
 * @returns `bearing`: the sheet's holes would stretch first; `shear`: the rivets would shear first; both 1/in
 * @source size
 */
export function perInchLimits(family: Family, thicknessIn: number, dash: Dash) {
  const { ks, kb } = FAMILY_CONSTANTS[family];
  const holeIn = rivetSize(dash).nominalHoleIn;
  return {
    bearing: 1 / (kb * holeIn),
    shear: thicknessIn / (ks * (Math.PI / 4) * holeIn ** 2)
  };
}

/**
 * Rivets over a width from what each limit asks for: the larger, to one decimal, half up, times width and share.
 *
 * @param limits rivets an inch
 * @returns the count from the rounded figure, and from the exact one; a tie is bearing
 */
export function countOver(
  { bearing, shear }: { bearing: number; shear: number },
  widthIn: number,
  factor: number
) {
  const perInchExact = Math.max(bearing, shear);
  const perInch = roundHalfAway(perInchExact * 10) / 10;
  return {
    perInchExact,
    perInch,
    critical: atLeast(bearing, shear) ? ('bearing' as const) : ('shear' as const),
    factor,
    required: ceilTo(perInch * widthIn * factor),
    requiredExact: ceilTo(perInchExact * widthIn * factor)
  };
}

/**
 * How many protruding AD rivets a joint needs so that it carries what its sheet carries: rivets an
 * inch by sheet family, thickness and size, times width, times the share its location asks for.
 *
 * @param input thickness 0.010 to 0.25 in, width up to 1,200 in
 * @returns `perInch` rounded to one decimal, half up, and the count from it; `…Exact` from the unrounded
 * figure; `critical` is the limit that governs (a tie is bearing)
 * @throws never; `not-possible` when the rivet is too large for the sheet or over 14.0 an inch are needed
 * @source size; calculation `rivets-required`
 * @example rivets-required {"family":"clad-2024","thicknessIn":0.032,"dash":6,"widthIn":10} -> {"perInch":3.3,"critical":"bearing","required":33}
 */
export function rivetsRequired(input: RivetsRequiredInput): Answer<RivetsRequiredResult> {
  const { family, thicknessIn, dash, widthIn, location, head } = input;
  const leastSheetIn = LEAST_SHEET_IN[dash];
  if (leastSheetIn !== undefined && below(thicknessIn, leastSheetIn))
    return notPossible('dash', { code: 'rivet-too-large', dash, thicknessIn, leastSheetIn });

  const { ks, kb } = FAMILY_CONSTANTS[family];
  const holeIn = rivetSize(dash).nominalHoleIn;
  const { bearing, shear } = perInchLimits(family, thicknessIn, dash);
  const counted = countOver({ bearing, shear }, widthIn, LOCATION_FACTOR[location]);
  const { perInch, critical, factor, required } = counted;
  if (perInch > MOST_PER_INCH)
    return notPossible('dash', {
      code: 'rivet-too-small',
      dash,
      thicknessIn,
      perInch,
      mostPerInch: MOST_PER_INCH,
      shear: 'single'
    });

  return answer(
    {
      ...counted,
      warnings: head === 'countersunk' ? ['flush-strength-lower'] : []
    },
    [
      workLine('bearing', `1 / (kb·dh) = 1 / (${kb} × ${num(holeIn)})`, bearing, '/in'),
      workLine(
        'shear',
        `t / (ks·π/4·dh²) = ${num(thicknessIn)} / (${ks} × π/4 × ${num(holeIn)}²)`,
        shear,
        '/in'
      ),
      workLine(`per inch, ${critical} governs`, 'the larger, to one decimal', perInch, '/in'),
      workLine(
        'rivets required',
        `⌈per inch × width × factor⌉ = ⌈${num(perInch)} × ${num(widthIn)} × ${factor}⌉`,
        required,
        'rivets'
      )
    ]
  );
}
