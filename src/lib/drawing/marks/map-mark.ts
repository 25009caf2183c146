import type { Glyph } from '../../ui/marks/glyph.ts';

/** Measured: so many elements still repaint in a frame while panning; more go on a canvas. */
export const MOST_ELEMENTS = 400;

/** One hole on a map: where it lies on the screen, and how it is drawn. */
export interface MapMark {
  number: number;
  x: number;
  y: number;
  glyph: Glyph;
  /** written in it */
  letter?: string | null;
  /** written under it */
  word?: string;
  /** for screen readers: what it is */
  label?: string;
  /** what tells marks apart in the page: kind, verdict, state */
  data?: Readonly<Record<`data-${string}`, string | number>>;
}

/** Where a mark's number is written. */
export type NumberPlace = 'above' | 'below' | 'right' | 'left';

/** Beside a mark of a radius, where its number stands, px. */
export function numberAt(
  place: NumberPlace,
  radiusPx: number
): { dx: number; dy: number; anchor: 'start' | 'middle' | 'end' } {
  switch (place) {
    case 'above':
      return { dx: 0, dy: -radiusPx - 8, anchor: 'middle' };
    case 'below':
      return { dx: 0, dy: radiusPx + 17, anchor: 'middle' };
    case 'right':
      return { dx: radiusPx + 6, dy: 4.5, anchor: 'start' };
    case 'left':
      return { dx: -radiusPx - 6, dy: 4.5, anchor: 'end' };
  }
}

/** A gloved finger's reach on the screen. */
const REACH_PX = 22;

/** The mark nearest to a place on the screen, within a finger's reach. */
export function nearestMark(
  marks: readonly Pick<MapMark, 'number' | 'x' | 'y'>[],
  atX: number,
  atY: number
): number | null {
  let nearest: number | null = null;
  let withinPx = REACH_PX;
  for (const { number, x, y } of marks) {
    const awayPx = Math.hypot(x - atX, y - atY);
    if (awayPx > withinPx) continue;
    withinPx = awayPx;
    nearest = number;
  }
  return nearest;
}

const BESIDE = 7;
/** Seven holes of an order, the picked one in their middle where there are as many on both sides. */
export function besidePicked(order: readonly number[], picked: number | null): readonly number[] {
  const at = picked === null ? 0 : Math.max(0, order.indexOf(picked));
  const from = Math.max(0, Math.min(at - (BESIDE - 1) / 2, order.length - BESIDE));
  return order.slice(from, from + BESIDE);
}
