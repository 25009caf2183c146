import { afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { ownGuards } from '../../scripts/own-guards.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { AUDITED } from '../../src/lib/server/audit/audited.ts';
import { linkRows } from '../../src/lib/server/audit/chain.ts';
import type { Guards } from '../../src/lib/server/audit/guards.ts';
import { auditReport, isInChain } from '../../src/lib/server/audit/report.ts';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';
import { clusterUrl, makeDatabase } from './database.ts';

let opened: Database;
let drop: () => Promise<void>;
const database = () => opened;
/** What one test does to its database is no other's. */
beforeEach(async () => {
  const made = await makeDatabase('template_demo');
  ({ drop } = made);
  opened = openDatabase(made.url, true);
});
afterEach(async () => {
  await opened.sequelize.close();
  await drop();
});
/** As somebody does who has the database to themselves. */
const behind = (sql: string) =>
  rowsOf(
    database(),
    `set session_replication_role = replica; ${sql}; set session_replication_role = origin`,
    []
  );
let own: Guards;
beforeAll(async () => {
  own = await ownGuards(`${clusterUrl()}/postgres`);
});
const report = () => auditReport(database(), own);
const found = async () => (await report()).findings;

describe('the audit chain', () => {
  it('has noted every row of every table that is only added to', async () => {
    const { rows, findings, waiting } = await report();
    expect(findings).toEqual([]);
    let there = 0;
    for (const { name } of AUDITED)
      there += Number(
        (await rowsOf<{ n: string }>(database(), `select count(*) as n from ${name}`))[0]?.n
      );
    expect(there).toBeGreaterThan(100);
    // saved again, a graded plate is noted again
    const again = await rowsOf<{ n: number }>(
      database(),
      'select coalesce(sum(revision - 1), 0)::integer as n from graded_coupons'
    );
    expect(rows).toBe(there + Number(again[0]?.n));
    expect(waiting).toBe(rows);
    const guarded = await rowsOf<{ name: string }>(
      database(),
      `select c.relname::text as name from pg_class c where exists (select from pg_trigger t join pg_proc p on p.oid = t.tgfoid
         where t.tgrelid = c.oid and (p.proname = 'refuse_change' or t.tgname = 'zz_noted')) order by 1`
    );
    expect(guarded.map(({ name }) => name)).toEqual(AUDITED.map(({ name }) => name).sort());
  });

  it('ties what was noted into links, several hands at once', async () => {
    const before = (await report()).waiting;
    const linked = await Promise.all([
      linkRows(database()),
      linkRows(database()),
      linkRows(database())
    ]);
    expect(linked.reduce((sum, one) => sum + one)).toBe(before);
    const { waiting, links, head, findings } = await report();
    expect([waiting, findings]).toEqual([0, []]);
    expect(links).toBeGreaterThanOrEqual(1);
    expect(await isInChain(database(), head)).toBe(true);
    expect(await isInChain(database(), head.replace(/^./, 'z'))).toBe(false);
  });

  it('names a row that was changed, put back it is silent', async () => {
    const [one] = await rowsOf<{ seq: string; kind: string }>(
      database(),
      `select seq, kind from hole_events order by seq limit 1`
    );
    const payload = `update hole_events set payload = jsonb_set(payload, '{diameterIn}', '%s') where seq = ${one?.seq}`;
    const [was] = await rowsOf<{ d: string }>(
      database(),
      `select payload->>'diameterIn' as d from hole_events where seq = $1`,
      [one?.seq]
    );
    await behind(payload.replace('%s', '0.1234'));
    expect(await found()).toEqual([
      { what: 'changed', table: 'hole_events', key: String(one?.seq) }
    ]);
    await behind(payload.replace('%s', String(was?.d)));
    expect(await found()).toEqual([]);
  });

  it('names a row that was removed, and one that was put in', async () => {
    const [last] = await rowsOf<{ seq: string }>(
      database(),
      `select seq from drive_events order by seq desc limit 1`
    );
    await behind(
      `create temporary table aside as select * from drive_events where seq = ${last?.seq}; delete from drive_events where seq = ${last?.seq}`
    );
    expect(await found()).toEqual([
      { what: 'removed', table: 'drive_events', key: String(last?.seq) }
    ]);
    await behind(
      `insert into people_log (seq, what, detail) values (900000, 'role', '{"to": "lead"}')`
    );
    expect(await found()).toContainEqual({ what: 'inserted', table: 'people_log', key: '900000' });
  });

  it('looks at a table whose triggers were dropped, and says that they are gone', async () => {
    const [one] = await rowsOf<{ seq: string }>(
      database(),
      `select seq::text from hole_events order by seq limit 1`
    );
    const changed = (payload: string) =>
      behind(`update hole_events set payload = ${payload} where seq = ${one?.seq}`);
    await behind(
      'drop trigger zz_noted on hole_events; drop trigger hole_events_append_only on hole_events'
    );
    await changed(`jsonb_set(payload, '{diameterIn}', '0.1234')`);
    expect(await found()).toEqual([
      { what: 'guard', table: '', key: 'trigger hole_events_append_only of hole_events' },
      { what: 'guard', table: '', key: 'trigger zz_noted of hole_events' },
      { what: 'changed', table: 'hole_events', key: one?.seq }
    ]);
  });

  it('reckons digests itself: a function that was replaced is named, and helps nobody', async () => {
    const [one] = await rowsOf<{ seq: string; digest: string }>(
      database(),
      `select d.seq::text, n.digest from drive_events d join audit_rows n on n.source = 'drive_events' and n.key = d.seq::text
       order by seq limit 1`
    );
    await behind(`create or replace function row_digest(what jsonb) returns text immutable language sql as $$ select '${one?.digest}' $$;
      create function to_jsonb(of drive_events) returns jsonb language sql as $$ select '{}'::jsonb $$;
      update drive_events set payload = jsonb_set(payload, '{hole}', '2') where seq = ${one?.seq}`);
    expect(await found()).toEqual([
      { what: 'guard', table: '', key: 'function public.row_digest(jsonb)' },
      { what: 'guard', table: '', key: 'function public.to_jsonb(public.drive_events)' },
      { what: 'changed', table: 'drive_events', key: one?.seq }
    ]);
  });

  it('sees a null put inside what a row holds, and none in a column that came later', async () => {
    const [one] = await rowsOf<{ seq: string; payload: string }>(
      database(),
      `select seq::text, payload::text from drive_events order by seq limit 1`
    );
    await behind(
      `update drive_events set payload = payload || '{"late": null}' where seq = ${one?.seq}`
    );
    expect(await found()).toEqual([{ what: 'changed', table: 'drive_events', key: one?.seq }]);
    await behind(
      `update drive_events set payload = '${one?.payload}'::jsonb where seq = ${one?.seq}`
    );
    await behind('alter table cold_events add column later text');
    expect(await found()).toEqual([]);
    await behind('alter table cold_events drop column later');
  });

  it('names a person who was renamed, and no one who was given a password', async () => {
    const [one] = await rowsOf<{ id: string; name: string }>(
      database(),
      'select id, name from people order by name limit 1'
    );
    await behind(`update people set name = 'Nobody Known' where id = '${one?.id}'`);
    expect(await found()).toEqual([{ what: 'changed', table: 'people', key: one?.id }]);
    await behind(`update people set name = '${one?.name}', role = 'lead' where id = '${one?.id}'`);
    expect(await found()).toEqual([]);
  });

  it('notes a graded plate each time it is saved, and sees one put back to an earlier save', async () => {
    const id = '7d1f6e0e-93ad-4d5a-9c3c-0000000000aa';
    const [lead] = await rowsOf<{ id: string }>(database(), 'select id from people limit 1');
    const save = (what: string) =>
      rowsOf(
        database(),
        `insert into graded_coupons (id, document, saved_by) values ($1, $2::jsonb, $3)
         on conflict (id) do update set document = $2::jsonb, revision = graded_coupons.revision + 1`,
        [id, what, lead?.id]
      );
    await save('{"grade": 1}');
    await save('{"grade": 2}');
    expect(await found()).toEqual([]);
    const [first] = await rowsOf<{ saved: string }>(
      database(),
      'select saved_at::text as saved from graded_coupons where id = $1',
      [id]
    );
    expect(first?.saved).toBeTruthy();
    await behind(
      `update graded_coupons set document = '{"grade": 1}', revision = 1 where id = '${id}'`
    );
    expect(await found()).toEqual([{ what: 'changed', table: 'graded_coupons', key: `${id} 1` }]);
    await behind(`delete from graded_coupons where id = '${id}'`);
    expect(await found()).toEqual([{ what: 'removed', table: 'graded_coupons', key: id }]);
    await behind(`insert into graded_coupons (id, document, saved_by, revision, saved_at)
      values ('${id}', '{"grade": 2}', '${lead?.id}', 2, '${first?.saved}')`);
    expect(await found()).toEqual([]);
  });

  it('takes no other thing for a table, and says what was noted and is unknown', async () => {
    await behind(
      `alter table cages rename to cages_aside; create view cages as select * from cages_aside`
    );
    expect(await found()).toContainEqual({ what: 'table', table: 'cages', key: '' });
    await behind('drop view cages; alter table cages_aside rename to cages');
    await behind(`insert into audit_rows (source, key, digest) values ('elsewhere', '1', 'x')`);
    expect(await found()).toEqual([{ what: 'source', table: 'elsewhere', key: '' }]);
    await behind(`delete from audit_rows where source = 'elsewhere'`);
    expect(await found()).toEqual([]);
  });

  it('finds a note that was made to fit, by the chain', async () => {
    await linkRows(database());
    await behind(
      `delete from drive_events where seq = (select max(seq) from drive_events);
       delete from audit_rows where source = 'drive_events' and key = (select max(key::bigint)::text from audit_rows where source = 'drive_events')`
    );
    const findings = await found();
    expect(findings.filter(({ table }) => table === 'drive_events')).toEqual([]);
    expect(findings.map(({ what }) => what)).toEqual(['link']);
  });

  it('tells by the kept hash that a row, its note and the chain were made anew without it', async () => {
    await linkRows(database());
    const kept = (await report()).head;
    expect(await isInChain(database(), kept)).toBe(true);
    await behind(
      `delete from hole_events where seq = (select max(seq) from hole_events);
       delete from audit_rows where source = 'hole_events' and key = (select max(key::bigint)::text from audit_rows where source = 'hole_events')`
    );
    await behind(
      'update audit_rows set link = null; delete from audit_links; select link_rows(100000)'
    );
    // nothing in the database tells it
    expect((await found()).filter(({ table }) => table === 'hole_events')).toEqual([]);
    expect((await found()).filter(({ what }) => what === 'link')).toEqual([]);
    expect(await isInChain(database(), kept)).toBe(false);
  });
});
