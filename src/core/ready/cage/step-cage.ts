import type { RememberedSetting } from './remembered.ts';
import { recheckStatus, type RecheckStatus } from './rechecks.ts';

/** A setting that was made for a step of a joint. */
export interface StepSetting extends RememberedSetting {
  /** the step's key */
  step: string;
  /** the cage's name and its cutter's */
  cage: string;
}

/** The cage of a countersinking step: the setting it is cut with, or the one that was begun for it. */
export interface StepCage<S extends StepSetting> {
  set: { setting: S; words: string; status: RecheckStatus } | null;
  begun: S | null;
}

/**
 * Which cage a step is cut with, and whether it may go on.
 *
 * @param settings of the joint, the latest first; practice and what was withdrawn does not count
 * @param holes of the step cut so far
 */
export function cageOfStep<S extends StepSetting>(
  settings: readonly S[],
  step: string,
  holes: number
): StepCage<S> {
  const own = settings.filter((one) => one.step === step && one.state.withdrawn === null);
  const begun = own.find(({ state }) => state.found === null) ?? null;
  const setting = own.find(({ state }) => state.found !== null && !state.practice);
  const found = setting?.state.found;
  if (!setting || !found) return { set: null, begun };
  const nested = found.nest ? `, nested at ${found.nest.clicks}` : '';
  return {
    begun,
    set: {
      setting,
      words: `${setting.cage}: flush at ${found.clicks} clicks${nested}`,
      status: recheckStatus(setting.setup, setting.state, holes)
    }
  };
}
