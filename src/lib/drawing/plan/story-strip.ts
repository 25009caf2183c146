import { MM_PER_IN } from '../../../core/units/factors.ts';
import { MOST_ELEMENTS } from '../marks/map-mark.ts';

/** One length of a long joint, as it stands in a line of its own. */
export interface Stretch {
  fromIn: number;
  toIn: number;
}

/** Over so many times as long as deep a joint is told in lines, one below the other. */
export const STORY_FROM = 8;

/** How much of it stands in a line, in: as a reader of inches or of millimeters counts. */
export const LINE_IN = {
  inch: { short: 12, long: 24 },
  metric: { short: 300 / MM_PER_IN, long: 600 / MM_PER_IN }
} as const;

/** Whether a joint is long enough for its depth to be told in lines. */
export const isLong = ({ widthIn, heightIn }: { widthIn: number; heightIn: number }): boolean =>
  widthIn > STORY_FROM * heightIn && widthIn > LINE_IN.inch.short;

/** Whether a joint is told in lines before anything else is asked: longer than one, with no more holes than are drawn at once. */
export const inLinesFirst = (
  layout: { widthIn: number; heightIn: number },
  holes: number,
  metric: boolean
): boolean =>
  isLong(layout) &&
  holes <= MOST_ELEMENTS &&
  layout.widthIn > LINE_IN[metric ? 'metric' : 'inch'].long;

/** A joint in lengths of the same measure; the last one is what is left. */
export function stretches(widthIn: number, lineIn: number): Stretch[] {
  const count = Math.max(1, Math.ceil(widthIn / lineIn - LEAST_REST));
  return Array.from({ length: count }, (_, line) => ({
    fromIn: line * lineIn,
    toIn: line === count - 1 ? widthIn : (line + 1) * lineIn
  }));
}

/** So little of a line more is drawn on the line before. */
const LEAST_REST = 0.02;

/** The length in which a place lies; the last for what is beyond. */
export const stretchAt = (of: readonly Stretch[], xIn: number): number => {
  const found = of.findIndex(({ toIn }) => xIn < toIn);
  return found === -1 ? of.length - 1 : found;
};

const LEAST_ROW_PX = 34;
const LEAST_DEEP_PX = 58;
const MOST_DEEP_PX = 150;

/**
 * How many times larger than its length a joint's depth is drawn, so that rows and numbers have room: never less than once.
 *
 * @param rows across the joint
 */
export function depthLarger(heightIn: number, rows: number, pxPerIn: number): number {
  const wishedPx = Math.min(MOST_DEEP_PX, Math.max(LEAST_DEEP_PX, LEAST_ROW_PX * (rows + 1)));
  return Math.max(1, wishedPx / (heightIn * pxPerIn));
}
