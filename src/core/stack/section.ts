import { rivetSize } from '../catalog/rivets.ts';
import type { Dash, Head } from '../schema/fields.ts';
import type { FlushTool } from './flush-tools.ts';
import type { HeldSheet } from './layers.ts';

/** A point of a section, in: x from the rivet's axis, y down from the outer face. */
export type SectionPoint = [xIn: number, yIn: number];

/** One sheet of a section: its right half, closed, and how it was let in. */
export interface SectionSheet {
  name: string;
  thicknessIn: number;
  outlineIn: SectionPoint[];
  /** of the flat sheet away from the hole */
  topIn: number;
  bottomIn: number;
  treated: FlushTool['op'];
  /** sealant and primer beneath it */
  coatIn: number;
}

/** A section through one rivet as inserted. Lengths in inches; outlines are the right half only. */
export interface Section {
  sheets: SectionSheet[];
  gripIn: number;
  /** manufactured head, from the axis outward and back to the shank */
  headIn: SectionPoint[];
  headProudIn: number;
  shankRadiusIn: number;
  holeRadiusIn: number;
  /** where the far face stands at the hole: below the grip where the last sheet is dimpled */
  lipIn: number;
  shankEndIn: number;
}

const HALF_HEAD_RAD = (50 * Math.PI) / 180;
const TAN = Math.tan(HALF_HEAD_RAD);
const SIN = Math.sin(HALF_HEAD_RAD);
const ROUND_STEPS = 14;

/** Right half of a domed head: an ellipse of the head's own diameter and height. */
const domed = (radiusIn: number, heightIn: number): SectionPoint[] =>
  Array.from({ length: ROUND_STEPS + 1 }, (_, step) => {
    const angleRad = (Math.PI / 2) * (step / ROUND_STEPS);
    return [radiusIn * Math.sin(angleRad), -heightIn * Math.cos(angleRad)];
  });

/** A straight hole through a flat sheet. */
const plain = (topIn: number, bottomIn: number, holeIn: number, besideIn: number) =>
  [
    [besideIn, topIn],
    [holeIn, topIn],
    [holeIn, bottomIn],
    [besideIn, bottomIn]
  ] satisfies SectionPoint[];

/** A 100° cut from the sheet's top, as wide there as given, down to the hole or through the sheet. */
function cut(topIn: number, bottomIn: number, holeIn: number, besideIn: number, radiusIn: number) {
  const depthIn = (radiusIn - holeIn) / TAN;
  const footIn = Math.min(bottomIn, topIn + depthIn);
  const footRadiusIn = Math.max(holeIn, radiusIn - (footIn - topIn) * TAN);
  return [
    [besideIn, topIn],
    [radiusIn, topIn],
    [footRadiusIn, footIn],
    ...(footIn < bottomIn ? [[holeIn, bottomIn] as SectionPoint] : []),
    [besideIn, bottomIn]
  ] satisfies SectionPoint[];
}

/**
 * Depth of a dimple's cone at a radius: cones of sheets that nest are parallel, a sheet's thickness apart
 * measured square to them.
 *
 * @param aboveIn thickness of everything above this face, in
 */
const coneAt = (radiusIn: number, xIn: number, aboveIn: number): number =>
  (radiusIn - xIn) / TAN + aboveIn / SIN;

/** Where a cone of a given thickness above comes out of the flat face. */
const mouthIn = (radiusIn: number, aboveIn: number): number =>
  radiusIn + aboveIn * (1 / SIN - 1) * TAN;

/** Radius at which the cone of a dimpled stack of some thickness comes out of its far face, in. */
export const dimpleMouthIn = (dash: Dash, thicknessIn: number): number =>
  mouthIn(rivetSize(dash).head.countersunk.diameterIn / 2, thicknessIn);

function dimpled(
  topIn: number,
  bottomIn: number,
  holeIn: number,
  besideIn: number,
  radius: number
) {
  return [
    [besideIn, topIn],
    [mouthIn(radius, topIn), topIn],
    [holeIn, coneAt(radius, holeIn, topIn)],
    [holeIn, coneAt(radius, holeIn, bottomIn)],
    [mouthIn(radius, bottomIn), bottomIn],
    [besideIn, bottomIn]
  ] satisfies SectionPoint[];
}

/**
 * The section through one rivet before driving, to be drawn to scale.
 *
 * @param held sheets at the hole; @param tools what is done to each (empty for a protruding head)
 * @param holeIn final hole, in; @param lengthIn under the head for universal, overall for countersunk
 * @param besideIn how far from the axis sheets are shown, in
 * @returns outlines; dimples nest as parallel 100° cones, which is where the nest depth comes from
 * @source handbook 3.1 and 4.3
 */
export function sectionOf(
  held: readonly HeldSheet[],
  tools: readonly FlushTool[],
  { dash, head }: { dash: Dash; head: Head },
  { holeIn, lengthIn, besideIn }: { holeIn: number; lengthIn: number; besideIn: number }
): Section {
  const rivet = rivetSize(dash);
  const { diameterIn, heightIn } = rivet.head[head];
  const holeRadiusIn = holeIn / 2;
  const shankRadiusIn = rivet.diameterIn / 2;
  const headRadiusIn = diameterIn / 2;
  let topIn = 0;
  let lipIn = 0;
  const sheets = held.map(({ name, thicknessIn, coatIn }, at): SectionSheet => {
    const treated = tools[at]?.op ?? 'plain';
    const bottomIn = topIn + thicknessIn;
    const outlineIn =
      treated === 'dimple'
        ? dimpled(topIn, bottomIn, holeRadiusIn, besideIn, headRadiusIn)
        : treated === 'countersink'
          ? cut(topIn, bottomIn, holeRadiusIn, besideIn, mouthIn(headRadiusIn, topIn))
          : plain(topIn, bottomIn, holeRadiusIn, besideIn);
    const sheet = { name, thicknessIn, outlineIn, topIn, bottomIn, treated, coatIn };
    topIn = bottomIn + coatIn;
    lipIn = treated === 'dimple' ? coneAt(headRadiusIn, holeRadiusIn, topIn) : topIn;
    return sheet;
  });
  const flush = head === 'countersunk';
  return {
    sheets,
    gripIn: topIn,
    headIn: flush
      ? [
          [0, 0],
          [headRadiusIn, 0],
          [shankRadiusIn, heightIn]
        ]
      : domed(headRadiusIn, heightIn),
    headProudIn: flush ? 0 : heightIn,
    shankRadiusIn,
    holeRadiusIn,
    lipIn,
    shankEndIn: lengthIn
  };
}
