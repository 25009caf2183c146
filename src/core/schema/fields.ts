import { z } from 'zod';
import { saying } from '../refusal-said.ts';
import { parseLength } from '../units/parse-length.ts';
import { TOLERANCE } from '../units/tolerance.ts';

/** Limits that keep every calculation finite (contract, "Sizes that would never end"). */
export const WIDEST_IN = 1200;
export const MOST_HOLES = 100_000;
/** Thicknesses outside this are nearly always a slipped decimal point (handbook 3.2). */
export const THINNEST_SHEET_IN = 0.01;
export const THICKEST_SHEET_IN = 0.25;

// How one types a length, not one that was reckoned.
const EXPECTED =
  // eslint-disable-next-line no-restricted-syntax
  'a length is expected here: a number of inches, or text such as 3/32, .094, 1 1/8, 2.4mm, 32 thou';

/** Wherever an `…In` number is expected: a finite number of inches, or text with a unit. */
const writtenLength = z
  .union([z.number(), z.string()], { error: EXPECTED })
  .transform((written, context) => {
    if (typeof written === 'number') return written;
    const read = parseLength(written);
    if (read.ok) return read.valueIn;
    context.addIssue({ code: 'custom', message: read.message });
    return z.NEVER;
  });

interface LengthBounds {
  /** strictly above, in */
  above?: number;
  /** at least, in */
  least?: number;
  /** at most, in */
  most?: number;
}

/**
 * A length field in inches.
 *
 * @param what what the length is, for the message: "the joint's width"
 * @param bounds limits in inches; every bound is named in its message
 */
export function lengthIn(what: string, bounds: LengthBounds = {}) {
  return writtenLength.superRefine((valueIn, context) => {
    const { above, least, most } = bounds;
    const complain = (must: 'over' | 'at-least' | 'at-most', limitIn: number) =>
      context.addIssue({
        code: 'custom',
        params: saying({ code: 'length-outside', what, must, limitIn, valueIn })
      });
    if (above !== undefined && valueIn <= above + TOLERANCE) complain('over', above);
    else if (least !== undefined && valueIn < least - TOLERANCE) complain('at-least', least);
    else if (most !== undefined && valueIn > most + TOLERANCE) complain('at-most', most);
  });
}

/** The nearest thickness that moving the decimal point gives, or null when none is a sheet. */
export function slippedThicknessIn(valueIn: number): number | null {
  for (const factor of [0.1, 10, 0.01, 100, 0.001, 1000]) {
    const moved = Number((valueIn * factor).toPrecision(10));
    if (moved >= THINNEST_SHEET_IN && moved <= THICKEST_SHEET_IN) return moved;
  }
  return null;
}

/** One sheet's thickness, in, 0.010 to 0.25; outside that the message asks about the decimal point. */
export const thicknessIn = writtenLength.superRefine((valueIn, context) => {
  const thin = valueIn < THINNEST_SHEET_IN - TOLERANCE;
  if (!thin && valueIn <= THICKEST_SHEET_IN + TOLERANCE) return;
  context.addIssue({
    code: 'custom',
    params: saying({
      code: 'slipped-sheet',
      valueIn,
      must: thin ? 'under' : 'over',
      limitIn: thin ? THINNEST_SHEET_IN : THICKEST_SHEET_IN,
      meantIn: slippedThicknessIn(valueIn)
    })
  });
});

/** Sheets of one stack; the first lies under the manufactured head. */
export const sheetsIn = z
  .array(thicknessIn, { error: 'a list of sheet thicknesses is expected, at least one' })
  .min(1, 'at least one sheet is needed')
  .max(40, 'at most 40 sheets in one stack');

export const Dash = z.literal([3, 4, 5, 6, 8], {
  error: 'the rivet diameter is a dash number: 3, 4, 5, 6 or 8 (32nds of an inch)'
});
/** Rivet diameter in 32nds of an inch. */
export type Dash = z.infer<typeof Dash>;

export const Head = z.enum(['universal', 'countersunk']);
export type Head = z.infer<typeof Head>;

export const Alloy = z.enum(['A', 'AD', 'D', 'DD', 'B', 'E'], {
  error: 'the alloy is one of A, AD, D, DD, B, E'
});
/** Rivet alloy codes that have MS20470 / MS20426 part numbers. */
export type Alloy = z.infer<typeof Alloy>;

export const Increments = z.enum(['sixteenth', 'half']);
export const Lean = z.enum(['nearest', 'long', 'short']);
export const DiameterSchool = z.enum(['thickest', 'thinnest']);
export const DrillSchool = z.enum(['close', 'loose']);
export const Location = z.enum(['general', 'stringer', 'single-lap', 'intermediate-frame']);
export type Location = z.infer<typeof Location>;
export const Family = z.enum(['high-strength', 'clad-2024', '5052']);
/** Sheet family of the public rivets-per-inch guidance. */
export type Family = z.infer<typeof Family>;
export const HeadLimitsKey = z.enum(['standard', 'tight', 'classic-flush']);
export type HeadLimitsKey = z.infer<typeof HeadLimitsKey>;
