import type { Role } from '$core/people/rights.ts';
import type { HoleEvent } from '$core/inspect/hole-events.ts';
import type { DriveEvent } from '$core/driving/drive-events.ts';
import type { Release } from '$core/release/release.ts';
import type { EnteredJoint } from '$core/kinds/joint.ts';
import type { SinceRelease } from '$core/releases/since-release.ts';
import type { ReworkEvent } from '$core/reworking/rework-subject.ts';
import type { SetBy } from '$core/rules/bound-rules.ts';
import type { RuleProfile } from '$core/rules/profile.ts';
import type { PrepareDesk } from '$lib/stations/prepare/prepare-desk.svelte';
import type { StationKey } from '$lib/stations/stations.ts';
import type { BinView } from '$lib/stock-view.ts';
import type { ToolLine } from '$lib/setting-view';

/** What the page of a joint is given: the joint as stored, its newest release and what was logged of it. */
export interface BenchProps {
  joint: {
    id: string;
    job: { id: string; number: string; place: string; data: string };
    title: string;
    definition: EnteredJoint;
    revision: number;
    profileId: string;
    savedAt: string;
    savedBy: string | null;
    profile: RuleProfile;
  };
  release: Release | null;
  events: HoleEvent[];
  driving: DriveEvent[];
  rework: ReworkEvent[];
  /** the shop’s rules as they stand now, and who set those of this joint */
  shop: { rules: RuleProfile; setBy: SetBy };
  /** who signed the newest release; null while nobody has */
  signedBy: string | null;
  /** what that release took over; null for a first one */
  since: SinceRelease | null;
  /** settings of tools made for its runs, the latest first */
  toolsSet: readonly ToolLine[];
  ready: ConstructorParameters<typeof PrepareDesk>[1];
  /** who is at the bench; empty when nobody said */
  person: string;
  /** what they are in the shop; null when nobody said */
  role: Role | null;
  /** bins with rivets in them */
  drawers: readonly BinView[];
  station: StationKey;
}
