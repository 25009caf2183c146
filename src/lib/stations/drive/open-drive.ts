import { getContext, setContext } from 'svelte';
import type { ToolLine } from '$lib/setting-view';
import type { DriveDesk } from './drive-desk.svelte';

const KEY = Symbol('drive desk');
export interface OpenDrive {
  readonly desk: DriveDesk | null;
  /** what rivets are taken out for */
  readonly jobId: string;
  /** settings of tools made for this joint’s runs, the latest first */
  readonly toolsSet: readonly ToolLine[];
}
export const provideDriveDesk = (open: OpenDrive): OpenDrive => setContext(KEY, open);
export const useDriveDesk = (): OpenDrive => getContext<OpenDrive>(KEY);
