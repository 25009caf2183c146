/** The exact length factors, each written once. The core computes in inches. */
export const MM_PER_IN = 25.4;
export const CM_PER_IN = 2.54;
export const THOU_PER_IN = 1000;
