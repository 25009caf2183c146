import { isUuid } from './uuid';

/** The step of a joint that an address of Setups names, or null. */
export function taskInAddress(url: URL): { jointId: string; step: string } | null {
  const jointId = url.searchParams.get('joint');
  const step = url.searchParams.get('step');
  return jointId !== null && isUuid(jointId) && step !== null ? { jointId, step } : null;
}

/** What is added to an address of Setups so that it names a step. */
export const taskAsQuery = (task: { jointId: string; key: string } | null): string =>
  task ? `?joint=${task.jointId}&step=${encodeURIComponent(task.key)}` : '';

/** The page of one setting of a cage: where its guide and its re-checks are. */
export const settingAddress = (cage: string, setting: string): string =>
  `/setups/${cage}/${setting}`;

/** The run of a released joint that an address of Setups names, or null. */
export function runInAddress(url: URL): { jointId: string; run: string } | null {
  const jointId = url.searchParams.get('joint');
  const run = url.searchParams.get('run');
  return jointId !== null && isUuid(jointId) && run !== null ? { jointId, run } : null;
}

/** Where a tool is set for a run. */
export const runSettingAddress = (jointId: string, run: string): string =>
  `/setups/driving?joint=${jointId}&run=${encodeURIComponent(run)}`;

/** The page of one setting of a squeezer, a gun or dies. */
export const toolSettingAddress = (setting: string): string => `/setups/driving/${setting}`;
