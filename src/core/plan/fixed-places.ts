import type { Joint } from '../kinds/joint.ts';
import { alongOf, offLineIn, type LineWish } from '../layout/lines.ts';
import { below, same } from '../units/tolerance.ts';
import { pointOff } from './holes.ts';

/** A place along a line that will be a hole. */
export interface Place {
  alongIn: number;
  offIn: number;
  /** an existing or pinned hole, by its id */
  fixed: string | null;
}

/** A fixed hole where it lies on the metal, in. */
export interface FixedSpot extends Place {
  fixed: string;
  line: string;
  xIn: number;
  yIn: number;
}

/** Where the fixed holes of a joint lie; those whose line is gone lie nowhere. */
export function fixedSpots(
  fixed: Joint['fixed'],
  lines: readonly Pick<LineWish, 'key' | 'path'>[]
): FixedSpot[] {
  const paths = new Map(lines.map(({ key, path }) => [key, path]));
  return fixed.flatMap(({ id, line, atIn, offIn }) => {
    const path = paths.get(line);
    return path ? [{ fixed: id, line, alongIn: atIn, offIn, ...pointOff(path, atIn, offIn) }] : [];
  });
}

/** The place nearest to a running distance; places in their order. */
function nearestTo(places: readonly Place[], alongIn: number): Place | undefined {
  let [low, high] = [0, places.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] as Place).alongIn < alongIn) low = middle + 1;
    else high = middle;
  }
  const [before, after] = [places[low - 1], places[low]];
  if (!before || !after) return before ?? after;
  return alongIn - before.alongIn <= after.alongIn - alongIn ? before : after;
}

/**
 * A line's even places with its end holes at the outermost holes that it is given, where those lie beyond an end hole or
 * leave it no room: the given hole is the end then.
 *
 * @param roomIn the least pitch, in
 */
function endsAtGiven(
  { alongIn, givenIn }: Pick<LineWish, 'alongIn' | 'givenIn'>,
  roomIn: number
): number[] {
  const low = Math.min(...givenIn);
  const high = Math.max(...givenIn);
  const last = alongIn.length - 1;
  return alongIn.map((place, at) => {
    if (at === 0 && below(low - place, roomIn)) return low;
    return at === last && below(place - high, roomIn) ? high : place;
  });
}

export interface HeldPlaces {
  fixed: Place[];
  /** the wish's, its ends moved to the fixed holes that are meant */
  alongIn: number[];
  /** those that no fixed hole stands for */
  givenIn: number[];
}

/**
 * What the fixed holes make of a straight line's wish. One of its end or given holes with a fixed hole nearer than half
 * the least pitch is that hole: two would have no room, and what is there already is meant. A corner's hole may
 * have been taken up on the other line.
 *
 * @param withinIn half the least pitch, in
 */
export function heldPlaces(
  wish: Pick<LineWish, 'key' | 'path' | 'alongIn' | 'givenIn'>,
  spots: readonly FixedSpot[],
  withinIn: number
): HeldPlaces {
  const { path } = wish;
  const wished = endsAtGiven(wish, 2 * withinIn);
  const own: Place[] = [];
  const near: Place[] = [];
  for (const { fixed, line, alongIn, offIn, xIn, yIn } of spots)
    if (line === wish.key) own.push({ alongIn, offIn, fixed });
    else if (Math.abs(offLineIn(path, xIn, yIn)) < withinIn)
      near.push({ alongIn: alongOf(path, xIn, yIn), offIn: offLineIn(path, xIn, yIn), fixed });
  if (own.length + near.length === 0)
    return { fixed: [], alongIn: wished, givenIn: [...wish.givenIn] };
  const inOrder = [...own, ...near].sort((a, b) => a.alongIn - b.alongIn);
  const shared = new Set<Place>();
  const others = new Set(near);
  const standsFor = (alongIn: number): Place | undefined => {
    const at = nearestTo(inOrder, alongIn);
    if (!at || !(Math.abs(at.alongIn - alongIn) < withinIn)) return undefined;
    if (others.has(at)) shared.add(at);
    return at;
  };
  const last = wished.length - 1;
  const alongIn = wished.map((place, at) =>
    at === 0 || at === last ? (standsFor(place)?.alongIn ?? place) : place
  );
  const givenIn = wish.givenIn.filter((place) => standsFor(place) === undefined);
  return {
    fixed: inOrder.filter((place) => !others.has(place) || shared.has(place)),
    alongIn,
    givenIn
  };
}

/**
 * A ring with its fixed holes: each takes the place of the nearest one that is free; one too many stands beside them.
 *
 * @param roundIn once round the ring, in
 */
export function heldRing(
  even: readonly Place[],
  fixed: readonly FixedSpot[],
  roundIn: number
): Place[] {
  const places = [...even];
  const apart = (a: number, b: number): number => {
    const between = Math.abs(a - b) % roundIn;
    return Math.min(between, roundIn - between);
  };
  for (const { alongIn, offIn, fixed: id } of fixed) {
    let free = -1;
    places.forEach((place, at) => {
      const nearest = places[free];
      if (place.fixed !== null) return;
      if (!nearest || apart(place.alongIn, alongIn) < apart(nearest.alongIn, alongIn)) free = at;
    });
    const place = { alongIn, offIn, fixed: id };
    if (free === -1) places.push(place);
    else places[free] = place;
  }
  return places;
}

/** Marks in their order, those that are fixed holes as they are. */
export function withFixed(marksIn: readonly number[], fixed: readonly Place[]): Place[] {
  const waiting = fixed.toSorted((a, b) => a.alongIn - b.alongIn);
  let next = 0;
  return marksIn.map((alongIn) => {
    while (below(waiting[next]?.alongIn ?? Infinity, alongIn)) next += 1;
    const at = waiting[next];
    return at && same(at.alongIn, alongIn) ? at : { alongIn, offIn: 0, fixed: null };
  });
}
