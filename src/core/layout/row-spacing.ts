import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import { atLeast, below, ceilTo } from '../units/tolerance.ts';
import { fewestSpaces } from './spaces.ts';

export type Pattern = 'in-line' | 'staggered';

/** Rivets in row `row` (0 is the first) when the first row has `perRow`. */
export const rivetsInRow = (pattern: Pattern, row: number, perRow: number): number =>
  pattern === 'staggered' && row % 2 === 1 ? perRow - 1 : perRow;

/** Rivets over all rows. */
export function rivetsInRows(pattern: Pattern, rows: number, perRow: number): number {
  let total = 0;
  for (let row = 0; row < rows; row++) total += rivetsInRow(pattern, row, perRow);
  return total;
}

/** The fewest rivets in the first row, at least two, with which `rows` rows reach `required`. */
export function leastPerRow(pattern: Pattern, rows: number, required: number): number {
  const shortRows = pattern === 'staggered' ? Math.floor(rows / 2) : 0;
  return Math.max(2, ceilTo((required + shortRows) / rows));
}

export interface SpacingWish {
  spanIn: number;
  diameterIn: number;
  rows: number;
  required: number;
  pattern: Pattern;
  /** null spreads the rivets as far as the count allows */
  nearPitchIn: number | null;
}

/**
 * Rivets in the first row of a joint: the needed count, grown until the pitch is within 12 D, then, with
 * a wished pitch, on upward to the count whose pitch is nearest (a tie takes fewer).
 *
 * @returns the count, or null when its pitch would be under 3 D
 * @source calculation `row-layout`
 */
export function rivetsPerRow(
  wish: SpacingWish,
  limits: Multipliers = DEFAULT_MULTIPLIERS
): number | null {
  const { spanIn, diameterIn, rows, required, pattern, nearPitchIn } = wish;
  const minPitchIn = limits.pitchMinD * diameterIn;
  const maxPitchIn = limits.pitchMaxD * diameterIn;
  const pitchIn = (count: number) => spanIn / (count - 1);
  let perRow = fewestSpaces(spanIn, maxPitchIn, leastPerRow(pattern, rows, required) - 1) + 1;
  if (!atLeast(pitchIn(perRow), minPitchIn)) return null;
  if (nearPitchIn === null) return perRow;

  const off = (count: number) => Math.abs(pitchIn(count) - nearPitchIn);
  while (atLeast(pitchIn(perRow + 1), minPitchIn) && below(off(perRow + 1), off(perRow)))
    perRow += 1;
  return perRow;
}
