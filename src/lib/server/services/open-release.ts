import { holeStream, type HoleEvent } from '../../../core/inspect/hole-events.ts';
import { driveStream, type DriveEvent } from '../../../core/driving/drive-events.ts';
import type { ColdBatchFacts } from '../../../core/driving/cold-of.ts';
import type { Release } from '../../../core/release/release.ts';
import { releaseNow, type ReleaseNow } from '../../../core/releases/release-now.ts';
import { SinceRelease } from '../../../core/releases/since-release.ts';
import type { ReworkEvent } from '../../../core/reworking/rework-subject.ts';
import { reworkStream } from '../../../core/reworking/rework-events.ts';
import type { Database } from '../db/connect.ts';
import { inOneView, rowsOf } from '../db/transaction.ts';
import { batchesOf } from '../events/batches.ts';
import { eventsOf } from '../events/read.ts';
import { DRIVE_EVENTS, HOLE_EVENTS, REWORK_EVENTS } from '../events/tables.ts';
import { releaseWithSource } from './releases.ts';

/** A release with everything that was logged of it and what that comes to: one reading, of one instant. */
export interface OpenRelease extends ReleaseNow {
  /** as it was released; `release` is that with what was replaced since */
  asReleased: Release;
  jointId: string;
  /** the joint as its fields stood, and the rules it was planned under */
  definition: unknown;
  rules: unknown;
  /** what it took over from the release before it; null for a first one */
  since: SinceRelease | null;
  /** out of the cold, as far as its rivets came from them */
  batches: ColdBatchFacts[];
  driving: DriveEvent[];
  heads: HoleEvent[];
  reworks: ReworkEvent[];
}

/**
 * The one way to read where a release stands: pages, files, records and signatures all go by it.
 *
 * @returns null where there is no such release
 */
export const openRelease = (database: Database, releaseId: string): Promise<OpenRelease | null> =>
  inOneView(database, async () => {
    const source = await releaseWithSource(database, releaseId);
    if (!source) return null;
    const { release: asReleased, ...from } = source;
    // one after the other: within an act they go over its one connection
    const driving = await eventsOf(
      database,
      { stream: driveStream, table: DRIVE_EVENTS },
      releaseId
    );
    const heads = await eventsOf(database, { stream: holeStream, table: HOLE_EVENTS }, releaseId);
    const reworks = await eventsOf(
      database,
      { stream: reworkStream, table: REWORK_EVENTS },
      releaseId
    );
    const batches = await batchesOf(database, releaseId);
    const since = await sinceOfRelease(database, releaseId);
    const logged = { batches, driving, heads, reworks };
    return {
      asReleased,
      ...from,
      since,
      ...logged,
      ...releaseNow({ release: asReleased, ...logged })
    };
  });

/** What a release took over, as it is stored with it; null for a first one. */
export async function sinceOfRelease(
  database: Database,
  releaseId: string
): Promise<SinceRelease | null> {
  const [row] = await rowsOf<{ since: unknown }>(
    database,
    'select since from joint_issues where id = $1',
    [releaseId]
  );
  return SinceRelease.nullable().parse(row?.since ?? null);
}
