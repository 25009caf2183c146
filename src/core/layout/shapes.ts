import { atLeast } from '../units/tolerance.ts';

/** An outline on the metal: x runs from the datum edge, y down from the upper edge; inches. */
export type Shape =
  | { shape: 'rect'; xIn: number; yIn: number; wIn: number; hIn: number; radiusIn: number }
  | { shape: 'circle'; xIn: number; yIn: number; radiusIn: number }
  | { shape: 'polygon'; pointsIn: readonly (readonly [number, number])[] };

export type Side = 'left' | 'right' | 'top' | 'bottom';

/** One sheet as seen from above. A hole goes through every part that it lies on. */
export interface Part {
  key: string;
  name: string;
  /** how it lies: over, under, or beside filling the cut-out */
  layer: 'over' | 'under' | 'filler';
  outline: Shape;
  /** cut-outs in it */
  openings: readonly Shape[];
  /** sides where the sheet goes on: drawn broken, and no edge */
  goesOn: readonly Side[];
  /** metal that the repair adds, for its mass; null for what is there anyway */
  addedThicknessIn: number | null;
}

export const rect = (
  xIn: number,
  yIn: number,
  wIn: number,
  hIn: number,
  radiusIn = 0
): Extract<Shape, { shape: 'rect' }> => ({ shape: 'rect', xIn, yIn, wIn, hIn, radiusIn });

export const circle = (xIn: number, yIn: number, radiusIn: number): Shape => ({
  shape: 'circle',
  xIn,
  yIn,
  radiusIn
});

const NO_SIDES: readonly Side[] = [];

function insideRect(
  { xIn, yIn, wIn, hIn, radiusIn }: Extract<Shape, { shape: 'rect' }>,
  x: number,
  y: number,
  goesOn: readonly Side[]
): number {
  const left = goesOn.includes('left') ? Infinity : x - xIn;
  const right = goesOn.includes('right') ? Infinity : xIn + wIn - x;
  const top = goesOn.includes('top') ? Infinity : y - yIn;
  const bottom = goesOn.includes('bottom') ? Infinity : yIn + hIn - y;
  const across = Math.min(left, right);
  const down = Math.min(top, bottom);
  // Inside the square of a rounded corner the curve is nearer than either side.
  if (across < radiusIn && down < radiusIn)
    return radiusIn - Math.hypot(radiusIn - across, radiusIn - down);
  return Math.min(across, down);
}

function toSegment(
  x: number,
  y: number,
  a: readonly [number, number],
  b: readonly [number, number]
) {
  const [ax, ay] = a;
  const [bx, by] = b;
  const length2 = (bx - ax) ** 2 + (by - ay) ** 2;
  const share =
    length2 === 0
      ? 0
      : Math.max(0, Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length2));
  return Math.hypot(x - ax - share * (bx - ax), y - ay - share * (by - ay));
}

function insidePolygon(points: readonly (readonly [number, number])[], x: number, y: number) {
  let inside = false;
  let nearest = Infinity;
  points.forEach((b, index) => {
    const a = points.at(index - 1) ?? b;
    nearest = Math.min(nearest, toSegment(x, y, a, b));
    if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0])
      inside = !inside;
  });
  return inside ? nearest : -nearest;
}

/**
 * How deep a point lies inside a shape: its distance from the nearest edge, negative outside.
 *
 * @param goesOn sides of a rectangle that are no edge
 * @returns in
 */
export function depthIn(
  shape: Shape,
  x: number,
  y: number,
  goesOn: readonly Side[] = NO_SIDES
): number {
  switch (shape.shape) {
    case 'rect':
      return insideRect(shape, x, y, goesOn);
    case 'circle':
      return shape.radiusIn - Math.hypot(x - shape.xIn, y - shape.yIn);
    case 'polygon':
      return insidePolygon(shape.pointsIn, x, y);
  }
}

/** Distance of a point from the nearest edge of a part, in; negative where the part has no metal. */
export function edgeOfPartIn(part: Part, x: number, y: number): number {
  let least = depthIn(part.outline, x, y, part.goesOn);
  for (const opening of part.openings) least = Math.min(least, -depthIn(opening, x, y));
  return least;
}

/**
 * The edge distance of a hole: the least over all parts that its rivet holds.
 *
 * @param parts those that its grip counts
 * @returns in; −Infinity where it lies off one of them
 */
export function edgeDistanceIn(parts: readonly Part[], x: number, y: number): number {
  let least = Infinity;
  for (const part of parts) {
    const edgeIn = edgeOfPartIn(part, x, y);
    if (!atLeast(edgeIn, 0)) return -Infinity;
    least = Math.min(least, edgeIn);
  }
  return least;
}

/** The parts that are named by their keys; of a name that no part has there is none, and every hole lies off it. */
export const partsNamed = (parts: readonly Part[], keys: readonly string[]): Part[] =>
  keys.map((key) => parts.find((part) => part.key === key) ?? nowhere(key));
const nowhere = (key: string): Part => ({
  key,
  name: key,
  layer: 'under',
  outline: rect(0, 0, -1, -1),
  openings: [],
  goesOn: [],
  addedThicknessIn: null
});

/**
 * Parts as the edge-distance limit is held against them: an insert with square corners. Its rounded corner may
 * come nearer than the limit; that is warned of by itself.
 */
export const withSquareInserts = (parts: readonly Part[]): Part[] =>
  parts.map((part) =>
    part.layer === 'filler' && part.outline.shape === 'rect'
      ? { ...part, outline: { ...part.outline, radiusIn: 0 } }
      : part
  );

/** The rectangle round a shape: what a view must show. */
export function boundsOf(shape: Shape): { xIn: number; yIn: number; wIn: number; hIn: number } {
  if (shape.shape === 'rect') return shape;
  if (shape.shape === 'circle') {
    const { xIn, yIn, radiusIn } = shape;
    return { xIn: xIn - radiusIn, yIn: yIn - radiusIn, wIn: 2 * radiusIn, hIn: 2 * radiusIn };
  }
  const xs = shape.pointsIn.map(([x]) => x);
  const ys = shape.pointsIn.map(([, y]) => y);
  const [xIn, yIn] = [Math.min(...xs), Math.min(...ys)];
  return { xIn, yIn, wIn: Math.max(...xs) - xIn, hIn: Math.max(...ys) - yIn };
}

/** Area of a shape, in²; a rounded rectangle loses (4 − π)·r². */
export function areaIn2(shape: Shape): number {
  if (shape.shape === 'rect') return shape.wIn * shape.hIn - (4 - Math.PI) * shape.radiusIn ** 2;
  if (shape.shape === 'circle') return Math.PI * shape.radiusIn ** 2;
  let twice = 0;
  shape.pointsIn.forEach(([x, y], index) => {
    const [px, py] = shape.pointsIn.at(index - 1) ?? [x, y];
    twice += px * y - x * py;
  });
  return Math.abs(twice) / 2;
}

/** Metal of the parts that a repair adds, in³. */
export const addedVolumeIn3 = (parts: readonly Part[]): number =>
  parts.reduce(
    (sum, { addedThicknessIn, outline, openings }) =>
      sum +
      (addedThicknessIn ?? 0) *
        (areaIn2(outline) - openings.reduce((open, shape) => open + areaIn2(shape), 0)),
    0
  );
