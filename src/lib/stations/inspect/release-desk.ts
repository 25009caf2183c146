import { getContext, setContext } from 'svelte';
import type { Release } from '$core/release/release.ts';
import type { Role } from '$core/people/rights.ts';
import type { ReleaseCount } from '$core/releases/release-count.ts';
import type { InMetal } from '$core/releases/in-metal.ts';
import type { BoundRule } from '$core/rules/bound-rules.ts';
import type { SinceRelease } from '$core/releases/since-release.ts';
import type { InspectDesk } from './inspect-desk.svelte';

/** The newest release of the open joint and its readings; null before the first is made. */
export interface ReleaseDesk {
  readonly release: Release | null;
  readonly desk: InspectDesk | null;
  /** every count of the release; null before there is one */
  readonly count: ReleaseCount | null;
  /** who is at the bench; empty when nobody said */
  readonly person: string;
  /** what they are in the shop; null where nobody said */
  readonly role: Role | null;
  /** who signed it; null while nobody has */
  readonly signedBy: string | null;
  /** what it took over from the release before it; null for a first one */
  readonly since: SinceRelease | null;
  /** binding rules of the joint that are not the shop’s: they take effect by whoever releases it */
  readonly bound: readonly BoundRule[];
  /** holes of the joint as planned now that rework left another way, by the plan’s numbers */
  readonly inMetal: readonly InMetal[];
}

const KEY = Symbol('release desk');
export const provideReleaseDesk = (desk: ReleaseDesk): ReleaseDesk => setContext(KEY, desk);
export const useReleaseDesk = (): ReleaseDesk => getContext<ReleaseDesk>(KEY);
