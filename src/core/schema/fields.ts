import { z } from 'zod';
import { saying, type RefusalSaid } from '../refusal-said.ts';
import { parseLength } from '../units/parse-length.ts';
import { TOLERANCE } from '../units/tolerance.ts';

/** Limits that keep every calculation finite. */
export const WIDEST_IN = 1200;
export const MOST_HOLES = 100_000;
/** Thicknesses outside this are nearly always a slipped decimal point (sheets). */
export const THINNEST_SHEET_IN = 0.01;
export const THICKEST_SHEET_IN = 0.25;
/** What a thickness may be where it is said that such a thick part is meant. */
export const THICKEST_MEANT_IN = 2;

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

/** What a thickness outside its limits is told, or null inside them. */
function slipped(valueIn: number, thickestIn: number): RefusalSaid | null {
  const thin = valueIn < THINNEST_SHEET_IN - TOLERANCE;
  if (!thin && valueIn <= thickestIn + TOLERANCE) return null;
  return {
    code: 'slipped-sheet',
    valueIn,
    must: thin ? 'under' : 'over',
    limitIn: thin ? THINNEST_SHEET_IN : thickestIn,
    meantIn: slippedThicknessIn(valueIn)
  };
}

/** What a thickness over 0.25 in is asked, where nobody said that such a part is meant; null at or under it. */
export const thickAsked = (valueIn: number): RefusalSaid | null =>
  valueIn > THICKEST_SHEET_IN ? slipped(valueIn, THICKEST_SHEET_IN) : null;

const thicknessTo = (thickestIn: number) =>
  writtenLength.superRefine((valueIn, context) => {
    const said = slipped(valueIn, thickestIn);
    if (said) context.addIssue({ code: 'custom', params: saying(said) });
  });

/** One sheet's thickness, in, 0.010 to 0.25; outside that the message asks about the decimal point. */
export const thicknessIn = thicknessTo(THICKEST_SHEET_IN);

/** One sheet's thickness, in, 0.010 to 2: whoever takes it asks whether one over 0.25 is meant. */
export const thicknessIfMeantIn = thicknessTo(THICKEST_MEANT_IN);

/** Sheets of one stack; the first lies under the manufactured head. For an input that `takesThickness`. */
export const sheetsIn = z
  .array(thicknessIfMeantIn, { error: 'a list of sheet thicknesses is expected, at least one' })
  .min(1, 'at least one sheet is needed')
  .max(40, 'at most 40 sheets in one stack');

/** The names that hold thicknesses wherever they stand. */
const THICKNESS_NAMES = ['sheetsIn', 'thicknessIn', 'skinIn'] as const;

/**
 * An input that takes thicknesses (`sheetsIn`, `thicknessIn`, `skinIn`): one over 0.25 in is a slipped decimal point unless
 * `thickMeant` says that such a part is meant.
 */
export const takesThickness = <S extends z.ZodRawShape>(shape: S) =>
  z
    .strictObject({ ...shape, thickMeant: z.boolean('thickMeant is true or false').optional() })
    .superRefine((input: Record<string, unknown>, context) => {
      if (input['thickMeant'] === true) return;
      for (const name of THICKNESS_NAMES) {
        const given = input[name];
        const hold = (valueIn: unknown, path: PropertyKey[]) => {
          const said = typeof valueIn === 'number' ? slipped(valueIn, THICKEST_SHEET_IN) : null;
          if (said) context.addIssue({ code: 'custom', path, params: saying(said) });
        };
        if (Array.isArray(given)) given.forEach((sheet, at) => hold(sheet, [name, at]));
        else hold(given, [name]);
      }
    });

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
/** Limits that a joint's own data give: least and largest diameter, then height, in D. */
export const OwnHeadLimits = z.templateLiteral([
  'own:',
  z.number(),
  ':',
  z.number(),
  ':',
  z.number(),
  ':',
  z.number()
]);
export type OwnHeadLimits = z.output<typeof OwnHeadLimits>;
export const HeadLimitsName = z.union([HeadLimitsKey, OwnHeadLimits]);
/** Which limits heads are held against: a school's, or those of the joint's own data. */
export type HeadLimitsName = z.output<typeof HeadLimitsName>;
