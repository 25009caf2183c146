import { randomUUID } from 'node:crypto';
import type { Stamped } from '../../../core/events/stream.ts';
import type { HeldOpenHole, ReleasedFacts, ReleasedHole } from '../../../core/release/release.ts';
import { differences } from '../../../core/joint/differences.ts';
import type { EarlierRelease, SinceRelease } from '../../../core/releases/since-release.ts';
import { takeOver, type TakenOver } from '../../../core/releases/take-over.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { putTaken } from '../events/record.ts';
import { DRIVE_EVENTS, HOLE_EVENTS } from '../events/tables.ts';
import { openRelease } from './open-release.ts';
import { Refused } from '../outcome.ts';

/** So many changed fields are told; more are another joint. */
const MOST_CHANGES = 100;

async function earlierRelease(
  database: Database,
  releaseId: string
): Promise<EarlierRelease & { definition: unknown }> {
  // what is logged of it from now on stays with it: it is held while it is read
  await rowsOf(database, 'select id from joint_issues where id = $1 for update', [releaseId]);
  const opened = await openRelease(database, releaseId);
  if (!opened) throw new Refused('not-found', 'there is no such release');
  const { asReleased: release, definition, driving, rework, drive, states, since } = opened;
  if ([...rework.referrals.values()].some(({ answered }) => answered === null))
    throw new Refused(
      'not-possible',
      `a question of release ${release.number} is open. Record its disposition in Inspect first; a new release would lose it`
    );
  return { release, definition, driving, rework, drive, states, since };
}

/** What a new release takes over from the one before it, and what changed. */
export async function takenOverFrom(
  database: Database,
  releaseId: string,
  next: {
    facts: ReleasedFacts;
    holes: ReleasedHole[];
    heldOpen: HeldOpenHole[];
    definition: unknown;
  }
): Promise<Omit<TakenOver, 'since'> & { since: SinceRelease }> {
  const earlier = await earlierRelease(database, releaseId);
  const taken = takeOver(earlier, next);
  // as it will lie beside the other: what JSON does not hold is no difference
  const asStored: unknown = JSON.parse(JSON.stringify(next.definition));
  const changes = differences(earlier.definition, asStored)
    .filter(({ was, now }) => was !== now)
    .slice(0, MOST_CHANGES);
  return { ...taken, since: { ...taken.since, changes } };
}

/** Puts what was taken over among the events of the new release, as it was logged. */
export async function logTaken(
  database: Database,
  releaseId: string,
  { taps, looks }: Pick<TakenOver, 'taps' | 'looks'>,
  personId: string
): Promise<void> {
  const row = <E extends Stamped & { by?: string; sentBy?: string; frozen: unknown }>(event: E) => {
    const { frozen, ...move } = { ...event, id: randomUUID() };
    delete move.by;
    delete move.sentBy;
    return { move, subjectId: releaseId, frozen };
  };
  await putTaken(database, DRIVE_EVENTS, taps.map(row), { id: personId });
  await putTaken(database, HOLE_EVENTS, looks.map(row), { id: personId });
}
