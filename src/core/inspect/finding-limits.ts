import { rivetSize } from '../catalog/rivets.ts';
import type { Dash } from '../schema/fields.ts';

/** Difference in a head's height from side to side that still passes, in D. */
const TILT_D = 0.05;
/** How far a head must cover its hole all round, in D. */
const COVER_D = 0.1;
/** A smile so deep, for each 1/8 in of D, is beyond dressing. */
const SMILE_PER_EIGHTH_IN = 0.002;
const EIGHTH_IN = 0.125;
/** The feeler that must not reach the shank. */
const FEELER_IN = 0.003;

/** What divides what may be left or dressed from what comes out; inches. */
export interface FindingLimits {
  tiltIn: number;
  coverIn: number;
  smileIn: number;
  feelerIn: number;
}

/** @source inspect */
export function findingLimits(dash: Dash): FindingLimits {
  const D = rivetSize(dash).diameterIn;
  return {
    tiltIn: TILT_D * D,
    coverIn: COVER_D * D,
    smileIn: (SMILE_PER_EIGHTH_IN * D) / EIGHTH_IN,
    feelerIn: FEELER_IN
  };
}
