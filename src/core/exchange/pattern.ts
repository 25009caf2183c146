import { drillIn } from '../catalog/drills.ts';
import { PILOT_DRILL, rivetSize } from '../catalog/rivets.ts';
import { boundsOf, type Shape } from '../layout/shapes.ts';
import type { JointLayout } from '../plan/plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';

export const PATTERN_LAYERS = [
  'EDGES',
  'HOLES',
  'HELD_OPEN',
  'CUT_OUT',
  'LINES',
  'TEXT',
  'WARNINGS'
] as const;
export type PatternLayer = (typeof PATTERN_LAYERS)[number];

/** One stroke of a full-size pattern; x right, y down, inches. Angles run clockwise from the right, radians. */
export type Stroke = { layer: PatternLayer } & (
  | { stroke: 'line'; x1In: number; y1In: number; x2In: number; y2In: number }
  | { stroke: 'circle'; xIn: number; yIn: number; radiusIn: number }
  | { stroke: 'arc'; xIn: number; yIn: number; radiusIn: number; fromRad: number; toRad: number }
  | { stroke: 'text'; xIn: number; yIn: number; heightIn: number; text: string }
);

/** A joint full size: what is taped to the metal and punched through. */
export interface Pattern {
  strokes: Stroke[];
  /** what stops the joint, drawn beneath it too; empty where nothing does */
  notes: readonly string[];
  /** everything drawn */
  xIn: number;
  yIn: number;
  wIn: number;
  hIn: number;
}

const NUMBER_HIGH_IN = 0.09;
const NOTE_HIGH_IN = 0.12;
/** Width of a letter of text, of its height. */
const LETTER_WIDE = 0.6;
/** Notes under a drawing narrower than this run on past it. */
const NOTE_WIDE_IN = 6;
const AROUND_IN = 0.15;

const line = (
  layer: PatternLayer,
  x1In: number,
  y1In: number,
  x2In: number,
  y2In: number
): Stroke => ({
  layer,
  stroke: 'line',
  x1In,
  y1In,
  x2In,
  y2In
});

/** A shape as lines and arcs. */
export function outlineStrokes(shape: Shape, layer: PatternLayer): Stroke[] {
  if (shape.shape === 'circle')
    return [{ layer, stroke: 'circle', xIn: shape.xIn, yIn: shape.yIn, radiusIn: shape.radiusIn }];
  if (shape.shape === 'polygon')
    return shape.pointsIn.map(([x, y], index) => {
      const [px, py] = shape.pointsIn.at(index - 1) ?? [x, y];
      return line(layer, px, py, x, y);
    });
  const { xIn, yIn, wIn, hIn, radiusIn: r } = shape;
  const [right, bottom] = [xIn + wIn, yIn + hIn];
  const sides = [
    line(layer, xIn + r, yIn, right - r, yIn),
    line(layer, right, yIn + r, right, bottom - r),
    line(layer, right - r, bottom, xIn + r, bottom),
    line(layer, xIn, bottom - r, xIn, yIn + r)
  ];
  if (r <= 0) return sides;
  const corner = (cx: number, cy: number, quarter: number): Stroke => ({
    layer,
    stroke: 'arc',
    xIn: cx,
    yIn: cy,
    radiusIn: r,
    fromRad: (quarter * Math.PI) / 2,
    toRad: ((quarter + 1) * Math.PI) / 2
  });
  return [
    ...sides,
    corner(right - r, bottom - r, 0),
    corner(xIn + r, bottom - r, 1),
    corner(xIn + r, yIn + r, 2),
    corner(right - r, yIn + r, 3)
  ];
}

const cross = (layer: PatternLayer, xIn: number, yIn: number, halfIn: number): Stroke[] => [
  line(layer, xIn - halfIn, yIn, xIn + halfIn, yIn),
  line(layer, xIn, yIn - halfIn, xIn, yIn + halfIn)
];

/** Sides where a sheet goes on are no edge: they are left out of the pattern. */
function partStrokes(part: JointLayout['parts'][number]): Stroke[] {
  const { outline, goesOn } = part;
  if (outline.shape !== 'rect' || goesOn.length === 0) return outlineStrokes(outline, 'EDGES');
  const { xIn, yIn, wIn, hIn } = outline;
  const sides = {
    top: line('EDGES', xIn, yIn, xIn + wIn, yIn),
    bottom: line('EDGES', xIn, yIn + hIn, xIn + wIn, yIn + hIn),
    left: line('EDGES', xIn, yIn, xIn, yIn + hIn),
    right: line('EDGES', xIn + wIn, yIn, xIn + wIn, yIn + hIn)
  };
  return (['top', 'bottom', 'left', 'right'] as const)
    .filter((side) => !goesOn.includes(side))
    .map((side) => sides[side]);
}

