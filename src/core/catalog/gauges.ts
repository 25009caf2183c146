import { atMost, below } from '../units/tolerance.ts';

/** Common sheet thicknesses, in (sheets). */
export const GAUGES_IN = [
  0.016, 0.02, 0.025, 0.032, 0.04, 0.05, 0.063, 0.071, 0.08, 0.09, 0.1, 0.125
] as const;
/** A metric sheet is its gauge at 25 mm for each inch: 0.8 mm is a little under 0.032. */
const METRIC_UNDER = 25.4 / 25;

/** The common gauge that a metric sheet stands for in guidance made for gauges; null for any other thickness. */
export const gaugeOfMetric = (thicknessIn: number): number | null =>
  GAUGES_IN.find(
    (gaugeIn) => below(thicknessIn, gaugeIn) && atMost(gaugeIn, thicknessIn * METRIC_UNDER)
  ) ?? null;

/** Thicknesses of older stock, in. */
export const OLDER_GAUGES_IN = [0.036, 0.051, 0.064, 0.081, 0.091, 0.102, 0.128] as const;
