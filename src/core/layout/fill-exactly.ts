import { squaresSlackIn2, TOLERANCE } from '../units/tolerance.ts';
import type { Stretch } from './fill-stretch.ts';

/** The most even way to fill a stretch for every number of spaces up to a limit. */
export interface EvenRoutes {
  /** sum of squared deviations from the wished gap by number of spaces; Infinity where there is no way */
  costs: Float64Array;
  /** indices of the places taken with that many spaces, both ends included */
  route: (spaces: number) => number[];
}

export interface Level {
  /** places from which the end is exactly this many spaces away, rising */
  places: Int32Array;
  cost: Float64Array;
  /** index into the level before of the next hole */
  next: Int32Array;
}

/**
 * One level from the one before. The windows of neighbouring places overlap and squares of a difference
 * make the best next place move right with the place itself, so the level is settled by halving.
 *
 * @param firstPlace and `lastPlace`: between which places it is looked for
 */
export function levelFrom(
  before: Level,
  { placesIn, minPitchIn, maxPitchIn }: Stretch,
  wishIn: number,
  firstPlace = 0,
  lastPlace = placesIn.length - 2
): Level {
  const at = (array: Int32Array | Float64Array, index: number) => array[index] as number;
  const placeIn = (place: number) => placesIn[place] as number;
  const slack = squaresSlackIn2(maxPitchIn);
  const reachable: number[] = [];
  let column = before.places.length - 1;
  for (let place = lastPlace; place >= firstPlace && column >= 0; place--) {
    const furthestIn = placeIn(place) + maxPitchIn + TOLERANCE;
    while (column >= 0 && placeIn(at(before.places, column)) > furthestIn) column -= 1;
    const nearest = column < 0 ? -Infinity : placeIn(at(before.places, column));
    if (nearest - placeIn(place) >= minPitchIn - TOLERANCE) reachable.push(place);
  }
  const places = Int32Array.from(reachable.reverse());
  const cost = new Float64Array(places.length).fill(Infinity);
  const next = new Int32Array(places.length);
  const settle = (rowFrom: number, rowTo: number, columnFrom: number, columnTo: number): void => {
    if (rowFrom > rowTo) return;
    const row = (rowFrom + rowTo) >> 1;
    const hereIn = placeIn(at(places, row));
    let best = Infinity;
    let bestColumn = columnFrom;
    for (let candidate = columnFrom; candidate <= columnTo; candidate++) {
      const gapIn = placeIn(at(before.places, candidate)) - hereIn;
      if (gapIn < minPitchIn - TOLERANCE) continue;
      if (gapIn > maxPitchIn + TOLERANCE) break;
      const total = (gapIn - wishIn) ** 2 + at(before.cost, candidate);
      // of ways that are as good the one with the smallest marks
      if (total < best - slack) {
        best = total;
        bestColumn = candidate;
      }
    }
    cost[row] = best;
    next[row] = bestColumn;
    settle(rowFrom, row - 1, columnFrom, bestColumn);
    settle(row + 1, rowTo, bestColumn, columnTo);
  };
  settle(0, places.length - 1, 0, before.places.length - 1);
  return { places, cost, next };
}

/** Follows a route from the first place through the levels to the end. */
export function routeThrough(levels: readonly Level[], spaces: number, end: number): number[] {
  const taken = [0];
  let index = 0;
  for (let level = spaces; level > 0; level--) {
    index = levels[level]?.next[index] ?? 0;
    taken.push(levels[level - 1]?.places[index] ?? end);
  }
  return taken;
}

/**
 * Fills a stretch with exactly 1, 2, … `mostSpaces` spaces, each as evenly as its places allow.
 *
 * @param wishIn the gap that deviations are taken from
 * @param onLevel told after each number of spaces
 * @returns cost and route by number of spaces; time O(spaces × places × log places)
 */
export function fillExactly(
  stretch: Stretch,
  mostSpaces: number,
  wishIn: number,
  onLevel: () => void = () => undefined
): EvenRoutes {
  const end = stretch.placesIn.length - 1;
  const levels: Level[] = [
    { places: Int32Array.of(end), cost: new Float64Array(1), next: new Int32Array(1) }
  ];
  const costs = new Float64Array(mostSpaces + 1).fill(Infinity);
  for (let spaces = 1; spaces <= mostSpaces; spaces++) {
    const before = levels[spaces - 1] as Level;
    const level = levelFrom(before, stretch, wishIn);
    levels.push(level);
    if (level.places[0] === 0) costs[spaces] = level.cost[0] ?? Infinity;
    onLevel();
  }
  return { costs, route: (spaces) => routeThrough(levels, spaces, end) };
}
