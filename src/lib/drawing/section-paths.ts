import type { SectionShape } from './section-shape';

/** A point of a section, in: x from the rivet's axis, y down from the outer face. */
export type SectionPoint = [xIn: number, yIn: number];

/** Where a section lies on the screen. */
export interface SectionPlace {
  axis: number;
  faceY: number;
  pxPerIn: number;
}

/**
 * How far from the axis a sheet begins at some depth: at the hole, or further out where the countersink
 * narrows from the face down to the shank.
 */
export function boreRadiusIn(shape: SectionShape, depthIn: number): number {
  const { sinkRadiusIn, sinkDepthIn, shankRadiusIn, holeRadiusIn } = shape;
  if (sinkRadiusIn === null || depthIn >= sinkDepthIn) return holeRadiusIn;
  const cone = sinkRadiusIn - (depthIn / sinkDepthIn) * (sinkRadiusIn - shankRadiusIn);
  return Math.max(holeRadiusIn, cone);
}

/** One sheet beside the hole, right half, from its outer corner inward along the bore and out again. */
export function bandOutline(
  shape: SectionShape,
  band: { topIn: number; bottomIn: number },
  besideIn: number
): SectionPoint[] {
  const kneeIn = Math.min(band.bottomIn, Math.max(band.topIn, shape.sinkDepthIn));
  const bore = (depthIn: number): SectionPoint => [boreRadiusIn(shape, depthIn), depthIn];
  return [
    [besideIn, band.topIn],
    bore(band.topIn),
    bore(kneeIn),
    bore(band.bottomIn),
    [besideIn, band.bottomIn]
  ];
}

const pathOf = (
  points: readonly SectionPoint[],
  { axis, faceY, pxPerIn }: SectionPlace,
  side: 1 | -1
) =>
  `M${points.map(([x, y]) => `${axis + side * x * pxPerIn} ${faceY + y * pxPerIn}`).join(' L')} Z`;

/** A right-half outline and its mirror image, as path commands. */
export const mirroredPath = (points: readonly SectionPoint[], place: SectionPlace): string =>
  `${pathOf(points, place, -1)} ${pathOf(points, place, 1)}`;

/** An outline that runs from the axis outward, closed over its mirror image. */
export function closedPath(points: readonly SectionPoint[], place: SectionPlace): string {
  const mirrored = [...points].reverse().map(([x, y]): SectionPoint => [-x, y]);
  return pathOf([...points, ...mirrored], place, 1);
}
