import { above } from '../units/tolerance.ts';

/**
 * The fewest equal spaces, at least `least`, into which a span divides with a pitch not above a limit.
 *
 * @param spanIn in, > 0
 * @param maxPitchIn in, > 0
 */
export function fewestSpaces(spanIn: number, maxPitchIn: number, least = 1): number {
  // One under the quotient is a safe start; the limit itself is held to the tolerance in inches.
  let spaces = Math.max(least, Math.floor(spanIn / maxPitchIn) - 1, 1);
  while (above(spanIn / spaces, maxPitchIn)) spaces += 1;
  return spaces;
}
