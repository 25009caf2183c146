import { BrokenPrecondition } from '../units/broken-precondition.ts';
import { squaresSlackIn2, TOLERANCE } from '../units/tolerance.ts';

/** A stretch between two holes that are there in any case. */
export interface Stretch {
  /** every place a hole may be, in, rising; the first and the last are the two holes */
  placesIn: Float64Array;
  minPitchIn: number;
  maxPitchIn: number;
}

const NEVER = 0x7fffffff;

/**
 * For every place the fewest spaces to the end, or NEVER. One pass from the right; the places that are one
 * pitch further on form a window that only moves left, so its minimum is kept in a queue: O(places).
 */
function fewestToEnd({ placesIn, minPitchIn, maxPitchIn }: Stretch): Int32Array {
  const count = placesIn.length;
  const spaces = new Int32Array(count).fill(NEVER);
  const queue = new Int32Array(count);
  let head = 0;
  let tail = 0;
  let entering = count - 1;
  spaces[count - 1] = 0;
  for (let place = count - 2; place >= 0; place--) {
    const here = at(placesIn, place);
    while (entering > place && at(placesIn, entering) - here >= minPitchIn - TOLERANCE) {
      while (tail > head && at(spaces, at(queue, tail - 1)) >= at(spaces, entering)) tail -= 1;
      queue[tail++] = entering;
      entering -= 1;
    }
    while (head < tail && at(placesIn, at(queue, head)) - here > maxPitchIn + TOLERANCE) head += 1;
    const least = head < tail ? at(spaces, at(queue, head)) : NEVER;
    if (least !== NEVER) spaces[place] = least + 1;
  }
  return spaces;
}

/** Bounds are the loops' own; typed arrays never hold undefined inside them. */
const at = (array: Float64Array | Int32Array, index: number): number => array[index] as number;

/** The places from which the end is `level` spaces away, for every level, rising. */
function byLevel(spaces: Int32Array, levels: number): number[][] {
  const places: number[][] = Array.from({ length: levels + 1 }, () => []);
  spaces.forEach((level, place) => {
    if (level <= levels) places[level]?.push(place);
  });
  return places;
}

/**
 * The least sum of squared deviations from the mean gap, from every place to the end over a fewest-holes
 * route. Squares of a difference make the best next place move right with the place itself, so each level
 * is settled by halving: O(places of the level × log).
 */
function leastDeviation(stretch: Stretch, levels: number[][], meanIn: number): Float64Array {
  const { placesIn, minPitchIn, maxPitchIn } = stretch;
  const cost = new Float64Array(placesIn.length).fill(Infinity);
  cost[placesIn.length - 1] = 0;
  for (let level = 1; level < levels.length; level++) {
    const rows = levels[level] ?? [];
    const columns = levels[level - 1] ?? [];
    const settle = (rowFrom: number, rowTo: number, columnFrom: number, columnTo: number): void => {
      if (rowFrom > rowTo) return;
      const middle = (rowFrom + rowTo) >> 1;
      const place = rows[middle] ?? 0;
      let best = Infinity;
      let bestColumn = columnFrom;
      for (let column = columnFrom; column <= columnTo; column++) {
        const next = columns[column] ?? 0;
        const gapIn = at(placesIn, next) - at(placesIn, place);
        if (gapIn < minPitchIn - TOLERANCE) continue;
        if (gapIn > maxPitchIn + TOLERANCE) break;
        const total = (gapIn - meanIn) ** 2 + at(cost, next);
        if (total < best) {
          best = total;
          bestColumn = column;
        }
      }
      cost[place] = best;
      settle(rowFrom, middle - 1, columnFrom, bestColumn);
      settle(middle + 1, rowTo, bestColumn, columnTo);
    };
    settle(0, rows.length - 1, 0, columns.length - 1);
  }
  return cost;
}

/**
 * Holes for one stretch: the fewest, then the most even gaps, then the leftmost.
 *
 * @returns indices of the places taken, both ends included, or null when it cannot be filled
 */
export function fillStretch(stretch: Stretch): number[] | null {
  const { placesIn, minPitchIn, maxPitchIn } = stretch;
  const spaces = fewestToEnd(stretch);
  const fewest = at(spaces, 0);
  if (fewest === NEVER) return null;
  const spanIn = at(placesIn, placesIn.length - 1) - at(placesIn, 0);
  const meanIn = spanIn / fewest;
  const levels = byLevel(spaces, fewest);
  const cost = leastDeviation(stretch, levels, meanIn);
  // Equal sums differ only by rounding; what counts as equal grows with the number of terms.
  const slack = squaresSlackIn2(maxPitchIn, fewest);
  const taken = [0];
  let place = 0;
  for (let level = fewest - 1; level >= 0; level--) {
    const here = at(placesIn, place);
    const next = (levels[level] ?? []).find((candidate) => {
      const gapIn = at(placesIn, candidate) - here;
      if (gapIn < minPitchIn - TOLERANCE || gapIn > maxPitchIn + TOLERANCE) return false;
      return (gapIn - meanIn) ** 2 + at(cost, candidate) <= at(cost, place) + slack;
    });
    if (next === undefined)
      throw new BrokenPrecondition('route', 'a place whose costs agree', here);
    taken.push(next);
    place = next;
  }
  return taken;
}

/** @returns whether the stretch could be filled with other pitch limits */
export const canFill = (stretch: Stretch, minPitchIn: number, maxPitchIn: number): boolean =>
  at(fewestToEnd({ placesIn: stretch.placesIn, minPitchIn, maxPitchIn }), 0) !== NEVER;

/**
 * Where a stretch that cannot be filled stops: the furthest place reached from its start, and the first
 * place beyond from which its end can be reached; inches.
 */
export function stuckBetween(stretch: Stretch): { fromIn: number; toIn: number } {
  const { placesIn, minPitchIn, maxPitchIn } = stretch;
  const last = placesIn.length - 1;
  const endIn = at(placesIn, last);
  // Reaching from the start is reaching the end in a mirror.
  const mirrored = Float64Array.from(placesIn, (_, index) => endIn - at(placesIn, last - index));
  const fromStart = fewestToEnd({ placesIn: mirrored, minPitchIn, maxPitchIn });
  const toEnd = fewestToEnd(stretch);
  let reached = 0;
  for (let place = last; place > 0; place--)
    if (at(fromStart, last - place) !== NEVER) {
      reached = place;
      break;
    }
  const beyond = toEnd.findIndex((spaces, place) => place > reached && spaces !== NEVER);
  return { fromIn: at(placesIn, reached), toIn: at(placesIn, beyond === -1 ? last : beyond) };
}
