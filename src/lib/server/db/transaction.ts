import { AsyncLocalStorage, AsyncResource } from 'node:async_hooks';
import {
  DatabaseError,
  QueryTypes,
  Sequelize,
  Transaction,
  UniqueConstraintError
} from 'sequelize';
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
export async function inTransaction<T>({ sequelize }: Database, act: () => Promise<T>): Promise<T> {
  if (actOfNow()) return act();
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
  actOfNow()
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

let answeredAt = -Infinity;
/** Whether the database has answered anything of late. */
export const answeredWithin = (ms: number): boolean => performance.now() - answeredAt <= ms;
/** Noted by whatever has just had an answer. */
export const answered = (): void => void (answeredAt = performance.now());

/** The act that one is in, if any. */
export const actOfNow = (): Transaction | undefined =>
  contexts.getStore()?.get(TRANSACTION) as Transaction | undefined;

/**
 * Rows of a statement of our own, parameters bound as `$1`, `$2`, …; inside an act it belongs to the act.
 *
 * @throws the driver's error, with PostgreSQL's `code` and `constraint`
 */
export async function rowsOf<R extends object>(
  { sequelize }: Database,
  sql: string,
  values: unknown[] = []
): Promise<R[]> {
  try {
    // `$$` is the library's `$` where something is bound
    const bound = values.length > 0 ? { bind: values } : {};
    const [rows] = await sequelize.query(sql, { ...bound, type: QueryTypes.RAW });
    answered();
    return rows as R[];
  } catch (error) {
    throw error instanceof DatabaseError || error instanceof UniqueConstraintError
      ? error.parent
      : error;
  }
}

const FOREIGN_KEY = '23503';
/** The foreign key that an error is about, or null where it is about something else. */
export const missingReference = (error: unknown): string | null =>
  error instanceof Error && 'code' in error && error.code === FOREIGN_KEY && 'constraint' in error
    ? String(error.constraint)
    : null;
