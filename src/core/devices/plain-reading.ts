import { MM_PER_IN } from '../units/factors.ts';
import { writeGaugeLine } from './gauge-lines.ts';

/** What an instrument shows, where it sends figures without a unit. */
export type PlainUnit = 'in' | 'mm';

const PLAIN = /^([+-]?) ?(\d+\.?\d*|\.\d+) ?(in|"|mm)?$/;
const LONGEST = 40;

/**
 * What an instrument sends that knows no protocol: a decimal, perhaps with its unit, and nothing else.
 *
 * @param unit what its display shows, where the figure does not say
 * @returns the line that says it as a width, or null where it is no width
 */
export function plainWidth(text: string, unit: PlainUnit): string | null {
  const tidy = text.trim().toLowerCase();
  const found = tidy.length > LONGEST ? null : PLAIN.exec(tidy);
  if (!found || found[1] === '-') return null;
  const value = Number(found[2]);
  const told = found[3] === undefined ? unit : found[3] === 'mm' ? 'mm' : 'in';
  return writeGaugeLine({ kind: 'width', widthIn: told === 'mm' ? value / MM_PER_IN : value });
}
