import { AsyncLocalStorage, AsyncResource } from 'node:async_hooks';
import { QueryTypes, Sequelize, type BindOrReplacements } from 'sequelize';
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
export function inWork<T>({ sequelize }: Database, act: () => Promise<T>): Promise<T> {
  return contexts.getStore()?.get(TRANSACTION) ? act() : sequelize.transaction(() => act());
}

/** Rows of a statement of our own, parameters bound as `$1`, `$2`, …; inside an act it belongs to the act. */
export const rowsOf = <R extends object>(
  { sequelize }: Database,
  sql: string,
  bind: BindOrReplacements = []
): Promise<R[]> => sequelize.query<R>(sql, { bind, type: QueryTypes.SELECT });
