import { CONNECTION } from '../../words/connection.ts';
import { isDeepStrictEqual } from 'node:util';
import { CLOCK_SLACK_MS } from '../../../core/events/clock-slack.ts';
import type { Recorded, Stamped } from '../../../core/events/stream.ts';
import { inWords } from '../clock.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, missingReference, rowsOf } from '../db/transaction.ts';
import {
  because,
  done,
  Refused,
  refused,
  type Outcome,
  type Reason,
  type Why
} from '../outcome.ts';
import type { KeptStream, LogClock, Opened } from './kept-stream.ts';
import { putSql, type EventTable } from './table.ts';

/** Who sends. */
export interface Sender {
  id: string;
  name: string;
  /** the browser they send from, where it is one */
  device?: string | null;
}

/** An event with what it happened to. */
export type Stored<Move, Frozen> = Recorded<Move, Frozen> & { subject: string };

interface Put {
  id: string;
  /** null: it was not there before */
  same: boolean | null;
  frozen: unknown;
  by: string | null;
  added: boolean;
}

interface ToPut<Move, Frozen> {
  move: Move;
  subjectId: string;
  frozen: Frozen | null;
}

const NONE: ReadonlySet<string> = new Set();
const ANOTHER = 'another event was stored under this id';

/** Puts events as they are, whatever their stream would say of them: those that a release takes over. */
export const putTaken = <Move extends Stamped, Frozen>(
  database: Database,
  table: EventTable,
  rows: readonly ToPut<Move, Frozen>[],
  sender: Pick<Sender, 'id' | 'device'>
): Promise<unknown> =>
  rows.length === 0 ? Promise.resolve() : put(database, putSql(table), rows, sender);

async function put<Move extends Stamped, Frozen>(
  database: Database,
  sql: string,
  rows: readonly ToPut<Move, Frozen>[],
  sender: Pick<Sender, 'id' | 'device'>
): Promise<Put[]> {
  const sent = rows.map(({ move: { id, at, kind, person, ...payload }, subjectId, frozen }, n) => ({
    n,
    id,
    subject_id: subjectId,
    kind,
    payload,
    frozen,
    person: person ?? null,
    at
  }));
  return rowsOf<Put>(database, sql, [JSON.stringify(sent), sender.id, sender.device ?? null]);
}

/** A move sent twice in one go is one; another under its id is refused. */
function withoutRepeats<Move extends Stamped>(moves: readonly Move[]): Move[] {
  const byId = new Map<string, Move>();
  for (const move of moves) {
    const before = byId.get(move.id);
    if (before && !isDeepStrictEqual(before, move)) throw new Refused('conflict', ANOTHER);
    byId.set(move.id, move);
  }
  return [...byId.values()];
}

/**
 * Records moves in order, if each may follow on what happened before: all or none. What was sent before is stored once
 * and answered as it was stored then.
 *
 * @param subjectId null where the moves themselves tell what they happen to
 * @returns the events in the order sent, each once
 */
export async function recordMoves<Subject, Move extends Stamped, Frozen, State>(
  database: Database,
  kept: KeptStream<Subject, Move, Frozen, State>,
  subjectId: string | null,
  moves: readonly Move[],
  sender: Sender
): Promise<Outcome<Stored<Move, Frozen>[]>> {
  const act = () => record(database, kept, subjectId, moves, sender);
  try {
    return done(await (kept.order === 'locked' ? inTransaction(database, act) : act()));
  } catch (error) {
    if (error instanceof Refused) return error.outcome;
    if (isCoded(error, SIGNED))
      return refused('not-possible', 'this release was signed meanwhile: nothing is added to it');
    if (isCoded(error, SUPERSEDED))
      return refused(
        'not-possible',
        `${(error as Error).message}: reload the page and record it there`
      );
    const missing = missingReference(error);
    if (missing !== null)
      return missing.includes('person')
        ? refused('not-found', CONNECTION.signInFirst)
        : refused('not-found', kept.missing);
    throw error;
  }
}

