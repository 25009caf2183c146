import { boundsOf, type Shape } from '../layout/shapes.ts';

/** What the strokes of a full-size pattern are, each on a layer of its own. */
export const PATTERN_LAYERS = [
  'EDGES',
  'CUT_OUT',
  'RELIEFS',
  'STOP_DRILL',
  'HOLES',
  'EXISTING',
  'REPLACED',
  'HELD_OPEN',
  'PILOTS',
  'LAYER_ENDS',
  'LINES',
  'MARKS',
  'TEXT',
  'WARNINGS'
] as const;
export type PatternLayer = (typeof PATTERN_LAYERS)[number];

/** A corner of a path; `turnRad` is the angle that the arc to the next corner turns clockwise, 0 for a straight one. */
export interface PathCorner {
  xIn: number;
  yIn: number;
  turnRad: number;
}

/** One stroke of a full-size pattern; x right, y down, inches. */
export type Stroke = {
  layer: PatternLayer;
  /** the part whose stroke it is, where all parts are in one drawing; null for what they share */
  part: string | null;
} & (
  | { stroke: 'line'; x1In: number; y1In: number; x2In: number; y2In: number }
  | { stroke: 'circle'; xIn: number; yIn: number; radiusIn: number }
  | { stroke: 'path'; corners: readonly PathCorner[]; closed: boolean }
  | { stroke: 'text'; xIn: number; yIn: number; heightIn: number; text: string }
);

/** A stroke's layer as files name it: a part's own begin with the part. */
export const layerName = ({ layer, part }: Pick<Stroke, 'layer' | 'part'>): string =>
  part === null ? layer : `${part.toUpperCase()}-${layer}`;

/** Width of a letter of text, of its height. */
export const LETTER_WIDE = 0.6;

type Of<S extends Stroke['stroke']> = Extract<Stroke, { stroke: S }>;

export const line = (
  layer: PatternLayer,
  x1In: number,
  y1In: number,
  x2In: number,
  y2In: number
): Of<'line'> => ({ layer, part: null, stroke: 'line', x1In, y1In, x2In, y2In });

export const circle = (
  layer: PatternLayer,
  xIn: number,
  yIn: number,
  radiusIn: number,
  part: string | null = null
): Of<'circle'> => ({ layer, part, stroke: 'circle', xIn, yIn, radiusIn });

export const text = (
  layer: PatternLayer,
  xIn: number,
  yIn: number,
  heightIn: number,
  words: string
): Of<'text'> => ({ layer, part: null, stroke: 'text', xIn, yIn, heightIn, text: words });

/** Two short strokes across a centre, upright or turned by half a right angle. */
export const cross = (
  layer: PatternLayer,
  xIn: number,
  yIn: number,
  halfIn: number,
  turned = false
): Stroke[] => {
  const [a, b] = turned ? [halfIn * Math.SQRT1_2, halfIn * Math.SQRT1_2] : [halfIn, 0];
  return [
    line(layer, xIn - a, yIn - b, xIn + a, yIn + b),
    line(layer, xIn + b, yIn - a, xIn - b, yIn + a)
  ];
};

const corner = (xIn: number, yIn: number, turnRad = 0): PathCorner => ({ xIn, yIn, turnRad });
const QUARTER = Math.PI / 2;

/** A shape as one closed stroke. */
export function outlineStroke(
  shape: Shape,
  layer: PatternLayer,
  part: string | null = null
): Of<'path'> | Of<'circle'> {
  if (shape.shape === 'circle') return circle(layer, shape.xIn, shape.yIn, shape.radiusIn, part);
  if (shape.shape === 'polygon')
    return {
      layer,
      part,
      stroke: 'path',
      closed: true,
      corners: shape.pointsIn.map(([x, y]) => corner(x, y))
    };
  const { xIn, yIn, wIn, hIn, radiusIn: r } = shape;
  const [right, bottom] = [xIn + wIn, yIn + hIn];
  const corners =
    r <= 0
      ? [corner(xIn, yIn), corner(right, yIn), corner(right, bottom), corner(xIn, bottom)]
      : [
          corner(xIn + r, yIn),
          corner(right - r, yIn, QUARTER),
          corner(right, yIn + r),
          corner(right, bottom - r, QUARTER),
          corner(right - r, bottom),
          corner(xIn + r, bottom, QUARTER),
          corner(xIn, bottom - r),
          corner(xIn, yIn + r, QUARTER)
        ];
  return { layer, part, stroke: 'path', closed: true, corners };
}

/** @returns left, top, right and bottom of a stroke, in; an arc counts with its whole bulge at most */
export function boundsOfStroke(stroke: Stroke): [number, number, number, number] {
  switch (stroke.stroke) {
    case 'line':
      return [
        Math.min(stroke.x1In, stroke.x2In),
        Math.min(stroke.y1In, stroke.y2In),
        Math.max(stroke.x1In, stroke.x2In),
        Math.max(stroke.y1In, stroke.y2In)
      ];
    case 'text':
      return [
        stroke.xIn,
        stroke.yIn - stroke.heightIn,
        stroke.xIn + stroke.text.length * stroke.heightIn * LETTER_WIDE,
        stroke.yIn
      ];
    case 'path': {
      // the corners of the outlines here are those of their rectangle, or lie a quarter of a circle beside them
      const b = boundsOf({
        shape: 'polygon',
        pointsIn: stroke.corners.map(({ xIn, yIn }) => [xIn, yIn] as const)
      });
      return [b.xIn, b.yIn, b.xIn + b.wIn, b.yIn + b.hIn];
    }
    case 'circle': {
      const b = boundsOf({ shape: 'circle', ...stroke });
      return [b.xIn, b.yIn, b.xIn + b.wIn, b.yIn + b.hIn];
    }
  }
}

/** The rectangle round strokes, in. */
export function boundsOfAll(strokes: readonly Stroke[]) {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const stroke of strokes) {
    const [x1, y1, x2, y2] = boundsOfStroke(stroke);
    left = Math.min(left, x1);
    top = Math.min(top, y1);
    right = Math.max(right, x2);
    bottom = Math.max(bottom, y2);
  }
  return { left, top, right, bottom };
}

/** Radius of the arc that leaves a corner for the next one, in. */
export const arcRadiusIn = (from: PathCorner, to: PathCorner): number =>
  Math.hypot(to.xIn - from.xIn, to.yIn - from.yIn) / (2 * Math.sin(Math.abs(from.turnRad) / 2));

/**
 * A path in the letters that SVG and PDF share.
 *
 * @param scale units of the file an inch
 */
export function pathData(
  { corners, closed }: Of<'path'>,
  scale: number,
  write: (value: number) => string = String
): string {
  const at = ({ xIn, yIn }: PathCorner) => `${write(xIn * scale)} ${write(yIn * scale)}`;
  const [first] = corners;
  if (!first) return '';
  const steps = corners.slice(0, closed ? undefined : -1).map((from, index) => {
    const to = corners[index + 1] ?? first;
    // closing draws the last straight piece itself
    if (from.turnRad === 0) return index === corners.length - 1 ? '' : `L${at(to)}`;
    const r = write(arcRadiusIn(from, to) * scale);
    return `A${r} ${r} 0 0 ${from.turnRad > 0 ? 1 : 0} ${at(to)}`;
  });
  return `M${at(first)}${steps.join('')}${closed ? 'Z' : ''}`;
}
