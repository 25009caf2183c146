import type { RememberedSetting } from './remembered.ts';
import { isPractice, type FoundSetting } from './setting.ts';
import { settingChanges, type SettingChange } from './tasks.ts';
import { recheckStatus, type RecheckStatus } from './rechecks.ts';

/** A setting that was made for a step of a joint. */
export interface StepSetting extends RememberedSetting {
  /** the step's key */
  step: string;
  /** what of the joint it rests on; empty where that was not kept */
  rests: string;
  /** the cage's name and its cutter's */
  cage: string;
}

/** The cage of a countersinking step: the setting it is cut with, or the one that was begun for it. */
export interface StepCage<S extends StepSetting> {
  set: { setting: S; found: FoundSetting; status: RecheckStatus } | null;
  begun: S | null;
  /** it was set, and the joint has changed since: good for nothing now; and what has changed */
  outdated: S | null;
  changes: readonly SettingChange[];
}

/**
 * Which cage a step is cut with, and whether it may go on.
 *
 * @param settings of the joint, the latest first; practice and what was withdrawn does not count
 * @param cageRests what a setting must rest on; null where the joint as it is now is not known
 * @param holes of the step cut so far
 */
export function cageOfStep<S extends StepSetting>(
  settings: readonly S[],
  { key, cageRests }: { key: string; cageRests: string | null },
  holes: number
): StepCage<S> {
  const standing = settings.filter((one) => one.step === key && one.state.withdrawn === null);
  const changesOf = ({ rests }: S) =>
    rests === '' || cageRests === null ? [] : settingChanges(rests, cageRests);
  const holds = (one: S) => changesOf(one)?.length === 0;
  const own = standing.filter(holds);
  const outdated =
    standing.find((one) => !holds(one) && one.state.found !== null && !isPractice(one.state)) ??
    null;
  const begun = own.find(({ state }) => state.found === null) ?? null;
  const setting = own.find(({ state }) => state.found !== null && !isPractice(state));
  const found = setting?.state.found;
  const changes = (outdated && changesOf(outdated)) ?? [];
  if (!setting || !found) return { set: null, begun, outdated, changes };
  return {
    begun,
    outdated: null,
    changes: [],
    set: {
      setting,
      found,
      status: recheckStatus(setting.setup, setting.state, holes)
    }
  };
}
