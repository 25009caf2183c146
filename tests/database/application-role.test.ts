import { beforeAll, afterAll, expect, it } from 'vitest';
import { asRole } from '../../scripts/fresh-shop.ts';
import { seedDemoData } from '../../scripts/demo-data.ts';
import { letApplicationIn } from '../../src/lib/server/db/application-role.ts';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';
import { migrate } from '../../src/lib/server/db/migrate.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { linkRows } from '../../src/lib/server/audit/chain.ts';
import { guardsOf } from '../../src/lib/server/audit/guards.ts';
import { auditReport } from '../../src/lib/server/audit/report.ts';
import { makeDatabase, rolePassword } from './database.ts';

let owner: Database;
let application: Database;
let drop: () => Promise<void>;

beforeAll(async () => {
  const made = await makeDatabase('template0');
  drop = made.drop;
  owner = openDatabase(made.url);
  await migrate(owner);
  await seedDemoData(owner);
  await letApplicationIn(owner, rolePassword());
  application = openDatabase(asRole(made.url, rolePassword()));
});
afterAll(async () => {
  await application.sequelize.close();
  await owner.sequelize.close();
  await drop();
});

it.each([
  'alter table hole_events disable trigger all',
  'drop trigger hole_events_append_only on hole_events',
  `set session_replication_role = replica`,
  'update hole_events set payload = payload',
  'delete from drive_events',
  'truncate sign_events cascade',
  'update people_log set what = what',
  'update counted_kinds set change = 0',
  'update audit_rows set digest = digest',
  'insert into audit_links (number, rows, before, hash) values (1, 0, $$$$, $$$$)',
  'delete from migrations',
  'create table mine (id integer)',
  `create or replace function refuse_change() returns trigger language plpgsql as $$ begin return old; end $$`,
  'update joint_issues set facts = facts',
  'update rule_profiles set rules = rules'
])('the application cannot: %s', async (sql) => {
  await expect(rowsOf(application, sql, [])).rejects.toThrow(
    /permission denied|must be owner of|rows are never changed or removed/
  );
});

it('the application holds what it has to while it adds', async () => {
  await rowsOf(
    application,
    'begin; lock table rule_profiles in share row exclusive mode; rollback',
    []
  );
  for (const table of [
    'joint_issues',
    'stock_bins',
    'tool_settings',
    'cage_settings',
    'cold_batches'
  ])
    await rowsOf(application, `select 1 from ${table} limit 1 for update`, []);
});

it('the application reads, writes what it may, and continues the chain', async () => {
  const [sums] = await rowsOf<{ heads: number }>(
    application,
    'select count(*)::integer as heads from hole_events'
  );
  expect(sums?.heads).toBeGreaterThan(0);
  expect(await linkRows(application)).toBeGreaterThan(0);
  expect((await auditReport(owner, await guardsOf(owner))).findings).toEqual([]);
});
