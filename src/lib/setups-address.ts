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
