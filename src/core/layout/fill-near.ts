import { LEAST_ROUNDING, squaresSlackIn2 } from '../units/tolerance.ts';
import { fillBand, leastCost, type Filled } from './fill-band.ts';
import type { Stretch } from './fill-stretch.ts';
import { shareSpaces } from './share-spaces.ts';

/** Told how much of the search is done, 0 to 1. */
export type OnProgress = (done: number) => void;

/** A stretch with the fewest and the most spaces that its pitch limits could allow. */
export type CountedStretch = Stretch & { fewest: number; most: number };

const spanOf = ({ placesIn }: Stretch): number => (placesIn.at(-1) ?? 0) - (placesIn[0] ?? 0);

/** Spaces by the stretches' lengths, adding up to the total; null where their bounds do not allow it. */
function byLength(stretches: readonly CountedStretch[], total: number, wishIn: number) {
  const counts = stretches.map(({ fewest, most, ...one }) =>
    Math.max(fewest, Math.min(most, Math.round(spanOf(one) / wishIn)))
  );
  let off = total - counts.reduce((sum, count) => sum + count, 0);
  while (off !== 0) {
    const step = Math.sign(off);
    let best = -1;
    let bestCost = Infinity;
    stretches.forEach((one, at) => {
      const count = (counts[at] ?? 0) + step;
      if (count < one.fewest || count > one.most) return;
      const spanIn = spanOf(one);
      const cost = leastCost(spanIn, count, wishIn) - leastCost(spanIn, counts[at] ?? 1, wishIn);
      if (cost < bestCost) [best, bestCost] = [at, cost];
    });
    if (best === -1) return null;
    counts[best] = (counts[best] ?? 0) + step;
    off -= step;
  }
  return counts;
}

/**
 * The best way to exactly so many spaces in all, where each stretch is tried only with counts that can still be part of it:
 * one way found bounds what any part of a better one may cost.
 *
 * @returns null where the stretches' lengths give no way; then all counts must be tried
 */
export function fillNear(
  stretches: readonly CountedStretch[],
  total: number,
  wishIn: number,
  onProgress: OnProgress
): number[] | null {
  const counts = byLength(stretches, total, wishIn);
  if (!counts) return null;
  const first = stretches.map((one, at) => fillBand(one, counts[at] ?? 1, wishIn));
  if (first.includes(null)) return null;
  const bound = first.reduce((sum, filled) => sum + (filled?.cost ?? 0), 0) + LEAST_ROUNDING;
  const lows = stretches.map((one) =>
    leastCost(spanOf(one), Math.max(1, spanOf(one) / wishIn), wishIn)
  );
  const lowest = lows.reduce((sum, low) => sum + low, 0);
  const tried = stretches.map((one, at) => {
    const ways = new Map<number, Filled>();
    const add = (count: number): boolean => {
      if (count < one.fewest || count > one.most) return false;
      if (leastCost(spanOf(one), count, wishIn) + lowest - (lows[at] ?? 0) > bound) return false;
      const filled = count === counts[at] ? first[at] : fillBand(one, count, wishIn);
      if (filled) ways.set(count, filled);
      return true;
    };
    const middle = counts[at] ?? 1;
    if (stretches.length === 1) add(middle);
    else {
      for (let count = middle; add(count); count++);
      for (let count = middle - 1; add(count); count--);
    }
    onProgress((at + 1) / stretches.length);
    return ways;
  });
  const costs = tried.map((ways, at) => {
    const cost = new Float64Array(Math.max(...ways.keys(), counts[at] ?? 1) + 1).fill(Infinity);
    for (const [count, filled] of ways) cost[count] = filled.cost;
    return cost;
  });
  const largestIn = Math.max(...stretches.map(({ maxPitchIn }) => maxPitchIn));
  const slackIn2 = squaresSlackIn2(largestIn);
  const spaces = shareSpaces(costs, total, slackIn2);
  if (!spaces) return null;
  return tried.flatMap((ways, at) =>
    (ways.get(spaces[at] ?? 0)?.taken ?? [])
      .slice(at === 0 ? 0 : 1)
      .map((place) => stretches[at]?.placesIn[place] ?? 0)
  );
}
