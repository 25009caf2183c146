import { atMost } from '../units/tolerance.ts';

/** A way of cutting sheet, up to the thickness it still does well; in. */
const METHODS = [
  { upToIn: 0.032, method: 'nibbler' },
  { upToIn: 0.05, method: 'snips' },
  { upToIn: 0.09, method: 'router' },
  { upToIn: Infinity, method: 'saw' }
] as const;

export type CuttingMethod = (typeof METHODS)[number]['method'];

/**
 * How a sheet of some thickness is cut out.
 *
 * @param thicknessIn in, > 0
 * @source prepare: a hand nibbler serves to about 0.032, then snips, router, saw
 */
export const cuttingMethod = (thicknessIn: number): CuttingMethod =>
  (METHODS.find(({ upToIn }) => atMost(thicknessIn, upToIn)) ?? METHODS[3]).method;
