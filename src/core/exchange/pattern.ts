import { drillIn } from '../catalog/drills.ts';
import { PILOT_DRILL, rivetSize } from '../catalog/rivets.ts';
import type { Joint } from '../kinds/joint.ts';
import { edgeOfPartIn, type Part } from '../layout/shapes.ts';
import type { ExistingHole } from '../plan/existing-holes.ts';
import type { PlannedHole } from '../plan/holes.ts';
import type { JointLayout } from '../plan/plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { InMetal } from '../releases/in-metal.ts';
import { layerEnds } from '../stack/layer-ends.ts';
import { atLeast } from '../units/tolerance.ts';
import { endHolesOf, type EndHole } from './end-holes.ts';
import {
  boundsOfAll,
  circle,
  cross,
  LETTER_WIDE,
  line,
  outlineStroke,
  text,
  type PatternLayer,
  type Stroke
} from './strokes.ts';

/** Holes of one kind and one drill: a line of the drill table. */
export interface DrilledHoles {
  layer: PatternLayer;
  /** the part that they are larger in; null where they go through as they are */
  part: string | null;
  /** by name; null where no drill is named: the hole is there, or is made by whatever makes its size */
  drill: string | null;
  diameterIn: number;
  /** what is in holes that were reworked */
  fitted: string | null;
  holes: number[];
  /** holes without a number, by what they are called */
  named: string[];
}

type Drilled = Pick<DrilledHoles, 'drill' | 'diameterIn'>;

/** A joint full size: what is taped to the metal and punched through. */
export interface Pattern {
  strokes: Stroke[];
  drills: DrilledHoles[];
  /** everything drawn */
  xIn: number;
  yIn: number;
  wIn: number;
  hIn: number;
}

/** What a pattern is made of. */
export interface PatternWish {
  layout: JointLayout;
  profile: Pick<RuleProfile, 'drill'>;
  fixed: Joint['fixed'];
  /** the existing ones as they were measured */
  existing?: readonly ExistingHole[];
  /** what rework left in the metal in another way than planned */
  reworked?: readonly InMetal[];
  /** one part by its key, or all of them on layers of their own */
  part: string | null;
}

const NUMBER_HIGH_IN = 0.09;
const NOTE_HIGH_IN = 0.12;
/** Notes under a drawing narrower than this run on past it. */
const NOTE_WIDE_IN = 6;
const AROUND_IN = 0.15;
/** The marks of the datum corner stand this far off the metal. */
const DATUM_OFF_IN = 0.06;
const DATUM_LONG_IN = 0.24;

/** Sides where a sheet goes on are no edge: they are left out of the pattern. */
function partStrokes({ outline, goesOn, openings, key }: Part, only: boolean): Stroke[] {
  const part = only ? null : key;
  const open = openings.map((shape) => outlineStroke(shape, 'CUT_OUT', part));
  if (outline.shape !== 'rect' || goesOn.length === 0)
    return [outlineStroke(outline, 'EDGES', part), ...open];
  const { xIn, yIn, wIn, hIn } = outline;
  const [right, bottom] = [xIn + wIn, yIn + hIn];
  const sides = [
    ['top', xIn, yIn],
    ['right', right, yIn],
    ['bottom', right, bottom],
    ['left', xIn, bottom]
  ] as const;
  // from the side after one that goes on, so that those which are edges stand in one stroke
  const first = sides.findIndex(
    ([side], at) => !goesOn.includes(side) && goesOn.includes(sides[(at + 3) % 4]?.[0] ?? 'top')
  );
  if (first === -1) return open;
  const edges = [0, 1, 2, 3].map((step) => sides[(first + step) % 4] ?? sides[0]);
  const count = edges.findIndex(([side]) => goesOn.includes(side));
  const corners = [...edges.slice(0, count), edges[count] ?? edges[0]].flatMap((one) =>
    one ? [{ xIn: one[1], yIn: one[2], turnRad: 0 }] : []
  );
  return [{ layer: 'EDGES', part, stroke: 'path', closed: false, corners }, ...open];
}

/** How a hole is drilled, and on which layer it stands. */
function drilled(
  hole: PlannedHole,
  { profile, fixed }: PatternWish,
  existing: ReadonlySet<string>,
  known: ReadonlyMap<number, ExistingHole>
): Drilled & { layer: PatternLayer } {
  if (hole.state === 'held-open') {
    const { name, diameterIn } = hole.openDrill ?? {
      name: PILOT_DRILL,
      diameterIn: drillIn(PILOT_DRILL)
    };
    return { layer: 'HELD_OPEN', drill: name, diameterIn };
  }
  const drill = rivetSize(hole.dash).drill[profile.drill];
  const layer =
    fixed.length > 0 && hole.fixed !== null && existing.has(hole.fixed) ? 'EXISTING' : 'HOLES';
  const found = known.get(hole.number);
  // as it is in the metal, unless it is drilled up
  return found && found.holeIn !== null && found.standing !== 'too-small'
    ? { layer, drill: null, diameterIn: found.holeIn }
    : { layer, drill, diameterIn: drillIn(drill) };
}

