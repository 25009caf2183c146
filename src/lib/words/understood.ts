import { MM_PER_IN } from '../../core/units/factors.ts';
import { writeDecimal } from '../../core/units/format-length.ts';
import { parseLength } from '../../core/units/parse-length.ts';
import { exactDecimal } from './writing.ts';

/**
 * Says how a typed length was understood: inches, and millimetres beside them.
 *
 * @returns `= 0.0945 in · 2.4 mm`, or null while it cannot be read
 */
export function understood(text: string): string | null {
  const read = parseLength(text);
  if (!read.ok) return null;
  return `= ${exactDecimal(read.valueIn)} · ${writeDecimal(read.valueIn * MM_PER_IN, 1, 2)} mm`;
}
