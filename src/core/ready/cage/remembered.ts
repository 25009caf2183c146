import { atMost } from '../../units/tolerance.ts';
import { SAME_THICKNESS_IN } from './setup-checks.ts';
import { filmUnsaid, type CageSetup } from './setup.ts';
import type { SettingState } from './setting.ts';

/** A setting that a cage was given once. */
export interface RememberedSetting {
  id: string;
  /** what for: the joint and its sheet, or empty */
  work: string;
  setup: CageSetup;
  state: SettingState;
}

/** Finished at a real bench, not withdrawn, and no re-check was bad. */
export const isTrusted = ({ found, withdrawn, rechecks, practice }: SettingState): boolean =>
  found !== null &&
  !practice &&
  withdrawn === null &&
  rechecks.every(({ verdict }) => verdict === 'good');

/**
 * The latest trusted setting of a cage for the same rivet, seat and limits in a sheet as thick.
 *
 * @param remembered settings of that cage, the latest first
 */
export const offerFor = (
  setup: Pick<CageSetup, 'dash' | 'seat' | 'sheetIn' | 'skinIn' | 'school'>,
  remembered: readonly RememberedSetting[]
): RememberedSetting | null =>
  remembered.find(
    ({ setup: had, state }) =>
      isTrusted(state) &&
      !filmUnsaid(had) &&
      had.dash === setup.dash &&
      had.seat === setup.seat &&
      had.school === setup.school &&
      (had.seat === 'rivet' || had.skinIn === setup.skinIn) &&
      atMost(Math.abs(had.couponIn - setup.sheetIn), SAME_THICKNESS_IN)
  ) ?? null;
