import { describe, expect, it } from 'vitest';
import { rowsOf, rowsSought } from '../../src/lib/server/db/work.ts';
import { auditReport, isInChain, linkRows } from '../../src/lib/server/audit/chain.ts';
import { useDatabase } from './database.ts';

const database = useDatabase('template_demo');
/** As somebody does who has the database to themselves. */
const behind = (sql: string) =>
  rowsSought(
    database(),
    `set session_replication_role = replica; ${sql}; set session_replication_role = origin`,
    []
  );
const found = async () => (await auditReport(database())).findings;

describe('the audit chain', () => {
  it('has noted every row of every table that is only added to', async () => {
    const { rows, findings, waiting } = await auditReport(database());
    expect(findings).toEqual([]);
    let there = 0;
    for (const name of [
      'hole_events',
      'drive_events',
      'rework_events',
      'sign_events',
      'people_log'
    ])
      there += Number(
        (await rowsOf<{ n: string }>(database(), `select count(*) as n from ${name}`))[0]?.n
      );
    expect(there).toBeGreaterThan(100);
    const noted = await rowsOf<{ n: number }>(
      database(),
      `select count(*)::integer as n from audit_rows
       where source in ('hole_events', 'drive_events', 'rework_events', 'sign_events', 'people_log')`
    );
    expect(noted[0]?.n).toBe(there);
    expect(waiting).toBe(rows);
    const missing = await rowsOf(
      database(),
      `select c.relname from pg_class c where exists (select from pg_trigger t join pg_proc p on p.oid = t.tgfoid
         where t.tgrelid = c.oid and p.proname = 'refuse_change')
       and not exists (select from pg_trigger t where t.tgrelid = c.oid and t.tgname = 'zz_noted')`
    );
    expect(missing).toEqual([]);
  });

  it('ties what was noted into links, several hands at once', async () => {
    const before = (await auditReport(database())).waiting;
    const linked = await Promise.all([
      linkRows(database()),
      linkRows(database()),
      linkRows(database())
    ]);
    expect(linked.reduce((sum, one) => sum + one)).toBe(before);
    const { waiting, links, head, findings } = await auditReport(database());
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
    await behind(`delete from people_log where seq = 900000`);
  });

  it('finds a note that was made to fit, by the chain', async () => {
    await behind(
      `delete from audit_rows where source = 'drive_events' and key = (select max(key::bigint)::text from audit_rows where source = 'drive_events')`
    );
    const findings = await found();
    expect(findings.filter(({ table }) => table === 'drive_events')).toEqual([]);
    expect(findings.map(({ what }) => what)).toEqual(['link']);
  });
});
