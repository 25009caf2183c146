import type { Family, Location } from '../schema/fields.ts';

/** Constants of the public rivets-per-inch guidance (size), dimensionless. */
export const FAMILY_CONSTANTS: Record<Family, { ks: number; kb: number; sheets: string }> = {
  'high-strength': { ks: 0.4, kb: 1.6, sheets: '7075-T6 bare or clad, 2014-T6, 2024-T3 bare' },
  'clad-2024': { ks: 0.5, kb: 1.6, sheets: '2024-T3 clad, 2017 bare or clad' },
  '5052': { ks: 0.7, kb: 1.65, sheets: '5052, every temper' }
};

/** Share of the full count that each location asks for. */
export const LOCATION_FACTOR: Record<Location, number> = {
  general: 1,
  stringer: 0.8,
  'single-lap': 0.75,
  'intermediate-frame': 0.6
};

/** Thinnest sheet, in, that the guidance gives a figure for; larger rivets would tear it. */
export const LEAST_SHEET_IN: Readonly<Partial<Record<number, number>>> = {
  5: 0.02,
  6: 0.032,
  8: 0.036
};

/** Over this many rivets an inch the rivet is too small: rows would not fit. */
export const MOST_PER_INCH = 14;
