import type { Database } from '../db/connect.ts';
import { rowsOf, rowsSought } from '../db/work.ts';
import { log } from '../log.ts';

const MOST_IN_A_LINK = 5000;
/** What was noted is tied in soon after, not in the act: acts would wait for each other. */
const LINK_AFTER_MS = 3000;

/** Ties in whatever was noted. @returns how many rows */
export async function linkRows(database: Database): Promise<number> {
  for (let sum = 0; ;) {
    const [row] = await rowsOf<{ linked: number }>(database, 'select link_rows($1) as linked', [
      MOST_IN_A_LINK
    ]);
    sum += row?.linked ?? 0;
    if ((row?.linked ?? 0) < MOST_IN_A_LINK) return sum;
  }
}

let timer: NodeJS.Timeout | null = null;

/** Ties in what an act noted, once it is quiet for a moment. */
export function linkSoon(database: Database): void {
  timer ??= setTimeout(() => {
    timer = null;
    linkRows(database).catch((err: unknown) =>
      log.error({ err }, 'the audit chain was not continued')
    );
  }, LINK_AFTER_MS).unref();
}

/** What is wrong with a row that is only added. */
export interface AuditFinding {
  what: 'changed' | 'removed' | 'inserted' | 'link';
  table: string;
  /** the row's primary key, or the link's number */
  key: string;
}

export interface AuditReport {
  /** rows that were noted, links they are tied into, and rows that are noted and wait for theirs */
  rows: number;
  links: number;
  waiting: number;
  /** the last link's hash: whoever keeps it elsewhere finds a chain that was made anew */
  head: string;
  /** at most so many of each table */
  findings: AuditFinding[];
}

const MOST_NAMED = 100;

/** Links that do not rest on the one before, or do not hold what was noted. */
const BROKEN_LINKS = `
select number::text as key from (
  select l.number, l.before, l.hash, l.rows, row_number() over (order by l.number) as place,
    lag(l.hash, 1, '') over (order by l.number) as last,
    r.rows as noted, encode(sha256(convert_to(l.before || coalesce(r.words, ''), 'UTF8')), 'hex') as wanted
  from audit_links l left join lateral (
    select count(*) as rows, string_agg(source || ' ' || key || ' ' || digest, E'\\n' order by id) as words
    from audit_rows where link = l.number) r on true
) chain
where before <> last or hash <> wanted or rows <> noted or number <> place order by number`;

/** Holds every row that is only added against what was noted of it, and the chain against itself. */
export async function auditReport(database: Database): Promise<AuditReport> {
  await rowsSought(database, `set time zone 'UTC'`, []);
  const tables = await rowsOf<{ name: string; names: string[] }>(
    database,
    `select c.relname::text as name, audit_names(c.oid::regclass) as names from pg_class c where exists (
       select from pg_trigger t join pg_proc p on p.oid = t.tgfoid
       where t.tgrelid = c.oid and p.proname in ('refuse_change', 'note_rows')) order by c.relname`
  );
  const findings: AuditFinding[] = [];
  for (const { name, names } of tables) {
    const rows = await rowsSought<AuditFinding>(
      database,
      `with rows as (
         select audit_key(to_jsonb(t), $2::text[]) as key, audit_digest(to_jsonb(t)) as digest from ${name} t
       ), noted as (select key, digest from audit_rows where source = $1)
       select case when n.key is null then 'inserted' when r.key is null then 'removed' else 'changed' end as what,
         $1 as table, coalesce(r.key, n.key) as key
       from rows r full join noted n on n.key = r.key
       where n.key is null or r.key is null or n.digest <> r.digest order by 3 limit ${MOST_NAMED}`,
      [name, names]
    );
    findings.push(...rows);
  }
  const broken = await rowsSought<{ key: string }>(database, BROKEN_LINKS, []);
  findings.push(
    ...broken
      .slice(0, MOST_NAMED)
      .map(({ key }) => ({ what: 'link' as const, table: 'audit_links', key }))
  );
  const [sums] = await rowsOf<Omit<AuditReport, 'findings'>>(
    database,
    `select (select count(*)::integer from audit_rows) as rows, (select count(*)::integer from audit_links) as links,
       (select count(*)::integer from audit_rows where link is null) as waiting,
       coalesce((select hash from audit_links order by number desc limit 1), '') as head`
  );
  return { rows: 0, links: 0, waiting: 0, head: '', ...sums, findings };
}

/** Whether a hash that somebody kept is one of the chain's. */
export const isInChain = async (database: Database, hash: string): Promise<boolean> =>
  (await rowsOf(database, 'select 1 from audit_links where hash = $1', [hash])).length > 0;
