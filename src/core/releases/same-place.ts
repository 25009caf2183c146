import type { ReleasedHole } from '../release/release.ts';
import { looksSame } from '../units/tolerance.ts';

export type AtPlace = Pick<ReleasedHole, 'xIn' | 'yIn'>;

/** Whether two holes lie at the same place of the metal, whatever their numbers. */
export const samePlace = (a: AtPlace, b: AtPlace): boolean =>
  looksSame(a.xIn, b.xIn) && looksSame(a.yIn, b.yIn);
