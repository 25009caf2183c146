import { setTimeout as later } from 'node:timers/promises';
import { openDatabase, type Database } from '../src/lib/server/db/connect.ts';
import { isAway } from '../src/lib/server/db/away.ts';
import { rowsOf } from '../src/lib/server/db/transaction.ts';
import { databaseUrl } from './database-url.ts';

/** A machine that is busy answers late; a command that somebody waits for waits so long, and says so now and then. */
const WAIT_MS = 60_000;
const SAY_EVERY_MS = 5000;
const AGAIN_MS = 500;

/** PostgreSQL’s own words for a database that is not there, and for a name or password that is not let in. */
const TURNED_AWAY = new Set(['3D000', '28000', '28P01']);
const isTurnedAway = (error: unknown): boolean =>
  error instanceof Error &&
  (('code' in error && TURNED_AWAY.has(String(error.code))) ||
    ('parent' in error && isTurnedAway(error.parent)));

/**
 * Opens the database that the command was given, once it answers.
 *
 * @param waitMs how long it is waited for
 * @throws in words where it does not answer in that time
 */
export async function openPatiently(
  say: (line: string) => void = (line) => process.stderr.write(`  · ${line}\n`),
  waitMs = WAIT_MS,
  sayEveryMs = SAY_EVERY_MS
): Promise<Database> {
  const url = databaseUrl();
  const database = openDatabase(url, true);
  const from = Date.now();
  let said = from;
  for (;;)
    try {
      await rowsOf(database, 'select 1');
      return database;
    } catch (error) {
      const waited = Date.now() - from;
      const isRefused = !isAway(error) || isTurnedAway(error);
      if (isRefused || waited >= waitMs) {
        await database.sequelize.close().catch(() => undefined);
        if (isRefused) throw error;
        throw new Error(
          `the database at ${new URL(url).host} has not answered for ${Math.round(waited / 1000)} s: look whether its server runs, and whether the machine is busy`,
          { cause: error }
        );
      }
      if (Date.now() - said >= sayEveryMs) {
        said = Date.now();
        say(`the database does not answer yet: waiting, ${Math.round(waited / 1000)} s so far`);
      }
      await later(AGAIN_MS);
    }
}

/** Runs a command’s act on its database; what goes wrong is said in one line. */
export async function onDatabase(act: (database: Database) => Promise<void>): Promise<void> {
  let database: Database | null = null;
  try {
    database = await openPatiently();
    await act(database);
  } catch (error) {
    process.stderr.write(`✗ ${error instanceof Error ? error.message : String(error)}\n`);
    process.exitCode = 1;
  } finally {
    await database?.sequelize.close().catch(() => undefined);
  }
}
