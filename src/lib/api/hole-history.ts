import type { HoleEvent } from '../../core/inspect/hole-events.ts';
import type { DriveEvent } from '../../core/driving/drive-events.ts';
import type { ReleasedHole, Release } from '../../core/release/release.ts';
import type { RivetRecord } from '../../core/records/rivet-record.ts';
import type { ReworkEvent } from '../../core/reworking/rework-subject.ts';

/** Everything that happened at one hole of a release. */
export interface HoleHistory {
  joint: { id: string; title: string; job: string };
  practice: boolean;
  release: Pick<Release, 'id' | 'number' | 'issuedAt' | 'issuedBy'>;
  signature: { by: string; at: string } | null;
  hole: ReleasedHole;
  /** why it gets no rivet; empty where it does */
  heldOpen: string;
  limits: Release['facts']['limits'];
  rivets: (RivetRecord & { tool: string | null })[];
  driving: Extract<DriveEvent, { hole: number }>[];
  heads: HoleEvent[];
  rework: ReworkEvent[];
  /** lots of the cold batches that stand in the driving log */
  lots: Record<string, string>;
  /** holes at the same place in other releases of the joint */
  elsewhere: { releaseId: string; release: number; hole: number }[];
}
