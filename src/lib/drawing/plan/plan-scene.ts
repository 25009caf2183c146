import { boundsOf, type Part } from '../../../core/layout/shapes.ts';

/** Where a plan view lies on the screen: pixels from inches, one scale both ways. */
export interface PlanScene {
  pxPerIn: number;
  /** screen position of x = 0 and y = 0 */
  originX: number;
  originY: number;
}

interface Room {
  widthPx: number;
  heightPx: number;
  /** kept free at each side, px */
  marginX: number;
  marginY: number;
}

/** What a plan view must show, in. */
export interface Extent {
  xIn: number;
  yIn: number;
  wIn: number;
  hIn: number;
}

/** Everything that is drawn of a joint's parts. */
export function extentOf(parts: readonly Part[]): Extent {
  const bounds = parts.map((part) => boundsOf(part.outline));
  const xIn = Math.min(...bounds.map((bound) => bound.xIn));
  const yIn = Math.min(...bounds.map((bound) => bound.yIn));
  return {
    xIn,
    yIn,
    wIn: Math.max(...bounds.map((bound) => bound.xIn + bound.wIn)) - xIn,
    hIn: Math.max(...bounds.map((bound) => bound.yIn + bound.hIn)) - yIn
  };
}

/** Fits an extent into a drawing area, in its middle. */
export function fitPlan(extent: Extent, room: Room): PlanScene {
  const pxPerIn = Math.max(
    1e-3,
    Math.min(
      (room.widthPx - 2 * room.marginX) / extent.wIn,
      (room.heightPx - 2 * room.marginY) / extent.hIn
    )
  );
  return {
    pxPerIn,
    originX: (room.widthPx - extent.wIn * pxPerIn) / 2 - extent.xIn * pxPerIn,
    originY: (room.heightPx - extent.hIn * pxPerIn) / 2 - extent.yIn * pxPerIn
  };
}
