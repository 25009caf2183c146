import { AsyncLocalStorage, AsyncResource } from 'node:async_hooks';
import { createHash } from 'node:crypto';
import { Sequelize, Transaction } from 'sequelize';
import type { Database } from './connect.ts';

type Context = Map<string, unknown>;
const contexts = new AsyncLocalStorage<Context>();
const TRANSACTION = 'transaction';

/** The library's own hook for "the transaction we are in", on Node's own context instead of a package of its day. */
Sequelize.useCLS({
  run: (inside: (context: Context) => unknown) => {
    const context: Context = new Map();
    return contexts.run(context, () => inside(context));
  },
  get: (key: string) => contexts.getStore()?.get(key),
  set: (key: string, value: unknown) => contexts.getStore()?.set(key, value),
  bind: <F extends (...args: unknown[]) => unknown>(inside: F) => AsyncResource.bind(inside)
});

/**
 * One person's act: everything that is asked or written in `act` goes over one connection, all of it or nothing. No query
 * inside can leave it: one that waited for a second connection would wait for ever once every connection does so.
 * Inside another act it is part of that one.
 */
export async function inWork<T>({ sequelize }: Database, act: () => Promise<T>): Promise<T> {
  if (contexts.getStore()?.get(TRANSACTION)) return act();
  for (let tries = 1; ; tries++)
    try {
      return await sequelize.transaction(() => act());
    } catch (error) {
      if (tries === MOST_TRIES || !isCrossed(error)) throw error;
    }
}

/**
 * Everything that is read in `look` is of one instant: what is added meanwhile is in none of it. Inside an act it is part of that.
 */
export const inOneView = <T>({ sequelize }: Database, look: () => Promise<T>): Promise<T> =>
  contexts.getStore()?.get(TRANSACTION)
    ? look()
    : sequelize.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ }, () =>
        look()
      );

/** Acts that crossed another’s are taken back whole by the database; another try finds the way free. */
const MOST_TRIES = 4;
const CROSSED = new Set(['40P01', '40001']);
const isCrossed = (error: unknown): boolean =>
  error instanceof Error &&
  (('code' in error && CROSSED.has(String(error.code))) ||
    ('parent' in error && isCrossed(error.parent)));

/** What the library has and its types leave out or veil. */
interface Veiled {
  log(sql: string): void;
  connectionManager: Connections;
}
interface Connections {
  getConnection(): Promise<DriverConnection>;
  releaseConnection(connection: DriverConnection): void;
}

/** A connection as the driver has it: the library hands it out, and speaks to it in its own words only. */
interface DriverConnection {
  query(statement: {
    name?: string;
    text: string;
    values: unknown[];
  }): Promise<{ rows: unknown[] }>;
}

/** The driver's name for a statement is at most so long. */
const NAME_LENGTH = 32;
const names = new Map<string, string>();
function nameOf(sql: string): string {
  let name = names.get(sql);
  if (name === undefined) {
    name = createHash('sha256').update(sql).digest('hex').slice(0, NAME_LENGTH);
    names.set(sql, name);
  }
  return name;
}

/**
 * Rows of a statement that is put together for its parameters, as a search is: planned for them each time.
 *
 * @throws the driver's error, with PostgreSQL's `code` and `constraint`
 */
export const rowsSought = <R extends object>(
  database: Database,
  sql: string,
  values: unknown[]
): Promise<R[]> => ask(database, { text: sql, values });

/**
 * Rows of a statement of our own, parameters bound as `$1`, `$2`, …; inside an act it belongs to the act. The statement's
 * text is the same each time it is asked: the database plans it once a connection, which is most of its cost.
 *
 * @throws the driver's error, with PostgreSQL's `code` and `constraint`
 */
export const rowsOf = <R extends object>(
  database: Database,
  sql: string,
  values: unknown[] = []
): Promise<R[]> => ask(database, { name: nameOf(sql), text: sql, values });

let answeredAt = -Infinity;
/** Whether the database has answered anything of late. */
export const answeredWithin = (ms: number): boolean => performance.now() - answeredAt <= ms;

async function ask<R extends object>(
  { sequelize }: Database,
  statement: { name?: string; text: string; values: unknown[] }
): Promise<R[]> {
  const veiled = sequelize as unknown as Veiled;
  veiled.log(statement.text);
  const act = contexts.getStore()?.get(TRANSACTION) as { connection: DriverConnection } | undefined;
  if (act) return (await act.connection.query(statement)).rows as R[];
  const { connectionManager } = veiled;
  const connection = await connectionManager.getConnection();
  try {
    const { rows } = await connection.query(statement);
    answeredAt = performance.now();
    return rows as R[];
  } finally {
    connectionManager.releaseConnection(connection);
  }
}

const FOREIGN_KEY = '23503';
/** The foreign key that an error is about, or null where it is about something else. */
export const missingReference = (error: unknown): string | null =>
  error instanceof Error && 'code' in error && error.code === FOREIGN_KEY && 'constraint' in error
    ? String(error.constraint)
    : null;
