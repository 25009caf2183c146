import type { Alloy, Family } from '../schema/fields.ts';

/** Driven ultimate shear of rivet alloys, ksi (rivets). */
export const RIVET_SHEAR_KSI: Record<Alloy, number> = {
  A: 10,
  AD: 30,
  D: 38,
  DD: 41,
  B: 28,
  E: 43
};

/** Published ultimate values of a sheet, ksi: reference only (sheets). */
export interface SheetStrength {
  tensionKsi: number;
  bearingAt2DKsi: number;
  bearingAt1p5DKsi: number;
}

export const SHEET_STRENGTHS = {
  '2024-T3 clad': { tensionKsi: 58, bearingAt2DKsi: 119, bearingAt1p5DKsi: 97 },
  '2024-T3 bare': { tensionKsi: 64, bearingAt2DKsi: 129, bearingAt1p5DKsi: 104 },
  '7075-T6 clad': { tensionKsi: 71, bearingAt2DKsi: 142, bearingAt1p5DKsi: 110 },
  '6061-T6': { tensionKsi: 42, bearingAt2DKsi: 88, bearingAt1p5DKsi: 67 },
  '5052-H34': { tensionKsi: 34, bearingAt2DKsi: 71, bearingAt1p5DKsi: 56 }
} as const satisfies Record<string, SheetStrength>;

export type SheetKey = keyof typeof SHEET_STRENGTHS;
export const SHEET_KEYS = Object.keys(SHEET_STRENGTHS) as SheetKey[];

/** The guidance's family of each sheet; null where it gives no figure (size). */
export const GUIDED_AS: Record<SheetKey, Family | null> = {
  '2024-T3 clad': 'clad-2024',
  '2024-T3 bare': 'high-strength',
  '7075-T6 clad': 'high-strength',
  '6061-T6': null,
  '5052-H34': '5052'
};

/** Young's modulus of aluminium sheet, ksi (size). */
export const SHEET_MODULUS_KSI = 10_300;
export const PSI_PER_KSI = 1000;
