import type { Alloy, Dash } from '../schema/fields.ts';
import { RIVET_SHEAR_KSI } from './strengths.ts';

export const GUN_SIZES = ['2X', '3X', '4X'] as const;
export type GunSize = (typeof GUN_SIZES)[number];

/** What one rivet size is driven with. */
export interface DrivingFigures {
  guns: readonly GunSize[];
  barLb: { least: number; most: number };
  /** to begin with, then tuned on wood */
  airPsi: { least: number; most: number };
  /** for AD, an order of size */
  squeezeLb: number;
  /** of one burst; stop early, look, hit again */
  burstS: { least: number; most: number };
}

const figures = (
  guns: readonly GunSize[],
  bar: [number, number],
  air: [number, number],
  squeezeLb: number,
  burst: [number, number]
): DrivingFigures => ({
  guns,
  barLb: { least: bar[0], most: bar[1] },
  airPsi: { least: air[0], most: air[1] },
  squeezeLb,
  burstS: { least: burst[0], most: burst[1] }
});

/** By dash (driving-tools; bursts drive). */
export const DRIVING_FIGURES: Readonly<Record<Dash, DrivingFigures>> = {
  3: figures(['2X'], [2, 3], [25, 35], 1000, [1, 1.5]),
  4: figures(['2X', '3X'], [3, 4], [35, 45], 2000, [1, 1.5]),
  5: figures(['3X'], [3, 4.5], [45, 60], 3500, [1, 3]),
  6: figures(['3X', '4X'], [4, 5], [60, 75], 5000, [1, 3]),
  8: figures(['4X'], [5, 6.5], [75, 90], 8500, [1, 3])
};

/** A hand squeezer is easy for dash 3, hard work for dash 4, and not for more. */
export const HAND_SQUEEZER_MOST_DASH: Dash = 4;

/** What closes on a rivet; `estimated`: reckoned from the figure for AD. */
export interface SqueezeForce {
  lb: number;
  estimated: boolean;
}

/** Harder than AD, and hardened alike: their force goes by their driven shear strength. */
const SCALED: readonly Alloy[] = ['D', 'DD', 'E'];

/**
 * The force that a rivet is squeezed with: the table's for AD, and for the harder ones that times the ratio of driven shear
 * strengths.
 *
 * @returns lb; null for alloys of which nobody gives a figure
 * @source driving-tools
 */
export function squeezeForce(dash: Dash, alloy: Alloy): SqueezeForce | null {
  const { squeezeLb } = DRIVING_FIGURES[dash];
  if (alloy === 'AD') return { lb: squeezeLb, estimated: false };
  return SCALED.includes(alloy)
    ? { lb: (squeezeLb * RIVET_SHEAR_KSI[alloy]) / RIVET_SHEAR_KSI.AD, estimated: true }
    : null;
}
