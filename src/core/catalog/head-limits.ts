import type { HeadLimitsKey, HeadLimitsName, OwnHeadLimits } from '../schema/fields.ts';

/** Windows for a driven head, all in D (inspect). Windows are inclusive. */
export interface HeadLimits {
  diameterD: { low: number; high: number };
  heightD: { low: number; high: number };
}

export const HEAD_LIMITS: Record<HeadLimitsKey, HeadLimits> = {
  standard: { diameterD: { low: 1.3, high: 1.75 }, heightD: { low: 0.38, high: 0.65 } },
  tight: { diameterD: { low: 1.45, high: 1.56 }, heightD: { low: 0.45, high: 0.55 } },
  'classic-flush': { diameterD: { low: 1.33, high: 1.75 }, heightD: { low: 0.38, high: 0.6 } }
};

const isSchool = (limits: HeadLimitsName): limits is HeadLimitsKey => limits in HEAD_LIMITS;

/** The windows that go by a name: a school's, or those that a joint's own data give. */
export function headLimits(limits: HeadLimitsName): HeadLimits {
  if (isSchool(limits)) return HEAD_LIMITS[limits];
  const [wideLow = NaN, wideHigh = NaN, highLow = NaN, highHigh = NaN] = limits
    .split(':')
    .slice(1)
    .map(Number);
  return {
    diameterD: { low: wideLow, high: wideHigh },
    heightD: { low: highLow, high: highHigh }
  };
}

/** The name of limits that a joint's own data give. */
export const ownHeadLimits = ({ diameterD, heightD }: HeadLimits): OwnHeadLimits =>
  `own:${diameterD.low}:${diameterD.high}:${heightD.low}:${heightD.high}`;

/** What limits are called in arithmetic. */
export const limitsCalled = (limits: HeadLimitsName): string =>
  isSchool(limits) ? limits : 'the joint’s own';

/** Whether a head that is a little wide may pass where it sits straight: not by narrow limits, nor by a joint's own. */
export const longMayPass = (limits: HeadLimitsName): boolean =>
  isSchool(limits) && limits !== 'tight';

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
