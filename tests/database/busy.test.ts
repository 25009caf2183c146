import { setTimeout as later } from 'node:timers/promises';
import { expect, it } from 'vitest';
import { openPatiently } from '../../scripts/patient.ts';
import { isAway, isBusy } from '../../src/lib/server/db/away.ts';
import { MOST_CONNECTIONS, openDatabase } from '../../src/lib/server/db/connect.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { clusterUrl, useDatabase } from './database.ts';

const database = useDatabase();

/** What comes of one who asks while every connection is taken by others, ms long each. */
async function askedBesides(heldMs: number, answering: boolean): Promise<boolean[]> {
  const [{ name } = { name: '' }] = await rowsOf<{ name: string }>(
    database(),
    'select current_database() as name'
  );
  const pool = openDatabase(`${clusterUrl()}/${name}`);
  try {
    const held = Array.from({ length: MOST_CONNECTIONS }, () =>
      rowsOf(pool, 'select pg_sleep($1)', [heldMs / 1000])
    );
    // whatever was answered before is long ago
    await later(2100);
    if (answering) await rowsOf(database(), 'select 1');
    const asked = rowsOf(pool, 'select 1').then(
      () => [],
      (error: unknown) => [isAway(error), isBusy(error)]
    );
    const came = await asked;
    await Promise.all(held);
    return came;
  } finally {
    await pool.sequelize.close();
  }
}

it('one who only waits for a free connection is told that many ask, not that the database is away', async () => {
  expect(await askedBesides(4500, true)).toEqual([true, true]);
  // nothing was answered to anybody: it hangs
  expect(await askedBesides(4500, false)).toEqual([true, false]);
});

it('a command waits for a database that does not answer yet, says so now and then, and ends in words', async () => {
  const before = process.env['DATABASE_URL'];
  const said: string[] = [];
  const opened = (url: string) => {
    process.env['DATABASE_URL'] = url;
    return openPatiently((line) => said.push(line), 2500, 600);
  };
  try {
    // nobody listens on the first port
    await expect(opened('postgres://zanjador@127.0.0.1:1/shop')).rejects.toThrow(
      /^the database at 127\.0\.0\.1:1 has not answered for [23] s: look whether/
    );
    expect(said[0]).toMatch(/^the database does not answer yet: waiting, [01] s so far$/);
    expect(said.length).toBeGreaterThan(1);
    // a database that is not there is no busy machine: said at once
    const from = performance.now();
    await expect(opened(`${clusterUrl()}/no_such_shop`)).rejects.toThrow(/does not exist/);
    expect(performance.now() - from).toBeLessThan(2000);
  } finally {
    if (before === undefined) delete process.env['DATABASE_URL'];
    else process.env['DATABASE_URL'] = before;
  }
});
