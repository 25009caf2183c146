import { rivetSize } from '../catalog/rivets.ts';
import type { Multipliers } from '../rules/multipliers.ts';
import type { Dash } from '../schema/fields.ts';

/** A shop's limits, and the largest pitch where the job gives it: that one is a length, whatever the rivet. */
export interface LayLimits extends Multipliers {
  /** null: the shop's multiple of D */
  holdPitchIn: number | null;
}

/** The largest pitch for a rivet of this diameter; in. */
export const mostPitchIn = (
  { pitchMaxD, holdPitchIn }: Pick<LayLimits, 'pitchMaxD' | 'holdPitchIn'>,
  diameterIn: number
): number => holdPitchIn ?? pitchMaxD * diameterIn;

/** The limits in multiples of one size's D. */
export const limitsFor = (limits: LayLimits, dash: Dash): LayLimits => {
  const { diameterIn } = rivetSize(dash);
  return { ...limits, pitchMaxD: mostPitchIn(limits, diameterIn) / diameterIn };
};
