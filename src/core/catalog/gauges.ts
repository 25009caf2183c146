/** Common sheet thicknesses, in (handbook 3.2). */
export const GAUGES_IN = [
  0.016, 0.02, 0.025, 0.032, 0.04, 0.05, 0.063, 0.071, 0.08, 0.09, 0.1, 0.125
] as const;
/** Thicknesses of older stock, in. */
export const OLDER_GAUGES_IN = [0.036, 0.051, 0.064, 0.081, 0.091, 0.102, 0.128] as const;
