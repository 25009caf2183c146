import { LEAST_ROUNDING } from '../units/tolerance.ts';
import { levelFrom, routeThrough, type Level } from './fill-exactly.ts';
import type { Stretch } from './fill-stretch.ts';

/** A stretch filled with one number of spaces. */
export interface Filled {
  /** sum of squared deviations from the wished gap, in² */
  cost: number;
  /** indices of the places taken, both ends included */
  taken: number[];
}

/** Places on either side of the even line that are looked at first; more where they do not do. */
const FIRST_BAND_GAPS = 2;

/** Index of the first place not before a position. */
function firstFrom(placesIn: Float64Array, atIn: number): number {
  let low = 0;
  let high = placesIn.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((placesIn[middle] as number) >= atIn) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The best way within a band round the even line; null where there is none. */
function within(stretch: Stretch, spaces: number, halfIn: number): Filled | null {
  const { placesIn } = stretch;
  const end = placesIn.length - 1;
  const startIn = placesIn[0] as number;
  const meanIn = ((placesIn[end] as number) - startIn) / spaces;
  const levels: Level[] = [
    { places: Int32Array.of(end), cost: new Float64Array(1), next: new Int32Array(1) }
  ];
  for (let toEnd = 1; toEnd < spaces; toEnd++) {
    const evenIn = startIn + (spaces - toEnd) * meanIn;
    const level = levelFrom(
      levels[toEnd - 1] as Level,
      stretch,
      meanIn,
      Math.max(1, firstFrom(placesIn, evenIn - halfIn)),
      Math.min(end - 1, firstFrom(placesIn, evenIn + halfIn))
    );
    if (level.places.length === 0) return null;
    levels.push(level);
  }
  const last = levelFrom(levels[spaces - 1] as Level, stretch, meanIn, 0, 0);
  if (last.places.length === 0 || last.cost[0] === Infinity) return null;
  levels.push(last);
  return { cost: last.cost[0] as number, taken: routeThrough(levels, spaces, end) };
}

/**
 * Fills a stretch with exactly so many spaces, as evenly as its places allow, looking only where the best way can lie.
 *
 * A way that is off the even line by d with s of its n spaces to go costs at least d²/s + d²/(n − s) more than nothing, so
 * one way found tells how far off a better one may be: at most √(cost · n) / 2. Within that band the best is proven.
 *
 * @param wishIn the gap that deviations are taken from
 * @returns null where there is no way; time O(spaces × places in the band × log)
 */
export function fillBand(stretch: Stretch, spaces: number, wishIn: number): Filled | null {
  const { placesIn } = stretch;
  const spanIn = (placesIn.at(-1) ?? 0) - (placesIn[0] ?? 0);
  const meanIn = spanIn / spaces;
  let halfIn = FIRST_BAND_GAPS * meanIn;
  let found = within(stretch, spaces, halfIn);
  while (!found && halfIn < spanIn) {
    halfIn *= 2;
    found = within(stretch, spaces, halfIn);
  }
  if (!found) return null;
  const mayBeOffIn = Math.sqrt((found.cost + LEAST_ROUNDING) * spaces) / 2;
  if (mayBeOffIn > halfIn) found = within(stretch, spaces, mayBeOffIn) ?? found;
  return { ...found, cost: found.cost + spaces * (meanIn - wishIn) ** 2 };
}

/** What any way with so many spaces costs at least. */
export const leastCost = (spanIn: number, spaces: number, wishIn: number): number =>
  spaces * (spanIn / spaces - wishIn) ** 2;