/** The holes of the chosen part, or of all: as drilled, and larger where a part lets them grow. */
function holeStrokes(wish: PatternWish): { strokes: Stroke[]; drills: DrilledHoles[] } {
  const { layout, part: wished } = wish;
  const part = layout.parts.find(({ key }) => key === wished);
  const grown = layout.parts.find(({ name }) => name === layout.growth?.part);
  const pilotIn = drillIn(PILOT_DRILL);
  const known = new Map(wish.existing?.map((one) => [one.hole, one]));
  const existing = new Set(wish.fixed.flatMap(({ id, kind }) => (kind === 'existing' ? [id] : [])));
  const reworked = new Map(wish.reworked?.map((one) => [one.hole, one]));
  const drills = new Map<string, DrilledHoles>();
  const strokes: Stroke[] = [];
  const add = (
    layer: PatternLayer,
    hole: PlannedHole,
    { drill, diameterIn }: Drilled,
    of: string | null,
    fitted: string | null = null
  ): void => {
    strokes.push(circle(layer, hole.xIn, hole.yIn, diameterIn / 2, of));
    const key = `${layer} ${of ?? ''} ${drill ?? `${diameterIn} ${fitted ?? ''}`}`;
    const row = drills.get(key) ?? {
      layer,
      part: of,
      drill,
      diameterIn,
      fitted,
      holes: [],
      named: []
    };
    row.holes.push(hole.number);
    drills.set(key, row);
  };
  const numberBeside = ({ xIn, yIn }: PlannedHole, radiusIn: number, number: string) =>
    strokes.push(
      ...cross('LINES', xIn, yIn, radiusIn * 1.7),
      text('TEXT', xIn + radiusIn * 1.2, yIn - radiusIn * 1.2, NUMBER_HIGH_IN, number)
    );
  for (const hole of layout.holes) {
    const { xIn, yIn } = hole;
    if (part && !atLeast(edgeOfPartIn(part, xIn, yIn), 0)) continue;
    const now = reworked.get(hole.number);
    if (now) {
      const { holeIn, partNumber, fastener } = now;
      const diameterIn = holeIn ?? drilled(hole, wish, existing, known).diameterIn;
      add('REPLACED', hole, { drill: null, diameterIn }, null, partNumber ?? fastener);
      numberBeside(hole, diameterIn / 2, `${hole.number} AS IT IS`);
      continue;
    }
    const own = drilled(hole, wish, existing, known);
    const larger = layout.growth && hole.state === 'rivet' ? layout.growth : null;
    const atOwn = part && part === grown && larger ? larger : own;
    add(own.layer, hole, atOwn, null);
    if (!part && grown && larger) add('HOLES', hole, larger, grown.key);
    if (own.layer === 'HOLES' && pilotIn < atOwn.diameterIn)
      add('PILOTS', hole, { drill: PILOT_DRILL, diameterIn: pilotIn }, null);
    const number = own.layer === 'HELD_OPEN' ? `${hole.number} OPEN` : `${hole.number}`;
    numberBeside(hole, atOwn.diameterIn / 2, number);
  }
  return { strokes, drills: [...drills.values()] };
}

/** Holes where cuts end and where cracks stop: named, and marked unlike a rivet's, which may lie close beside. */
const endStrokes = (holes: readonly EndHole[]): Stroke[] =>
  holes.flatMap(({ layer, name, xIn, yIn, diameterIn }) => [
    circle(layer, xIn, yIn, diameterIn / 2),
    ...cross('LINES', xIn, yIn, 0.08, true),
    text('TEXT', xIn - diameterIn / 2, yIn + diameterIn / 2 + NUMBER_HIGH_IN, NUMBER_HIGH_IN, name)
  ]);

/** Their lines of the drill table: one a size. */
function endDrills(ends: readonly EndHole[]): DrilledHoles[] {
  const rows = new Map<string, DrilledHoles>();
  for (const { layer, name, diameterIn, drill } of ends) {
    const key = `${layer} ${drill ?? diameterIn}`;
    const row = rows.get(key);
    if (row) row.named.push(name);
    else
      rows.set(key, {
        layer,
        part: null,
        drill,
        diameterIn,
        fitted: null,
        holes: [],
        named: [name]
      });
  }
  return [...rows.values()];
}

