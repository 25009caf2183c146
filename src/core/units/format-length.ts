import { z } from 'zod';
import { MM_PER_IN, THOU_PER_IN } from './factors.ts';
import { TOLERANCE } from './tolerance.ts';

export const LengthStyle = z.enum(['1/32', '1/64', 'decimal', 'thou', 'mm']);
/** How lengths are written on screen. */
export type LengthStyle = z.infer<typeof LengthStyle>;
/** As a page writes them until a person chooses otherwise. */
export const FIRST_STYLE = '1/64' satisfies LengthStyle;

/** A figure and its unit, apart, so that the page can set them in different sizes. */
export interface WrittenLength {
  figure: string;
  unit: 'in' | 'thou' | 'mm';
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

/** 3.175 is 3.17499… in binary; what is a half on paper is written as one. */
const HALF_NUDGE = 1e-10;

/** Decimal with at least `least` and at most `most` places: 0.04 → 0.040, 0.52083 → 0.5208. */
export function writeDecimal(value: number, least: number, most: number): string {
  const places = (value + Math.sign(value) * HALF_NUDGE)
    .toFixed(most)
    .replace(/^-(0(?:\.0*)?)$/, '$1');
  const [whole, part = ''] = places.split('.');
  const kept = part.replace(/0+$/, '').padEnd(least, '0');
  return kept === '' ? (whole ?? '') : `${whole}.${kept}`;
}

/**
 * Writes a whole number of 32nds or 64ths as a reduced fraction.
 *
 * @param lengthIn in
 * @param division 32 or 64
 * @returns `1 27/32`, or null when the length is not a whole number of divisions: a rounded fraction
 * would pass for an exact one
 */
export function writeFraction(lengthIn: number, division: 32 | 64): string | null {
  const divisions = Math.round(Math.abs(lengthIn) * division);
  if (Math.abs(Math.abs(lengthIn) - divisions / division) > TOLERANCE) return null;
  const whole = Math.floor(divisions / division);
  const over = divisions % division;
  const sign = lengthIn < 0 && divisions > 0 ? '-' : '';
  if (over === 0) return `${sign}${whole}`;
  const shared = greatestCommonDivisor(over, division);
  const fraction = `${over / shared}/${division / shared}`;
  return sign + (whole === 0 ? fraction : `${whole} ${fraction}`);
}

/**
 * Writes a length in the user's style. In the fraction styles a length that is no whole division is
 * written as a decimal inch rather than rounded to a fraction it is not.
 *
 * @param lengthIn in
 * @param style see LengthStyle
 */
export function formatLength(lengthIn: number, style: LengthStyle): WrittenLength {
  if (style === 'mm') return { figure: writeDecimal(lengthIn * MM_PER_IN, 1, 2), unit: 'mm' };
  if (style === 'thou') return { figure: writeDecimal(lengthIn * THOU_PER_IN, 0, 1), unit: 'thou' };
  const fraction = style === 'decimal' ? null : writeFraction(lengthIn, style === '1/32' ? 32 : 64);
  return { figure: fraction ?? writeDecimal(lengthIn, 3, 4), unit: 'in' };
}

/** The last place in which a length that is no fraction is written, in. */
export const printedStepIn = (style: LengthStyle): number =>
  style === 'mm' ? 0.01 / MM_PER_IN : 0.0001;

/** A length as it stands in a sentence. */
export function lengthInWords(lengthIn: number, style: LengthStyle): string {
  const { figure, unit } = formatLength(lengthIn, style);
  return `${figure} ${unit}`;
}
