import type { Side } from '$core/driving/access.ts';
import type { Outline } from '$core/driving/reach.ts';

/** What of a joint is drawn, to scale; where it is longer than the page, its middle is left out between two breaks. */
export interface AccessScene {
  pxPerIn: number;
  /** the outline as drawn, px */
  metal: { x: number; y: number; width: number; height: number };
  /** from each end this much is drawn, in; the whole length where nothing is left out */
  shownIn: number;
  broken: boolean;
  /** where an inch along stands; null: in the part that is left out */
  x: (alongIn: number) => number | null;
  y: (acrossIn: number) => number;
}

export const MARGIN_PX = 26;
/** As high as the metal is drawn at the least and at the most, px. */
const LEAST_HIGH_PX = 48;
const MOST_HIGH_PX = 230;
const BREAK_PX = 28;

export function accessScene({ widthIn, heightIn }: Outline, roomPx: number): AccessScene {
  const alongPx = Math.max(60, roomPx - 2 * MARGIN_PX);
  const pxPerIn = Math.min(
    Math.max(alongPx / widthIn, LEAST_HIGH_PX / heightIn),
    MOST_HIGH_PX / heightIn
  );
  const broken = widthIn * pxPerIn > alongPx + 0.5;
  const width = broken ? alongPx : widthIn * pxPerIn;
  const shownIn = broken ? (alongPx - BREAK_PX) / 2 / pxPerIn : widthIn;
  const left = MARGIN_PX + (alongPx - width) / 2;
  return {
    pxPerIn,
    metal: { x: left, y: MARGIN_PX, width, height: heightIn * pxPerIn },
    shownIn,
    broken,
    x: (alongIn) =>
      alongIn <= shownIn
        ? left + alongIn * pxPerIn
        : alongIn >= widthIn - shownIn
          ? left + width - (widthIn - alongIn) * pxPerIn
          : null,
    y: (acrossIn) => MARGIN_PX + acrossIn * pxPerIn
  };
}

/** How far an obstruction's face moves in from its side when it is dragged, in. */
export const insetMovedIn = (
  side: Side,
  { dxPx, dyPx }: { dxPx: number; dyPx: number },
  pxPerIn: number
): number =>
  (side === 'left' ? dxPx : side === 'right' ? -dxPx : side === 'top' ? dyPx : -dyPx) / pxPerIn;

/** Arrow keys do what a drag does. @returns the way of the face inwards, in steps; null for another key */
export function insetStep(side: Side, key: string): number | null {
  const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[key];
  if (!way) return null;
  const moved = insetMovedIn(side, { dxPx: way[0] ?? 0, dyPx: way[1] ?? 0 }, 1);
  return moved === 0 ? null : moved;
}
