import { isTrusted } from '../../trial-setting/standing.ts';
import type { Remembered } from '../../trial-setting/remembered.ts';
import { atMost } from '../../units/tolerance.ts';
import { SAME_THICKNESS_IN } from './setup-checks.ts';
import { isPractice, type SettingState } from './setting.ts';
import { filmUnsaid, type CageSetup } from './setup.ts';

/** A setting that a cage was given once. */
export type RememberedSetting = Remembered<CageSetup, SettingState>;

/** Finished at a real bench, not withdrawn, and no re-check was bad. */
export const isTrustedCage = (state: SettingState): boolean =>
  isTrusted(state, 0) && !isPractice(state);

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
      isTrustedCage(state) &&
      !filmUnsaid(had) &&
      had.dash === setup.dash &&
      had.seat === setup.seat &&
      had.school === setup.school &&
      (had.seat === 'rivet' || had.skinIn === setup.skinIn) &&
      atMost(Math.abs(had.couponIn - setup.sheetIn), SAME_THICKNESS_IN)
  ) ?? null;
