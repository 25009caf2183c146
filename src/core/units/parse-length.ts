import { CM_PER_IN, MM_PER_IN, THOU_PER_IN } from './factors.ts';

/** How many of each unit make an inch. */
const PER_INCH: Record<string, number> = {
  '': 1,
  in: 1,
  '"': 1,
  mm: MM_PER_IN,
  cm: CM_PER_IN,
  thou: THOU_PER_IN
};

const UNIT = /(in|"|mm|cm|thou)$/;
const DECIMAL = /^[+-]?(\d+\.?\d*|\.\d+)$/;
/** A whole number and a fraction stand apart by a space, or by the hyphen that drawings write. */
const FRACTION = /^([+-]?)(?:(\d+)[ -])?(\d+)\/(\d+)$/;
const LONGEST_TEXT = 40;

export type ParsedLength = { ok: true; valueIn: number } | { ok: false; message: string };

const refuse = (message: string): ParsedLength => ({ ok: false, message });

/**
 * Reads a length as a mechanic writes it: a decimal, `a/b`, `n a/b` or `n-a/b`, then nothing, `in`, `"`, `mm`,
 * `cm` or `thou`; spaces are free. Without a unit it is inches.
 *
 * @param text as typed, at most 40 characters
 * @returns the length in inches, or what was not understood
 * @source sheets (a slipped decimal point is asked about)
 */
export function parseLength(text: string): ParsedLength {
  if (text.length > LONGEST_TEXT)
    return refuse(`a length is at most ${LONGEST_TEXT} characters long`);
  // a no-break hyphen is one too: whoever copies 1‑1/8 off a page gets it
  const tidy = text
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/[\u2010\u2011]/g, '-');
  if (tidy === '') return refuse('a length is missing here');
  const unit = UNIT.exec(tidy)?.[0] ?? '';
  const figure = tidy
    .slice(0, tidy.length - unit.length)
    .trim()
    .replace(/ ?\/ ?/g, '/')
    .replace(/(\d) ?- ?(?=\d+\/)/, '$1-')
    .replace(/^([+-]) /, '$1');
  const perInch = PER_INCH[unit] ?? 1;

  if (DECIMAL.test(figure)) return { ok: true, valueIn: Number(figure) / perInch };
  const parts = FRACTION.exec(figure);
  if (parts) {
    const [, sign, whole = '0', over, under] = parts;
    if (Number(under) === 0) return refuse(`"${text.trim()}" divides by zero`);
    const size = Number(whole) + Number(over) / Number(under);
    return { ok: true, valueIn: (sign === '-' ? -size : size) / perInch };
  }
  const hint = figure.includes(',') ? '; write a point for the decimal' : '';
  // How one types a length, not one that was reckoned.
  // eslint-disable-next-line no-restricted-syntax
  return refuse(`"${text.trim()}" is not a length${hint}: try 3/32, .094, 1 1/8, 2.4mm or 32 thou`);
}
