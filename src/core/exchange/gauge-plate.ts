import { by, len, type Notation } from '../notation.ts';
import { HEAD_LIMITS, headLimits } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Pattern } from './pattern.ts';
import { circle, text, type PathCorner, type Stroke } from './strokes.ts';
import type { Dash, HeadLimitsKey } from '../schema/fields.ts';
import { IDEAL_PROTRUSION_D } from '../stack/rivet-length.ts';
import { atMost, below } from '../units/tolerance.ts';

/** One thing to measure on the finished plate. */
export interface GaugeFeature {
  key: string;
  dash: Dash;
  what: 'go' | 'no-go' | 'high' | 'low' | 'shank';
  nominalIn: number;
  /** its arithmetic: the limit in D, and D */
  formula: Notation;
}

/** A pocket gauge for driven heads and protruding shanks, full size. */
export interface GaugePlate {
  pattern: Pattern;
  features: GaugeFeature[];
}

/** What a reamer and a file hold; about a fiftieth of the smallest rivet. */
export const GAUGE_TOLERANCE_IN = 0.002;

const BETWEEN_IN = 0.25;
const TEXT_HIGH_IN = 0.08;
/** clears the widest head that is ever looked at, 2 D */
const HEIGHT_NOTCH_D = 2.2;
const SHANK_NOTCH_D = 1.4;
const BETWEEN_NOTCHES_D = 0.6;

interface Notch {
  fromIn: number;
  wideIn: number;
  deepIn: number;
}

/** Corners of a straight edge with notches cut in from it; `inward` is +1 where the plate lies below the edge. */
function notchedEdge(
  notches: readonly Notch[],
  wideIn: number,
  yIn: number,
  inward: 1 | -1
): PathCorner[] {
  const points: [number, number][] = [[0, yIn]];
  for (const { fromIn, wideIn: wide, deepIn } of notches) {
    const bottomIn = yIn + inward * deepIn;
    points.push([fromIn, yIn], [fromIn, bottomIn], [fromIn + wide, bottomIn], [fromIn + wide, yIn]);
  }
  points.push([wideIn, yIn]);
  return points.map(([xIn, y]) => ({ xIn, yIn: y, turnRad: 0 }));
}

/**
 * A gauge plate for some sizes: for each, a hole that every good head enters and one that none does, a notch that every
 * good head stands under and one that none does, and a notch as deep as the ideal protrusion.
 *
 * @param dashes sizes from left to right; @param limits the shop's head limits
 * @returns the plate full size, x right and y down in inches, and what to measure on it
 * @source stack-up (protrusion) and inspect (limits)
 */
export function gaugePlate(dashes: readonly Dash[], limits: HeadLimitsKey): GaugePlate {
  const { diameterD, heightD } = headLimits(limits);
  const largestD = Math.max(...dashes.map((dash) => rivetSize(dash).diameterIn));
  const topIn = IDEAL_PROTRUSION_D * largestD + BETWEEN_IN;
  const holesIn = topIn + diameterD.high * largestD;
  const lowHolesIn = holesIn + BETWEEN_IN;
  const highIn = lowHolesIn + diameterD.low * largestD + BETWEEN_IN + heightD.high * largestD;
  const strokes: Stroke[] = [];
  const features: GaugeFeature[] = [];
  const upper: Notch[] = [];
  const lower: Notch[] = [];
  let fromIn = BETWEEN_IN;
  for (const dash of dashes) {
    const D = rivetSize(dash).diameterIn;
    const wideIn = (2 * HEIGHT_NOTCH_D + BETWEEN_NOTCHES_D) * D;
    const middleIn = fromIn + wideIn / 2;
    const hole = (yIn: number, diameterIn: number): Stroke =>
      circle('HOLES', middleIn, yIn, diameterIn / 2);
    const goIn = diameterD.high * D;
    const noGoIn = diameterD.low * D;
    strokes.push(
      hole(topIn + goIn / 2, goIn),
      hole(lowHolesIn + noGoIn / 2, noGoIn),
      text('TEXT', fromIn, topIn + goIn / 2, TEXT_HIGH_IN, `-${dash}`)
    );
    lower.push(
      { fromIn, wideIn: HEIGHT_NOTCH_D * D, deepIn: heightD.high * D },
      {
        fromIn: fromIn + (HEIGHT_NOTCH_D + BETWEEN_NOTCHES_D) * D,
        wideIn: HEIGHT_NOTCH_D * D,
        deepIn: heightD.low * D
      }
    );
    upper.push({
      fromIn: middleIn - (SHANK_NOTCH_D * D) / 2,
      wideIn: SHANK_NOTCH_D * D,
      deepIn: IDEAL_PROTRUSION_D * D
    });
    const feature = (what: GaugeFeature['what'], timesD: number) =>
      features.push({
        key: `${what}-${dash}`,
        dash,
        what,
        nominalIn: timesD * D,
        formula: by`${timesD} D = ${timesD} × ${len(D)}`
      });
    feature('go', diameterD.high);
    feature('no-go', diameterD.low);
    feature('high', heightD.high);
    feature('low', heightD.low);
    feature('shank', IDEAL_PROTRUSION_D);
    fromIn += wideIn + BETWEEN_IN;
  }
  const outline: Stroke = {
    layer: 'EDGES',
    part: null,
    stroke: 'path',
    closed: true,
    corners: [
      ...notchedEdge(upper, fromIn, 0, 1),
      ...notchedEdge(lower, fromIn, highIn, -1).reverse()
    ]
  };
  return {
    pattern: {
      strokes: [outline, ...strokes],
      drills: [],
      xIn: 0,
      yIn: 0,
      wIn: fromIn,
      hIn: highIn
    },
    features
  };
}

/** Between what a feature may measure, in. */
export interface FeatureBounds {
  lowIn: number;
  highIn: number;
}

/** A division of what is printed is one, however its decimals fall in binary. */
const STEP_NUDGE = 1e-6;

/**
 * Between what a feature may measure: its nominal and what a reamer and a file hold. What a head must not pass, the lower hole
 * and the lower notch, is never under the minimum head, else a head that is too narrow or too low would pass.
 *
 * @param stepIn the last place in which the figures are printed: they are rounded inward to it, and judged as printed
 * @source inspect (limits)
 */
export function featureBounds(
  { what, dash, nominalIn }: Pick<GaugeFeature, 'what' | 'dash' | 'nominalIn'>,
  stepIn: number
): FeatureBounds {
  const D = rivetSize(dash).diameterIn;
  const { diameterD, heightD } = HEAD_LIMITS.standard;
  const minimumIn = what === 'no-go' ? diameterD.low * D : what === 'low' ? heightD.low * D : 0;
  const lowIn = Math.max(nominalIn - GAUGE_TOLERANCE_IN, minimumIn);
  const highIn = nominalIn + GAUGE_TOLERANCE_IN;
  return {
    lowIn: Math.ceil(lowIn / stepIn - STEP_NUDGE) * stepIn,
    highIn: Math.floor(highIn / stepIn + STEP_NUDGE) * stepIn
  };
}

export type FeatureVerdict = 'good' | 'too-large' | 'too-small';

/** Judges what was measured on the finished plate; a gauge that is off passes bad heads. */
export const judgeFeature = (
  { lowIn, highIn }: FeatureBounds,
  measuredIn: number
): FeatureVerdict =>
  below(measuredIn, lowIn) ? 'too-small' : atMost(measuredIn, highIn) ? 'good' : 'too-large';
