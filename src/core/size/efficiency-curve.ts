import { rivetSize } from '../catalog/rivets.ts';
import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import {
  jointStrength,
  type JointStrengthInput,
  type JointStrengthResult
} from './joint-strength.ts';

/** Joint efficiency at one pitch. */
export interface EfficiencyPoint {
  pitchIn: number;
  pitchD: number;
  efficiency: number;
  governs: JointStrengthResult['governs'];
}

const STEPS = 90;

/**
 * How strong a joint is at every pitch it may have, as a share of the whole sheet: why more rivets stop
 * helping. Arrays ready for a chart.
 *
 * @param joint everything of the strength check but the pitch
 * @param limits the rule profile's multiples of D: the curve runs from the least to the largest pitch
 * @returns points rising in pitch; empty where the check itself refuses (edge distance under 1.5 D)
 * @source size
 */
export function efficiencyCurve(
  joint: Omit<JointStrengthInput, 'pitchIn'>,
  limits: Multipliers = DEFAULT_MULTIPLIERS
): EfficiencyPoint[] {
  const D = rivetSize(joint.dash).diameterIn;
  const { pitchMinD, pitchMaxD } = limits;
  return Array.from({ length: STEPS + 1 }, (_, step) => {
    const pitchD = pitchMinD + ((pitchMaxD - pitchMinD) * step) / STEPS;
    const strength = jointStrength({ ...joint, pitchIn: pitchD * D });
    if (!strength.ok) return [];
    const { efficiency, governs } = strength.result;
    return [{ pitchIn: pitchD * D, pitchD, efficiency, governs }];
  }).flat();
}

/** @returns the point with the highest efficiency, or null for an empty curve */
export const bestPitch = (curve: readonly EfficiencyPoint[]): EfficiencyPoint | null =>
  curve.reduce<EfficiencyPoint | null>(
    (best, point) => (best === null || point.efficiency > best.efficiency ? point : best),
    null
  );
