import type { SectionPoint } from '../../../core/stack/section.ts';

/** Where a section lies on the screen. */
export interface SectionPlace {
  axis: number;
  faceY: number;
  pxPerIn: number;
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
