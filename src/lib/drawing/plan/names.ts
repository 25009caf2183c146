import type { Joint } from '../../../core/kinds/joint.ts';
import type { Place } from './part-path.ts';
import type { Extent } from './plan-scene.ts';
import type { JointLayout } from '../../../core/plan/plan-shape.ts';
import { nameSpots, NAME_CHARACTER_PX, type HoleMark, type Spot } from './hole-marks.ts';

type KeepOut = Joint['keepOuts'][number];

const UNDER_PX = 16;
const OVER_PX = 6;
const NAME_HIGH_PX = 15;

/**
 * What an obstacle is called on a drawing, and where that stands: under it, else over it or to a side of it where something
 * else is written; its middle.
 */
export function obstacleName(
  keepOut: KeepOut,
  index: number,
  extent: Extent,
  { x, y }: Pick<Place, 'x' | 'y'>,
  written: readonly Spot[] = []
): Spot & { text: string } {
  const highIn = keepOut.shape === 'round' ? keepOut.wIn : keepOut.hIn;
  const [topIn, footIn] =
    highIn === null
      ? [extent.yIn, extent.yIn + extent.hIn]
      : [keepOut.yIn - highIn / 2, keepOut.yIn + highIn / 2];
  const text = keepOut.name || `keep-out ${index + 1}`;
  const halfPx = (text.length * NAME_CHARACTER_PX) / 2;
  const beside = (x(keepOut.wIn) - x(0)) / 2 + halfPx + OVER_PX;
  const [middle, under, over] = [x(keepOut.xIn), y(footIn) + UNDER_PX, y(topIn) - OVER_PX];
  const places: Spot[] = [
    { x: middle, y: under },
    { x: middle, y: over },
    { x: middle + beside, y: y(keepOut.yIn) + 4 },
    { x: middle - beside, y: y(keepOut.yIn) + 4 },
    { x: middle, y: over - NAME_HIGH_PX },
    { x: middle, y: under + NAME_HIGH_PX },
    { x: middle + beside, y: under },
    { x: middle - beside, y: under },
    { x: middle + beside, y: over },
    { x: middle - beside, y: over },
    { x: middle, y: over - 2 * NAME_HIGH_PX },
    { x: middle, y: under + 2 * NAME_HIGH_PX }
  ];
  const free = (spot: Spot): boolean =>
    !written.some(
      (other) =>
        Math.abs(spot.x - other.x) < halfPx + NAME_CHARACTER_PX &&
        Math.abs(spot.y - other.y) < NAME_HIGH_PX
    );
  return { text, ...(places.find(free) ?? { x: middle, y: under }) };
}

/** The word "open", for numbers to keep clear of. */
export const openSpots = (words: readonly Spot[]): Spot[] =>
  words.flatMap(({ x, y }) => nameSpots('open', { x, y: y - 4 }));

/** Where "open" is written under the holes that stay open. */
export const openWords = (
  marks: readonly HoleMark[],
  { x, y }: Pick<Place, 'x' | 'y'>,
  radiusPx: number
): Spot[] =>
  marks
    .filter(({ kind }) => kind === 'held-open')
    .map(({ xIn, yIn }) => ({ x: x(xIn), y: y(yIn) + Math.max(2, radiusPx) + 17 }));

/** A name that would stand over another goes so far back along its line, and tries again. */
const SLIDE_PX = 30;
const MOST_SLIDES = 12;

/** Where the names of lines that are no edge stand: at their end, further back where something else is written, or beside it. */
export function markNameAt(
  { name, fromIn, toIn }: JointLayout['marksOnly'][number],
  { x, y }: Pick<Place, 'x' | 'y'>,
  written: readonly Spot[] = []
): Spot & { anchor: 'start' | 'end' } {
  if (fromIn[1] !== toIn[1]) return { x: x(fromIn[0]) + 6, y: y(fromIn[1]) - 4, anchor: 'start' };
  const widePx = name.length * NAME_CHARACTER_PX;
  const at: Spot = { x: x(toIn[0]) - 8, y: y(toIn[1]) - 3 };
  for (let slid = 0; slid < MOST_SLIDES; slid++) {
    const end = at.x - slid * SLIDE_PX;
    const free = !written.some(
      (spot) =>
        spot.x > end - widePx - NAME_CHARACTER_PX &&
        spot.x < end + NAME_CHARACTER_PX &&
        Math.abs(spot.y - at.y) < NAME_HIGH_PX + 3
    );
    if (free) return { x: end, y: at.y, anchor: 'end' };
  }
  return { ...at, anchor: 'end' };
}

/** Where the names of lines that are no edge lie, for numbers to keep clear of. */
export const markNameSpots = (
  marksOnly: JointLayout['marksOnly'],
  place: Pick<Place, 'x' | 'y'>,
  written: readonly Spot[] = []
): Spot[] =>
  marksOnly.flatMap((mark) => {
    const { x, y, anchor } = markNameAt(mark, place, written);
    const half = (mark.name.length * NAME_CHARACTER_PX) / 2;
    return nameSpots(mark.name, { x: anchor === 'end' ? x - half : x + half, y: y - 4 });
  });

/** Where the names of obstacles lie, for numbers to keep clear of. */
export const obstacleSpots = (
  keepOuts: readonly KeepOut[],
  extent: Extent,
  place: Pick<Place, 'x' | 'y'>,
  written: readonly Spot[] = []
): Spot[] =>
  keepOuts.flatMap((keepOut, index) => {
    const { text, x, y } = obstacleName(keepOut, index, extent, place, written);
    return nameSpots(text, { x, y: y - 4 });
  });