function holeStrokes(layout: JointLayout, profile: RuleProfile): Stroke[] {
  return layout.holes.flatMap((hole): Stroke[] => {
    const { xIn, yIn } = hole;
    const open = hole.state === 'held-open';
    const drilledIn = open
      ? (hole.openDrill?.diameterIn ?? drillIn(PILOT_DRILL))
      : drillIn(rivetSize(hole.dash).drill[profile.drill]);
    const radiusIn = drilledIn / 2;
    const layer = open ? 'HELD_OPEN' : 'HOLES';
    return [
      { layer, stroke: 'circle', xIn, yIn, radiusIn },
      ...cross('LINES', xIn, yIn, radiusIn * 1.7),
      {
        layer: 'TEXT',
        stroke: 'text',
        xIn: xIn + radiusIn * 1.2,
        yIn: yIn - radiusIn * 1.2,
        heightIn: NUMBER_HIGH_IN,
        text: open ? `${hole.number} OPEN` : `${hole.number}`
      }
    ];
  });
}

function lineStrokes(layout: JointLayout): Stroke[] {
  return layout.lines.map(({ path }): Stroke =>
    path.path === 'circle'
      ? { layer: 'LINES', stroke: 'circle', xIn: path.xIn, yIn: path.yIn, radiusIn: path.radiusIn }
      : line(
          'LINES',
          path.xIn,
          path.yIn,
          path.xIn + path.dirX * path.lengthIn,
          path.yIn + path.dirY * path.lengthIn
        )
  );
}

/** @returns left, top, right and bottom of a stroke, in */
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
    default: {
      const b = boundsOf({ shape: 'circle', ...stroke });
      return [b.xIn, b.yIn, b.xIn + b.wIn, b.yIn + b.hIn];
    }
  }
}

/** Words in lines of at most so many letters. */
function inLines(text: string, letters: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= letters)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** What stops the joint, beneath its drawing: whoever holds the file must not miss it. */
function noteStrokes(notes: readonly string[], leftIn: number, topIn: number, wIn: number) {
  const letters = Math.floor(Math.max(wIn, NOTE_WIDE_IN) / (LETTER_WIDE * NOTE_HIGH_IN));
  return notes
    .flatMap((note) => inLines(note, letters))
    .map((text, at): Stroke => ({
      layer: 'WARNINGS',
      stroke: 'text',
      xIn: leftIn,
      yIn: topIn + (at + 2) * 1.4 * NOTE_HIGH_IN,
      heightIn: NOTE_HIGH_IN,
      text
    }));
}

function boundsOfAll(strokes: readonly Stroke[]) {
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

/**
 * The joint as full-size strokes on layers: edges, holes where they are computed, rivet lines, cut-out with its
 * corner reliefs, hole numbers.
 *
 * @param notes what stops the joint, in words
 * @returns strokes and what they cover, in
 * @source handbook 4.2: a paper pattern punched through removes measuring altogether
 */
export function patternOf(
  layout: JointLayout,
  profile: RuleProfile,
  notes: readonly string[] = []
): Pattern {
  const drawn: Stroke[] = [
    ...layout.parts.flatMap(partStrokes),
    ...(layout.cutOut ? outlineStrokes(layout.cutOut, 'CUT_OUT') : []),
    ...layout.reliefs.flatMap(({ xIn, yIn, diameterIn }): Stroke[] => [
      { layer: 'CUT_OUT', stroke: 'circle', xIn, yIn, radiusIn: diameterIn / 2 },
      ...cross('LINES', xIn, yIn, 0.08)
    ]),
    ...layout.drilledOnly.map(({ xIn, yIn, diameterIn }): Stroke => ({
      layer: 'CUT_OUT',
      stroke: 'circle',
      xIn,
      yIn,
      radiusIn: diameterIn / 2
    })),
    ...lineStrokes(layout),
    ...holeStrokes(layout, profile)
  ];
  const joint = boundsOfAll(drawn);
  const strokes = [
    ...drawn,
    ...noteStrokes(notes, joint.left, joint.bottom, joint.right - joint.left)
  ];
  const { left, top, right, bottom } = boundsOfAll(strokes);
  return {
    strokes,
    notes,
    xIn: left - AROUND_IN,
    yIn: top - AROUND_IN,
    wIn: right - left + 2 * AROUND_IN,
    hIn: bottom - top + 2 * AROUND_IN
  };
}
