import {
  holeStream,
  lastBadAt,
  type HoleEvent,
  type HoleState,
  type HoleSubject
} from '../inspect/hole-events.ts';
import { nextHead, type NextHead } from '../inspect/next-head.ts';
import {
  drivenNow,
  driveStream,
  type DrivenNow,
  type DriveEvent,
  type DriveState,
  type DriveSubject
} from '../driving/drive-events.ts';
import type { ColdBatchFacts } from '../driving/cold-of.ts';
import { releaseOrder } from '../driving/release-order.ts';
import type { Release } from '../release/release.ts';
import type { ReworkEvent } from '../reworking/rework-subject.ts';
import { reworkStream } from '../reworking/rework-events.ts';
import { asReworked, emptyHoles, leftAsIs, type ReworkState } from '../reworking/rework-state.ts';

/** A release with everything that was logged of it. */
export interface LoggedRelease {
  release: Release;
  /** out of the cold, as far as its rivets came from them */
  batches: readonly ColdBatchFacts[];
  driving: readonly DriveEvent[];
  heads: readonly HoleEvent[];
  reworks: readonly ReworkEvent[];
}

/** A release as it stands: one reading of its logs, that agrees with itself. */
export interface ReleaseNow {
  /** as released, with what was replaced since */
  release: Release;
  rework: ReworkState;
  drive: DriveState;
  states: ReadonlyMap<number, HoleState>;
  /** heads that stay as they are on the data holder’s word */
  left: ReadonlySet<number>;
  /** in which its rivets are driven */
  order: readonly number[];
  due: NextHead;
}

type Layout = Pick<Release, 'facts' | 'holes' | 'heldOpen'>;

/** What taps are held against: the release as it was made, and what rework has made of it. */
export const drivingOf = (
  { facts, holes, heldOpen }: Layout,
  rework: ReworkState,
  batches: readonly ColdBatchFacts[]
): DriveSubject => ({ facts, holes, heldOpen, rework, batches });

/** What looks are held against: that, and what driving comes to. */
export const headsOf = (
  { facts, holes, heldOpen }: Layout,
  rework: ReworkState,
  driven: DrivenNow
): HoleSubject => ({ facts, holes, heldOpen, rework, ...driven });

/** A release as far as its heads are looked at: what is due follows from it. */
export interface LookedAt {
  /** as released, with what was replaced since */
  release: Release;
  rework: ReworkState;
  driven: Pick<DrivenNow, 'hitAt' | 'logged'>;
  /** in which its rivets are driven */
  order: readonly number[];
  heads: readonly HoleEvent[];
  states: ReadonlyMap<number, HoleState>;
}

/** Rivets whose heads can be looked at: in the metal as far as anybody knows. @returns hole numbers, in the order of the release */
export function rivetsToLookAt({
  release,
  rework,
  driven
}: Pick<LookedAt, 'release' | 'rework' | 'driven'>): number[] {
  const out = emptyHoles(rework);
  return release.holes.flatMap(({ number }) =>
    out.has(number) || (driven.logged && !driven.hitAt.has(number)) ? [] : [number]
  );
}

/** Heads that stay as they are on the data holder’s word, and which are due. */
export function dueNow(at: LookedAt): Pick<ReleaseNow, 'left' | 'due'> {
  const { release, rework, states } = at;
  const left = leftAsIs(rework, (hole) => lastBadAt(states.get(hole)));
  const present = new Set(release.holes.map(({ number }) => number));
  const due = nextHead({
    order: at.order.filter((hole) => present.has(hole)),
    hitAt: at.driven.hitAt,
    logged: at.driven.logged,
    events: at.heads,
    states,
    left,
    empty: emptyHoles(rework),
    rules: release.facts.rules
  });
  return { left, due };
}

/**
 * What a release comes to by everything that was logged of it: what is out, what is driven, what its heads are, what is due.
 *
 * @throws never
 */
export function releaseNow(logged: LoggedRelease): ReleaseNow {
  const { release: asReleased, batches, driving, heads, reworks } = logged;
  const rework = reworkStream.project(asReleased, reworks);
  const release = asReworked(asReleased, rework);
  const drive = driveStream.project(drivingOf(asReleased, rework, batches), driving);
  const driven = drivenNow(drive);
  const states = holeStream.project(headsOf(asReleased, rework, driven), heads);
  const { order } = releaseOrder(release, drive.order);
  const { left, due } = dueNow({ release, rework, driven, order, heads, states });
  return { release, rework, drive, states, left, order, due };
}
