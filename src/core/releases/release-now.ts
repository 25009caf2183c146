import { holeStream, lastBadAt, type HoleEvent, type HoleState } from '../check/hole-events.ts';
import { nextHead, type NextHead } from '../check/next-head.ts';
import {
  drivenNow,
  driveStream,
  type DriveEvent,
  type DriveState
} from '../driving/drive-events.ts';
import type { ColdBatchFacts } from '../driving/cold-of.ts';
import { issueOrder } from '../driving/issue-order.ts';
import type { Issue } from '../issue/issue.ts';
import type { ReworkEvent } from '../reworking/rework-subject.ts';
import { reworkStream } from '../reworking/rework-events.ts';
import { asReworked, emptyHoles, leftAsIs, type ReworkState } from '../reworking/rework-state.ts';

/** A release with everything that was logged of it. */
export interface LoggedRelease {
  issue: Issue;
  /** out of the cold, as far as its rivets came from them */
  batches: readonly ColdBatchFacts[];
  driving: readonly DriveEvent[];
  heads: readonly HoleEvent[];
  reworks: readonly ReworkEvent[];
}

/** A release as it stands: one reading of its logs, that agrees with itself. */
export interface ReleaseNow {
  /** as released, with what was replaced since */
  issue: Issue;
  rework: ReworkState;
  drive: DriveState;
  states: ReadonlyMap<number, HoleState>;
  /** heads that stay as they are on the data holder’s word */
  left: ReadonlySet<number>;
  /** in which its rivets are driven */
  order: readonly number[];
  due: NextHead;
}

/**
 * What a release comes to by everything that was logged of it: what is out, what is driven, what its heads are, what is due.
 *
 * @throws never
 */
export function releaseNow(logged: LoggedRelease): ReleaseNow {
  const { issue: issued, batches, driving, heads, reworks } = logged;
  const rework = reworkStream.project(issued, reworks);
  const issue = asReworked(issued, rework);
  const drive = driveStream.project({ ...issued, batches, rework }, driving);
  const driven = drivenNow(drive);
  const states = holeStream.project({ ...issued, rework, ...driven }, heads);
  const left = leftAsIs(rework, (hole) => lastBadAt(states.get(hole)));
  const { order } = issueOrder(issue, drive.order);
  const present = new Set(issue.holes.map(({ number }) => number));
  const due = nextHead({
    order: order.filter((hole) => present.has(hole)),
    hitAt: driven.hitAt,
    events: heads,
    states,
    left,
    empty: emptyHoles(rework),
    rules: issued.facts.rules
  });
  return { issue, rework, drive, states, left, order, due };
}
