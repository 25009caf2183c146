import type { Answer, WorkLine } from '../answer.ts';
import type { Notation } from '../notation.ts';
import { atLeast, atMost } from '../units/tolerance.ts';
import type { Need } from '../size/need.ts';
import type { LayLimits } from '../layout/pitch-limits.ts';
import type { Dash, Head } from '../schema/fields.ts';
import type { LayoutWarning } from './layout-warning.ts';
import type { Stacking } from '../stack/layers.ts';
import type { Closed } from '../layout/row-places.ts';
import type { LineWish } from '../layout/lines.ts';
import type { Part, Shape } from '../layout/shapes.ts';
import type { Piece } from './pieces.ts';

/** What a kind of joint is laid out with; lengths in inches. */
export interface LayContext {
  dash: Dash;
  diameterIn: number;
  head: Head;
  /** as given, or the scale's next whole division over the least */
  edgeIn: number;
  edgeWork: WorkLine;
  /** null stretches towards the largest pitch */
  nearPitchIn: number | null;
  needs: readonly Need[];
  limits: LayLimits;
  /** half the width of the widest set or die that goes beside a bend */
  toolRadiusIn: number;
}

/** One answer of a layout, with its place between limits. */
export interface LayoutFigure {
  key: string;
  label: string;
  /** a length, or a text where the answer is none */
  valueIn?: number;
  text?: string | Notation;
  note?: string | Notation;
  limits?: { low: number; high: number; value: number; unit: string };
  work: WorkLine[];
}

/** A limit held against its value, with the holes that break it. */
export interface HoleCheck {
  rule: CheckRule;
  limitIn: number;
  valueIn: number;
  ok: boolean;
  /** hole numbers, worst first; empty when the limit is the joint's as a whole */
  holes: number[];
  /** the layer whose end is too near */
  layer?: string;
}

export type CheckRule =
  | 'edge-min'
  | 'layer-end-min'
  | 'edge-max'
  | 'pitch-min'
  | 'pitch-max'
  | 'snapped-edge-min'
  | 'snapped-pitch-min'
  | 'snapped-pitch-max'
  | 'transverse-min'
  | 'centre-min'
  | 'open-gap'
  | 'keep-out'
  | 'bend-clear'
  | 'insert-corner'
  | 'insert-corner-least'
  | 'no-metal';

/** A hole that is drilled and never riveted. */
export interface DrilledOnly {
  xIn: number;
  yIn: number;
  drill: string;
  diameterIn: number;
  why: 'crack-end';
}

/** A length between two places, for the drawing. `axis` is the way it runs; `atIn` where its line lies across that. */
export interface LayoutDim {
  axis: 'x' | 'y';
  fromIn: number;
  toIn: number;
  /** the side of the drawing it stands at */
  side: 'top' | 'bottom' | 'left' | 'right';
  label?: string;
  strong?: boolean;
}

/** A corner relief: the hole drilled where two cuts meet. */
export interface Relief {
  xIn: number;
  yIn: number;
  diameterIn: number;
}

/** A joint as its kind lays it out, before fixed holes, keep-outs, the datum and what was changed by hand. */
export interface KindLayout {
  parts: Part[];
  /** everything that is taken in hand, layer by layer from the manufactured head */
  pieces: Piece[];
  lines: (LineWish & { closedIn?: readonly Closed[] })[];
  drilledOnly: DrilledOnly[];
  cutOut: Shape | null;
  /** the layer that the cut-out is in */
  cutLayer: number;
  reliefs: Relief[];
  /** lines to draw that are no edge: a bend's tangent */
  marksOnly: { name: string; fromIn: [number, number]; toIn: [number, number] }[];
  /** what the rivet lines go through; lines say which is theirs */
  stackings: Stacking[];
  /** a drill larger than the rivet's own, in one part */
  growth: { part: string; drill: string; diameterIn: number } | null;
  /** which lines' rivets answer which need; `times`: both halves of a ring */
  carrying: {
    need: string;
    words: string;
    lines: string[];
    /** lines whose rivets count for another need, those on a border with this one among them */
    countedIn?: string[];
    times: number;
  }[];
  /** metal that the joint adds besides its rivets, in³ */
  addedIn3: number;
  figures: LayoutFigure[];
  checks: HoleCheck[];
  /** where a bend begins, across the lines, and how far a hole's middle stays away from it; null where there is none */
  bend: { yIn: number; clearIn: number } | null;
  dims: LayoutDim[];
  /** of all parts together, x and y from 0 */
  widthIn: number;
  heightIn: number;
  /** rows that share the load of one pitch, and that pitch: for the strength check */
  rowsSharing: number;
  pitchIn: number;
  /** the strip of sheet that those rows hold, where it is not the pitch */
  shareIn?: number;
  transverseIn: number | null;
  work: WorkLine[];
  warnings: LayoutWarning[];
}

/** What most kinds do not have. */
export const PLAIN = {
  drilledOnly: [],
  cutOut: null,
  cutLayer: 1,
  reliefs: [],
  marksOnly: [],
  growth: null,
  bend: null,
  warnings: []
} satisfies Partial<KindLayout>;

export type LaidKind = Answer<KindLayout>;

/** The limit as a check of the whole joint. */
export const wholeCheck = (
  rule: CheckRule,
  kind: 'least' | 'most',
  limitIn: number,
  valueIn: number
): HoleCheck => ({
  rule,
  limitIn,
  valueIn,
  ok: kind === 'least' ? atLeast(valueIn, limitIn) : atMost(valueIn, limitIn),
  holes: []
});