function lineStrokes({ lines }: JointLayout): Stroke[] {
  return lines.map(({ path }): Stroke =>
    path.path === 'circle'
      ? circle('LINES', path.xIn, path.yIn, path.radiusIn)
      : line(
          'LINES',
          path.xIn,
          path.yIn,
          path.xIn + path.dirX * path.lengthIn,
          path.yIn + path.dirY * path.lengthIn
        )
  );
}

/** Where layers end inside the joint. */
function layerEndStrokes({ stackings, widthIn, heightIn }: JointLayout): Stroke[] {
  const ends = new Map(
    stackings
      .flatMap(({ layers }) => layerEnds(layers, widthIn))
      .map((end) => [`${end.layer} ${end.end}`, end])
  );
  return [...ends.values()].flatMap(({ layer, end, xIn }) => [
    line('LAYER_ENDS', xIn, 0, xIn, heightIn),
    text(
      'TEXT',
      xIn + 0.04,
      heightIn - 0.04,
      NUMBER_HIGH_IN,
      `${layer} ${end === 'begin' ? 'begins' : 'ends'}`
    )
  ]);
}

/** The corner that places are measured from, and which way is up: beside the metal, so that they are no holes. */
function datumStrokes(leftIn: number, topIn: number): Stroke[] {
  const far = DATUM_OFF_IN + DATUM_LONG_IN;
  const arrowX = leftIn - far;
  return [
    line('MARKS', leftIn - far, 0, leftIn - DATUM_OFF_IN, 0),
    line('MARKS', 0, topIn - far, 0, topIn - DATUM_OFF_IN),
    text('MARKS', leftIn - far, topIn - DATUM_OFF_IN, NUMBER_HIGH_IN, '0,0'),
    line('MARKS', arrowX, 0.7, arrowX, 0.2),
    line('MARKS', arrowX - 0.05, 0.32, arrowX, 0.2),
    line('MARKS', arrowX + 0.05, 0.32, arrowX, 0.2),
    text('MARKS', arrowX - 0.06, 0.84, NUMBER_HIGH_IN, 'UP')
  ];
}

/** Words in lines of at most so many letters. */
function inLines(words: string, letters: number): string[] {
  const lines: string[] = [];
  for (const word of words.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= letters)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

const framed = (strokes: Stroke[], drills: DrilledHoles[]): Pattern => {
  const { left, top, right, bottom } = boundsOfAll(strokes);
  return {
    strokes,
    drills,
    xIn: left - AROUND_IN,
    yIn: top - AROUND_IN,
    wIn: right - left + 2 * AROUND_IN,
    hIn: bottom - top + 2 * AROUND_IN
  };
};

/** A pattern with lines of text beneath its drawing: whoever holds the file must not miss what stops the joint. */
export function withCaptions(
  { strokes, drills }: Pattern,
  captions: readonly { layer: 'TEXT' | 'WARNINGS'; text: string }[]
): Pattern {
  const joint = boundsOfAll(strokes);
  const wideIn = Math.max(joint.right - joint.left, NOTE_WIDE_IN);
  const letters = Math.floor(wideIn / (LETTER_WIDE * NOTE_HIGH_IN));
  const lines = captions.flatMap((caption) =>
    inLines(caption.text, letters).map((words) => ({ layer: caption.layer, words }))
  );
  return framed(
    [
      ...strokes,
      ...lines.map(({ layer, words }, at) =>
        text(layer, joint.left, joint.bottom + (at + 2) * 1.4 * NOTE_HIGH_IN, NOTE_HIGH_IN, words)
      )
    ],
    drills
  );
}

/**
 * The joint as full-size strokes on layers: edges as closed outlines, cut-outs with their corner reliefs, holes where they are
 * computed and as each part is drilled, rivet lines, hole numbers, the datum corner.
 *
 * @returns strokes, the drill table and what they cover, in
 * @source layout: a paper pattern punched through removes measuring altogether
 */
export function patternOf(wish: PatternWish): Pattern {
  const { layout, part } = wish;
  const parts = layout.parts.filter(({ key }) => part === null || key === part);
  const { strokes, drills } = holeStrokes(wish);
  const ends = endHolesOf(layout, part);
  const metal = parts.flatMap((one) => partStrokes(one, part !== null));
  const drawn = [
    ...metal,
    ...endStrokes(ends),
    ...lineStrokes(layout),
    ...layerEndStrokes(layout),
    ...strokes
  ];
  const { left, top } = boundsOfAll(drawn);
  return framed(
    [...drawn, ...datumStrokes(Math.min(0, left), Math.min(0, top))],
    [...drills, ...endDrills(ends)]
  );
}
