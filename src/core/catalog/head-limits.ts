import type { HeadLimitsKey } from '../schema/fields.ts';

/** Windows for a driven head, all in D (handbook 4.6). Windows are inclusive. */
export interface HeadLimits {
  diameterD: { low: number; high: number };
  heightD: { low: number; high: number };
}

export const HEAD_LIMITS: Record<HeadLimitsKey, HeadLimits> = {
  standard: { diameterD: { low: 1.3, high: 1.75 }, heightD: { low: 0.38, high: 0.65 } },
  tight: { diameterD: { low: 1.45, high: 1.56 }, heightD: { low: 0.45, high: 0.55 } },
  'classic-flush': { diameterD: { low: 1.33, high: 1.75 }, heightD: { low: 0.38, high: 0.6 } }
};

/** The head every limit is drawn around. */
export const NOMINAL_DIAMETER_D = 1.5;
export const NOMINAL_HEIGHT_D = 0.5;
/** The nominal head of a rivet, in. */
export const nominalHead = (diameterIn: number): { wideIn: number; highIn: number } => ({
  wideIn: NOMINAL_DIAMETER_D * diameterIn,
  highIn: NOMINAL_HEIGHT_D * diameterIn
});
/** A long rivet's head may be this wide and still pass when it sits straight. */
export const WIDEST_LONG_HEAD_D = 2;
