/**
 * One tolerance for every comparison, floor and ceiling of the core: lengths come from fractions and
 * millimetres, so sums that are equal on paper differ in the sixteenth figure here. 1e-9 in is a
 * thousand times finer than anything a shop can measure and a million times coarser than the error
 * of a double.
 */
export const TOLERANCE = 1e-9;

/** The same as a share of what is measured: for squares and products, whose error grows with them. */
export const TOLERANCE_SHARE = 1e-9;

/** Lengths closer than this look the same on every scale and in every unit a page writes, in. */
export const LOOKS_SAME_IN = 1e-6;

/** Limits and readings are written to the ten-thousandth: no instrument here tells closer figures apart, in. */
export const WRITTEN_ALIKE_IN = 0.00005;

/** Sums of squares that are equal on paper differ by the rounding of a double, as a share of each term and at least. */
const ROUNDING_SHARE = 1e-13;
export const LEAST_ROUNDING = 1e-15;

/** Rows of more holes than this are told apart by their rounding no worse. */
const ROUNDED_TERMS = 1000;

/**
 * By how much sums of squared gaps may differ and still be equal on paper: of two ways that are as good the one with the
 * smallest marks is taken, whatever unit they were typed in.
 *
 * @param largestIn no gap is larger, in
 * @returns in²
 */
export const squaresSlackIn2 = (largestIn: number, terms = ROUNDED_TERMS): number =>
  ROUNDING_SHARE * terms * largestIn ** 2 + LEAST_ROUNDING;

/** a ≥ b, a whisker under still counts. */
export const atLeast = (a: number, b: number): boolean => a >= b - TOLERANCE;

/** a ≤ b, a whisker over still counts. */
export const atMost = (a: number, b: number): boolean => a <= b + TOLERANCE;

/** a > b by more than the tolerance. */
export const above = (a: number, b: number): boolean => a > b + TOLERANCE;

/** a < b by more than the tolerance. */
export const below = (a: number, b: number): boolean => a < b - TOLERANCE;

/** A reading is under its limit: not only by less than either is written to. */
export const isUnder = (readIn: number, limitIn: number): boolean =>
  below(readIn + WRITTEN_ALIKE_IN, limitIn);

/** The two agree within the tolerance. */
export const same = (a: number, b: number): boolean => Math.abs(a - b) <= TOLERANCE;

/** The two are written alike whatever the unit. */
export const looksSame = (a: number, b: number): boolean => Math.abs(a - b) < LOOKS_SAME_IN;

/** Ceiling; a value a whisker over a whole number is that number. */
export const ceilTo = (a: number): number => Math.ceil(a - TOLERANCE);

/** Floor; a value a whisker under a whole number is that number. */
export const floorTo = (a: number): number => Math.floor(a + TOLERANCE);

/** Nearest whole number, half away from zero; a whisker under a half counts as the half. */
export const roundHalfAway = (a: number): number =>
  a < 0 ? -Math.floor(-a + 0.5 + TOLERANCE) : Math.floor(a + 0.5 + TOLERANCE);
