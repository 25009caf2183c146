import type { Dash, Head } from '../schema/fields.ts';

/** One standard diameter of solid rivet; all lengths in inches (rivets). */
export interface RivetSize {
  dash: Dash;
  diameterIn: number;
  /** nominal hole of the strength tables */
  nominalHoleIn: number;
  /** shop final drill by school */
  drill: { close: string; loose: string };
  head: Record<Head, { diameterIn: number; heightIn: number }>;
}

const size = (
  dash: Dash,
  nominalHoleIn: number,
  close: string,
  loose: string,
  universal: [number, number],
  countersunk: [number, number]
): RivetSize => ({
  dash,
  diameterIn: dash / 32,
  nominalHoleIn,
  drill: { close, loose },
  head: {
    universal: { diameterIn: universal[0], heightIn: universal[1] },
    countersunk: { diameterIn: countersunk[0], heightIn: countersunk[1] }
  }
});

/** Standard sizes, smallest first. */
export const RIVET_SIZES: readonly RivetSize[] = [
  size(3, 0.096, '#40', '#40', [0.187, 0.04], [0.179, 0.036]),
  size(4, 0.1285, '#30', '#30', [0.25, 0.054], [0.225, 0.042]),
  size(5, 0.159, '#21', '#20', [0.312, 0.067], [0.286, 0.055]),
  size(6, 0.191, '#11', '#10', [0.375, 0.08], [0.353, 0.07]),
  size(8, 0.257, 'F', 'F', [0.5, 0.107], [0.476, 0.095])
];

export const DASHES: readonly Dash[] = RIVET_SIZES.map((rivet) => rivet.dash);

const BY_DASH: readonly (RivetSize | undefined)[] = Array.from({ length: 9 }, (_, dash) =>
  RIVET_SIZES.find((rivet) => rivet.dash === dash)
);

/** @returns the catalogue entry of a dash number; asked many times a hole at every keystroke */
export function rivetSize(dash: Dash): RivetSize {
  const found = BY_DASH[dash];
  if (!found) throw new RangeError(`no rivet of dash ${dash}; expected 3, 4, 5, 6 or 8`);
  return found;
}

/** Every hole starts as this pilot, whatever its final size. */
export const PILOT_DRILL = '#40';

/** Basic part number by head (MS is the current standard, AN the older one). */
export const PART_BASICS: Record<'MS' | 'AN', Record<Head, string>> = {
  MS: { universal: 'MS20470', countersunk: 'MS20426' },
  AN: { universal: 'AN470', countersunk: 'AN426' }
};

/** Shortest and longest stocked length, in 16ths of an inch. */
export const SHORTEST_LENGTH_DASH = 2;
export const LONGEST_LENGTH_DASH = 32;
