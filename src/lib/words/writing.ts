import { num } from '../../core/answer.ts';
import { lengthInWords, type LengthStyle } from '../../core/units/format-length.ts';

/** Writes a length as it stands in a sentence. */
export type WriteLength = (lengthIn: number) => string;

/** In the unit and the style a person reads. */
export const inStyle =
  (style: LengthStyle): WriteLength =>
  (lengthIn) =>
    lengthInWords(lengthIn, style);

/** In decimal inches to six places: what programs are answered, and what is stored. */
export const inInches: WriteLength = (lengthIn) => `${num(lengthIn)} in`;

/** With a capital letter. */
export const sentence = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;

/** To two places: multiples of D. */
export const hundredths = (value: number): string => num(Math.round(value * 100) / 100);
