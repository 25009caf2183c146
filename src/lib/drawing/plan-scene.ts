/** Where a plan view lies on the screen: pixels from inches, one scale both ways. */
export interface PlanScene {
  pxPerIn: number;
  /** screen position of the datum edge and of the upper sheet's end */
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

/**
 * Fits a joint into a drawing area.
 *
 * @param widthIn the joint's width
 * @param tallIn what is shown across it
 */
export function fitPlan(widthIn: number, tallIn: number, room: Room): PlanScene {
  const pxPerIn = Math.max(
    1e-3,
    Math.min(
      (room.widthPx - 2 * room.marginX) / widthIn,
      (room.heightPx - 2 * room.marginY) / tallIn
    )
  );
  return {
    pxPerIn,
    originX: (room.widthPx - widthIn * pxPerIn) / 2,
    originY: (room.heightPx - tallIn * pxPerIn) / 2
  };
}

/**
 * How much of each sheet is shown beyond the overlap, in inches: enough to see that it goes on, little
 * enough that the rivets keep the room.
 */
export const shownBeyondIn = (overlapIn: number): number => Math.max(0.3, 0.55 * overlapIn);
