import type { HoleEvent } from '../../src/core/inspect/hole-events.ts';
import type { CheckedHead } from '../../src/core/inspect/hole-look.ts';
import type { Recorded, Stamped } from '../../src/core/events/stream.ts';
import type { CageEvent, CageMove } from '../../src/core/prepare/cage/setting.ts';
import type { ReadyEvent, ReadyMove } from '../../src/core/prepare/progress.ts';
import type { StockMove } from '../../src/core/stock/stock.ts';
import type { Database } from '../../src/lib/server/db/connect.ts';
import { cageEvents } from '../../src/lib/server/events/setting-events.ts';
import { holeEvents } from '../../src/lib/server/events/hole-events.ts';
import type { KeptStream } from '../../src/lib/server/events/kept-stream.ts';
import { eventsOf } from '../../src/lib/server/events/read.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { stepEvents } from '../../src/lib/server/events/step-events.ts';
import { stockEvents } from '../../src/lib/server/events/stock-events.ts';
import { done, type Outcome } from '../../src/lib/server/outcome.ts';
import { listPeople } from '../../src/lib/server/services/people.ts';
import { listBins } from '../../src/lib/server/services/stock.ts';

const senderOf = async (database: Database, id: string) =>
  (await listPeople(database)).find((one) => one.id === id) ?? { id, name: '' };

/** Records moves of a subject. @returns every event of it */
async function record<S, M extends Stamped, F, T>(
  database: Database,
  kept: KeptStream<S, M, F, T>,
  subject: string,
  moves: readonly M[],
  person: string
): Promise<Outcome<Recorded<M, F>[]>> {
  const outcome = await recordMoves(
    database,
    kept,
    subject,
    moves,
    await senderOf(database, person)
  );
  return outcome.ok ? done(await eventsOf(database, kept, subject)) : outcome;
}

/** Released, or begun, before anything that a test logs. */
export const LONG_AGO = new Date('2020-01-01T00:00:00Z');

export async function recordHead(
  database: Database,
  release: string,
  head: Omit<CheckedHead, 'kind'>,
  person: string
): Promise<Outcome<HoleEvent>> {
  const move: CheckedHead = { ...head, kind: 'checked' };
  const outcome = await record(database, holeEvents, release, [move], person);
  if (!outcome.ok) return outcome;
  const stored = outcome.value.find(({ id }) => id === head.id);
  if (!stored) throw new Error('the head is not there');
  return done(stored);
}

export const eventsOfRelease = (database: Database, release: string): Promise<HoleEvent[]> =>
  eventsOf(database, holeEvents, release);

export const recordReady = (
  database: Database,
  joint: string,
  moves: readonly ReadyMove[],
  person: string
): Promise<Outcome<ReadyEvent[]>> => record(database, stepEvents, joint, moves, person);

export const recordCageMoves = (
  database: Database,
  setting: string,
  moves: readonly CageMove[],
  person: string
): Promise<Outcome<CageEvent[]>> => record(database, cageEvents, setting, moves, person);

/** Moves rivets. @returns each bin moved, with what is in it now */
export async function moveStock(
  database: Database,
  moves: readonly StockMove[],
  person: string
): Promise<Outcome<{ binId: string; count: number }[]>> {
  const sender = await senderOf(database, person);
  const outcome = await recordMoves(database, stockEvents, null, moves, sender);
  if (!outcome.ok) return outcome;
  const bins = new Map((await listBins(database)).map(({ id, count }) => [id, count]));
  return done(
    outcome.value.map(({ subject }) => ({ binId: subject, count: bins.get(subject) ?? NaN }))
  );
}
