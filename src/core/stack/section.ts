import { rivetSize } from '../catalog/rivets.ts';
import type { Dash, Head } from '../schema/fields.ts';
import type { FlushTool } from './flush-tools.ts';
import type { HeldSheet } from './layers.ts';
import { FILLED_HOLE_D } from './wide-holes.ts';

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
  /** of the hole in it, its own where that is larger */
  holeRadiusIn: number;
  /** as far as the driven shank swells there */
  swelledRadiusIn: number;
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

/** One face of a dimpled stack: its half angle and how deep it lies at the hole's edge, in. */
interface Cone {
  halfRad: number;
  atHoleIn: number;
}

/** The head's own cone, as wide at the outer face as the catalogue head. */
const headCone = (headRadiusIn: number, holeIn: number): Cone => ({
  halfRad: HALF_HEAD_RAD,
  atHoleIn: (headRadiusIn - holeIn) / TAN
});

/** The face beneath a dimpled sheet: the sheet keeps its thickness, square to its upper face, at the hole's edge. */
const coneBeneath = (cone: Cone, thicknessIn: number, dieDeg: number): Cone => ({
  halfRad: ((dieDeg / 2) * Math.PI) / 180,
  atHoleIn: cone.atHoleIn + thicknessIn / Math.sin(cone.halfRad)
});

/** Radius at which a cone comes out of a flat face at some depth, in. */
const mouthIn = ({ halfRad, atHoleIn }: Cone, holeIn: number, faceIn: number): number =>
  holeIn + (atHoleIn - faceIn) * Math.tan(halfRad);

/** A cut from the sheet's top along a cone, down to the hole or through the sheet. */
function cut(topIn: number, bottomIn: number, holeIn: number, besideIn: number, cone: Cone) {
  const footIn = Math.min(bottomIn, cone.atHoleIn);
  return [
    [besideIn, topIn],
    [mouthIn(cone, holeIn, topIn), topIn],
    [mouthIn(cone, holeIn, footIn), footIn],
    ...(footIn < bottomIn ? [[holeIn, bottomIn] as SectionPoint] : []),
    [besideIn, bottomIn]
  ] satisfies SectionPoint[];
}

function dimpled(
  [topIn, bottomIn]: [number, number],
  holeIn: number,
  besideIn: number,
  [upper, lower]: [Cone, Cone]
) {
  return [
    [besideIn, topIn],
    [mouthIn(upper, holeIn, topIn), topIn],
    [holeIn, upper.atHoleIn],
    [holeIn, lower.atHoleIn],
    [mouthIn(lower, holeIn, bottomIn), bottomIn],
    [besideIn, bottomIn]
  ] satisfies SectionPoint[];
}

/** A face without an angle told is drawn as the one before it was. */
const dieOf = (tool: FlushTool | undefined, before: number): number =>
  (tool?.op === 'dimple' ? tool.dieDeg : null) ?? before;

/**
 * The section through one rivet before driving, to be drawn to scale.
 *
 * @param held sheets at the hole; @param tools what is done to each (empty for a protruding head)
 * @param holeIn final hole, in; @param lengthIn under the head for universal, overall for countersunk
 * @param besideIn how far from the axis sheets are shown, in
 * @returns outlines with the angles of the tools; under "all 100°" dimples nest as parallel cones, which is
 * where the nest depth comes from
 * @source rivets and stack-up
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
  let cone = headCone(headRadiusIn, holeRadiusIn);
  let dieDeg = 100;
  const sheets = held.map(({ name, thicknessIn, coatIn, holeIn: ownIn }, at): SectionSheet => {
    const ownRadiusIn = Math.max(holeRadiusIn, (ownIn ?? 0) / 2);
    const tool = tools[at];
    const treated = tool?.op ?? 'plain';
    const bottomIn = topIn + thicknessIn;
    dieDeg = dieOf(tool, dieDeg);
    const beneath = coneBeneath(cone, thicknessIn, dieDeg);
    const outlineIn =
      treated === 'dimple'
        ? dimpled([topIn, bottomIn], holeRadiusIn, besideIn, [cone, beneath])
        : treated === 'countersink'
          ? cut(topIn, bottomIn, holeRadiusIn, besideIn, cone)
          : plain(topIn, bottomIn, ownRadiusIn, besideIn);
    topIn = bottomIn + coatIn;
    if (treated === 'dimple') {
      cone = coatIn > 0 ? coneBeneath(beneath, coatIn, dieDeg) : beneath;
      lipIn = cone.atHoleIn;
    } else lipIn = topIn;
    return {
      name,
      thicknessIn,
      outlineIn,
      topIn: bottomIn - thicknessIn,
      bottomIn,
      treated,
      coatIn,
      holeRadiusIn: ownRadiusIn,
      swelledRadiusIn: Math.min(ownRadiusIn, FILLED_HOLE_D * shankRadiusIn)
    };
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

/** How far from the axis cuts and dimples reach into the sheets, in. */
export const cutsReachIn = ({ sheets }: Section): number =>
  Math.max(0, ...sheets.flatMap(({ outlineIn }) => outlineIn.slice(1, -1).map(([xIn]) => xIn)));
