import { atMost } from '../units/tolerance.ts';

/** A way of cutting sheet, up to the thickness it still does well; in. */
const METHODS = [
  { upToIn: 0.032, how: 'hand nibbler, or snips for outside curves' },
  { upToIn: 0.05, how: 'snips along a straight line, a router along a guide for the rest' },
  { upToIn: 0.09, how: 'router along a guide' },
  { upToIn: Infinity, how: 'saw, then file to the line' }
] as const;

/**
 * How a sheet of some thickness is cut out.
 *
 * @param thicknessIn in, > 0
 * @source handbook 4.4: a hand nibbler serves to about 0.032, then snips, router, saw
 */
export const cuttingMethod = (thicknessIn: number): string =>
  (METHODS.find(({ upToIn }) => atMost(thicknessIn, upToIn)) ?? METHODS[3]).how;

export const EDGE_CLEAN_UP =
  'File every cut edge free of nicks along its length, never across; round corners to a radius of 1/16 to 1/8 in.';
export const RELIEF_ADVICE =
  'Drill each relief small and open it up before cutting: a cut then ends in a hole, not in a crack.';
