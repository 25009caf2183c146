import type { Component } from 'svelte';
import type { Right } from '$core/people/rights.ts';
import type { ReleaseCount } from '$core/releases/release-count.ts';
import type { Release } from '$core/release/release.ts';
import type { Clocked } from '$lib/client/outbox.svelte';
import type { Workspace } from '$lib/client/workspace.svelte';
import type { DriveDesk } from './drive/drive-desk.svelte';
import type { InspectDesk } from './inspect/inspect-desk.svelte';
import type { OldWorkDesk } from './inspect/old-work-desk';
import type { ReworkDesk } from './inspect/rework-desk.svelte';
import type { PrepareDesk } from './prepare/prepare-desk.svelte';

/** One joint as its stations look at it. */
export interface OpenJoint {
  workspace: Workspace;
  release: Release | null;
  desk: InspectDesk | null;
  /** every count of the release; null before there is one */
  count: ReleaseCount | null;
  drive: DriveDesk | null;
  rework: ReworkDesk | null;
  oldWork: OldWorkDesk;
  /** who signed the newest release; null while nobody has */
  signedBy: string | null;
  ready: PrepareDesk;
}

/** What a station says of itself on the station line. */
export interface StationStatus {
  text: string;
  /** beyond what has room on the line: heard, and told on a long look */
  more: string;
  done: boolean;
}
export const open = (text: string, more = ''): StationStatus => ({ text, more, done: false });
export const done = (text: string, more = ''): StationStatus => ({ text, more, done: true });

/** One station: its room holds everything of it, and the registry one line. */
export interface Station<K extends string = string> {
  key: K;
  name: string;
  asks: string;
  /** what one must be allowed to do to log there */
  logs: Right;
  /** its page, whose code comes with it and not before */
  page: () => Promise<{ default: Component }>;
  status: (joint: OpenJoint) => StationStatus;
  /** whether it rests on nothing of the joint as it is now, so that no stop reaches it */
  standsAlone: (joint: OpenJoint) => boolean;
  /** keys that it answers to, and what they do */
  keys: readonly (readonly [key: string, does: string])[];
  /** what was logged there and is not stored yet */
  outboxes: (joint: OpenJoint) => readonly (Pick<Clocked, 'waiting'> | undefined)[];
}

/** Keeps the key's own type. */
export const defineStation = <const K extends string>(
  station: Omit<Station<K>, 'standsAlone' | 'keys' | 'outboxes'> & Partial<Station<K>>
): Station<K> => ({ standsAlone: () => false, keys: [], outboxes: () => [], ...station });
