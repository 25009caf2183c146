import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { LiveHub, sayLive } from '../../src/lib/server/live/live-hub.ts';
import { makeDatabase } from './database.ts';

let made: Awaited<ReturnType<typeof makeDatabase>>;
let database: Database;
beforeAll(async () => {
  made = await makeDatabase('template_migrated');
  database = openDatabase(made.url, true);
});
afterAll(async () => {
  await database.sequelize.close();
  await made.drop();
});

it('what is no line of ours on the channel ends nothing and hides nothing', async () => {
  const hub = new LiveHub(() => made.url);
  const subject = randomUUID();
  const heard: string[] = [];
  const leave = hub.listen(
    subject,
    (line) => heard.push(line),
    () => undefined
  );
  const event = randomUUID();
  // it listens once its connection stands
  await expect
    .poll(
      async () => {
        for (const payload of ['{', '', 'null', '{"subject":"constructor"}', '[]'])
          await rowsOf(database, 'select pg_notify($1, $2)', ['live', payload]);
        await sayLive(database, subject, { kind: 'logged', event });
        return heard.length;
      },
      { timeout: 20_000 }
    )
    .toBeGreaterThan(0);
  expect(heard.map((line) => JSON.parse(line) as unknown)[0]).toEqual({ kind: 'logged', event });
  leave();
  hub.closeAll();
});