async function record<Subject, Move extends Stamped, Frozen, State>(
  database: Database,
  kept: KeptStream<Subject, Move, Frozen, State>,
  subjectId: string | null,
  moves: readonly Move[],
  sender: Sender
): Promise<Stored<Move, Frozen>[]> {
  const { stream, table } = kept;
  const sent = withoutRepeats(moves);
  const refuse = (index: number, reason: Reason, why: Why) =>
    new Refused(
      reason,
      sent.length === 1
        ? why
        : (length) =>
            `entry ${index + 1}: ${typeof why === 'string' ? why : why(length)}; none was stored`
    );
  // what its moves name for themselves is not told by an address beside them
  if (subjectId !== null && kept.subjectsOf)
    throw new Refused(
      'not-possible',
      'These entries name their own subject: send them to the address without one'
    );
  const places =
    subjectId === null ? await kept.subjectsOf?.(database, sent) : sent.map(() => subjectId);
  // In one order for everyone, so that two acts never wait for each other.
  const opened = new Map<string, Opened<Subject, State> | null>();
  for (const id of [...new Set(places ?? [])].sort())
    if (id !== null) opened.set(id, await kept.open(database, id));
  // Asked once everything is held: what another hand has just stored is seen.
  const before = await storedBefore(database, kept, sent, places, opened, sender);

  const names = await namesOf(database, sent, sender);
  const rows = sent.map((move, index): ToPut<Move, Frozen> => {
    const place = places?.[index] ?? null;
    const at = place === null ? null : opened.get(place);
    if (place === null || !at) throw refuse(index, 'not-found', kept.missing);
    if (kept.ownHand && move.person !== sender.id)
      throw refuse(
        index,
        'not-possible',
        `You can only sign for yourself. ${CONNECTION.signInFirst}.`
      );
    if (before.has(move.id)) return { move, subjectId: place, frozen: null };
    const may = stream.follow(at.subject, at.state, asSentBy(move, sender));
    if (!may.ok) throw refuse(index, 'not-possible', because(may.error));
    if (kept.order === 'locked')
      at.state = stream.project(
        at.subject,
        [{ ...move, by: names.get(move.person ?? sender.id) ?? '', frozen: may.result }],
        at.state
      );
    return { move, subjectId: place, frozen: may.result };
  });
  const fresh = sent.flatMap(({ id, at }, index) =>
    before.has(id)
      ? []
      : [
          {
            atMs: Date.parse(at),
            sinceMs: opened.get(places?.[index] ?? '')?.sinceMs ?? -Infinity
          }
        ]
  );
  if (fresh.length > 0)
    refuseWrongClocks(await clockOf(database, stream.name, table.name, opened), fresh);

  const sql = putSql(table);
  let results = await put(database, sql, rows, sender);
  // Neither there before nor added: another hand sent the same at this very moment. It is there by now.
  if (results.some(({ added, same }) => !added && same === null))
    results = await put(database, sql, rows, sender);
  if (results.some(({ same }) => same === false)) throw new Refused('conflict', ANOTHER);
  if (kept.keep && results.some(({ added }) => added))
    for (const [id, at] of opened) if (at) await kept.keep(database, id, at.state);
  return rows.map(({ move, subjectId: subject, frozen }, index) => {
    const result = results[index];
    return {
      ...move,
      subject,
      by: result?.by ?? sender.name,
      frozen: (result?.added ? frozen : result?.frozen) as Frozen
    };
  });
}

/** The database's own words that a release is signed (migration 0011), or has a newer one (0016). */
const SIGNED = 'ZS001';
const SUPERSEDED = 'ZS002';
const isCoded = (error: unknown, code: string): boolean =>
  error instanceof Error && 'code' in error && error.code === code;

/** Who did what is sent, by their ids. */
async function namesOf(
  { models }: Database,
  moves: readonly Stamped[],
  sender: Sender
): Promise<Map<string, string>> {
  const names = new Map([[sender.id, sender.name]]);
  const others = new Set(moves.flatMap(({ person }) => person ?? []));
  others.delete(sender.id);
  if (others.size === 0) return names;
  const rows = await models.Person.findAll({ where: { id: [...others] }, raw: true });
  for (const { id, name } of rows) names.set(id, name);
  return names;
}

