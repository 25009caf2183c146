import { num } from '../../core/answer.ts';
import { MM_PER_IN, THOU_PER_IN } from '../../core/units/factors.ts';
import { lengthInWords, writeDecimal, type LengthStyle } from '../../core/units/format-length.ts';

/** Writes a length as it stands in a sentence; `fine` as a gauge reads it, to a hundredth of a thou. */
export type WriteLength = (lengthIn: number, fine?: 'fine') => string;

function finely(lengthIn: number, style: LengthStyle): string {
  if (style === 'mm') return `${writeDecimal(lengthIn * MM_PER_IN, 2, 4)} mm`;
  if (style === 'thou') return `${writeDecimal(lengthIn * THOU_PER_IN, 0, 2)} thou`;
  return `${writeDecimal(lengthIn, 3, 5)} in`;
}

/** In the unit and the style a person reads. */
export const inStyle =
  (style: LengthStyle): WriteLength =>
  (lengthIn, fine) =>
    fine ? finely(lengthIn, style) : lengthInWords(lengthIn, style);

/** In decimal inches to six places: what programs are answered, and what is stored. */
export const inInches: WriteLength = (lengthIn) => `${num(lengthIn)} in`;

/** In the style of whoever asks; null is nobody's: decimal inches. */
export const writing = (style: LengthStyle | null): WriteLength =>
  style === null ? inInches : inStyle(style);

/** With the sign of what stands above (+) or below (−). */
export const signed = (lengthIn: number, length: WriteLength): string =>
  `${lengthIn < 0 ? '−' : '+'}${length(Math.abs(lengthIn), 'fine')}`;

/** With a capital letter. */
export const sentence = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;

/** To two places: multiples of D. */
export const hundredths = (value: number): string => num(Math.round(value * 100) / 100);

/** So many of something. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

/** The exact decimal for hovering, in the reader's unit: to a millionth of an inch, no trailing zeros beyond what is usual. */
export function exactDecimal(lengthIn: number, style: LengthStyle = 'decimal'): string {
  if (style === 'mm') return `${writeDecimal(lengthIn * MM_PER_IN, 2, 5)} mm`;
  if (style === 'thou') return `${writeDecimal(lengthIn * THOU_PER_IN, 0, 3)} thou`;
  return `${writeDecimal(lengthIn, 3, 6)} in`;
}

/** `1 hole`, `3 holes`. */
export const plural = (count: number, one: string): string =>
  `${count} ${one}${count === 1 ? '' : 's'}`;

const MOST_NAMED = 12;
/** Holes by their numbers, in order; of many the first. */
export const holesNamed = (holes: readonly number[]): string => {
  const sorted = [...holes].sort((a, b) => a - b);
  return sorted.length > MOST_NAMED
    ? `${sorted.slice(0, MOST_NAMED).join(', ')} and ${sorted.length - MOST_NAMED} more`
    : sorted.join(', ');
};