/** What is dated later than this waits: one of the clocks is wrong, whoever says that theirs is right. */
export const MOST_AHEAD_MS = 5 * 60_000;

const AHEAD = 'A lead can correct the log under Users and shared devices';

/** How the clocks of a log stand for several subjects at once: the entry that counts last is the last of any. */
async function clockOf<Subject, State>(
  database: Database,
  log: string,
  table: string,
  opened: ReadonlyMap<string, Opened<Subject, State> | null>
): Promise<LogClock> {
  const [only] = opened.values();
  if (opened.size === 1 && only?.clock) return only.clock;
  const [row] = await rowsOf<{ now: Date; last: Date | null }>(
    database,
    `select now() as now, (select max(e.at) from unnest($1::uuid[]) s (id) cross join lateral
       (select case when exists (select from logs_set_right) then counted_at('${log}', subject_id, seq, at) else at end as at
        from ${table} where subject_id = s.id order by seq desc limit 1) e) as last`,
    [[...opened.keys()]]
  );
  return { nowMs: row?.now.getTime() ?? 0, lastMs: row?.last?.getTime() ?? -Infinity };
}

/**
 * What was done last must count last, and instants say which that is: nothing is dated ahead or before what it happened to
 * was there, and where the last entry is dated in what is still to come, nothing new is dated before it.
 *
 * @param fresh what is new, and since when its subject has been there
 * @throws Refused for good, or until the clocks are right
 */
function refuseWrongClocks(
  { nowMs: databaseMs, lastMs }: LogClock,
  fresh: readonly { atMs: number; sinceMs: number }[]
): void {
  // of two clocks of the house the one that is ahead: none of them alone keeps anybody waiting
  const nowMs = Math.max(databaseMs, Date.now());
  for (const { atMs, sinceMs } of fresh)
    if (sinceMs - atMs > CLOCK_SLACK_MS)
      throw new Refused(
        'not-possible',
        `Dated ${inWords(sinceMs - atMs)} before its subject existed: the device clock is behind. Set the clock and record it again`
      );
  const aheadMs = Math.max(...fresh.map(({ atMs }) => atMs)) - nowMs;
  if (aheadMs > MOST_AHEAD_MS)
    throw new Refused(
      'clock',
      `Dated ${inWords(aheadMs)} in the future: the device clock is ahead or the server clock is behind. Kept in this browser. Set both clocks`
    );
  if (lastMs - nowMs > CLOCK_SLACK_MS && fresh.some(({ atMs }) => atMs < lastMs))
    throw new Refused(
      'clock',
      `The last entry of this log is dated ${inWords(lastMs - nowMs)} in the future: a clock was wrong. New entries would count as older, so they are kept in this browser. Set the clocks of this device and the server. ${AHEAD}`
    );
}

/**
 * Which moves are repeats. Where nothing is held that is asked of the database only once a move would be refused: what is in
 * the record stays there, whatever has happened since.
 */
async function storedBefore<Subject, Move extends Stamped, Frozen, State>(
  database: Database,
  { stream, table, order }: KeptStream<Subject, Move, Frozen, State>,
  sent: readonly Move[],
  places: readonly (string | null)[] | undefined,
  opened: ReadonlyMap<string, Opened<Subject, State> | null>,
  sender: Sender
): Promise<ReadonlySet<string>> {
  const wouldBeRefused = (move: Move, index: number): boolean => {
    const at = opened.get(places?.[index] ?? '');
    return !!at && !stream.follow(at.subject, at.state, asSentBy(move, sender)).ok;
  };
  return order === 'locked' || sent.some(wouldBeRefused)
    ? knownIds(database, table.name, sent)
    : NONE;
}

/** Whoever sends did it, where the move names nobody. */
const asSentBy = <Move extends Stamped>(move: Move, sender: Sender): Move => ({
  ...move,
  person: move.person ?? sender.id
});

async function knownIds(
  database: Database,
  table: string,
  moves: readonly Stamped[]
): Promise<Set<string>> {
  const rows = await rowsOf<{ id: string }>(
    database,
    `select id from ${table} where id = any($1::uuid[])`,
    [moves.map(({ id }) => id)]
  );
  return new Set(rows.map(({ id }) => id));
}
