import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { AUDITED } from './audited.ts';
import { guardsChanged, guardsOf, inPlainSight, type Guards } from './guards.ts';
import { MOST_NAMED, rowsNotAsNoted, sha256, type RowFinding } from './rows-as-noted.ts';

/** What is wrong with what was noted. */
export interface AuditFinding {
  what: RowFinding['what'] | 'link' | 'table' | 'source' | 'guard';
  table: string;
  /** the row’s primary key, the link’s number, or the guard’s name */
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

interface Link {
  number: string;
  before: string;
  hash: string;
  rows: number;
}
interface Note {
  id: string;
  link: string;
  words: string;
}

const PAGE = 20_000;

/** Notes that are tied in, link by link, as they were tied in. */
async function* tiedIn(database: Database): AsyncGenerator<Note> {
  for (let from: Pick<Note, 'link' | 'id'> = { link: '0', id: '0' }; ;) {
    const page = await rowsOf<Note>(
      database,
      `select id::text, link::text, source || ' ' || key || ' ' || digest as words from public.audit_rows
       where (link, id) > ($1::bigint, $2::bigint) order by public.audit_rows.link, public.audit_rows.id limit ${PAGE}`,
      [from.link, from.id]
    );
    yield* page;
    const last = page.at(-1);
    if (!last || page.length < PAGE) return;
    from = last;
  }
}

/** Links that do not rest on the one before, or do not hold what was noted. */
async function brokenLinks(database: Database, links: readonly Link[]): Promise<string[]> {
  const words = new Map<string, string[]>();
  const broken = new Set<string>();
  const known = new Set(links.map(({ number }) => number));
  let at = 0;
  let before = '';
  const close = (upTo: string | null) => {
    for (let link = links[at]; link && link.number !== upTo; link = links[(at += 1)]) {
      const held = words.get(link.number) ?? [];
      words.delete(link.number);
      const wanted = sha256(link.before + held.join('\n'));
      if (
        link.before !== before ||
        link.hash !== wanted ||
        link.rows !== held.length ||
        link.number !== String(at + 1)
      )
        broken.add(link.number);
      before = link.hash;
    }
  };
  for await (const note of tiedIn(database)) {
    if (!known.has(note.link)) broken.add(note.link);
    if (!words.has(note.link)) close(note.link);
    const held = words.get(note.link);
    if (held) held.push(note.words);
    else words.set(note.link, [note.words]);
  }
  close(null);
  return [...broken];
}

/** Tables that are no plain table any more: what they show is not what is in them. */
async function notPlain(database: Database): Promise<Set<string>> {
  const rows = await rowsOf<{ name: string }>(
    database,
    `select relname::text as name from pg_class
     where relnamespace = 'public'::regnamespace and relkind = 'r' and not relrowsecurity and not relhasrules`,
    []
  );
  const plain = new Set(rows.map(({ name }) => name));
  return new Set(
    [...AUDITED.map(({ name }) => name), 'audit_rows', 'audit_links'].filter(
      (name) => !plain.has(name)
    )
  );
}

/**
 * Holds every row that is only added against what was noted of it, the chain against itself, and what guards them against what
 * the program itself put there. Nothing that stands in the database is asked whether it is right.
 *
 * @param own the guards of a database that this program has just made
 */
export async function auditReport(database: Database, own: Guards): Promise<AuditReport> {
  const there = await guardsOf(database);
  const findings: AuditFinding[] = guardsChanged(own, there).map((key) => ({
    what: 'guard',
    table: '',
    key
  }));
  return inPlainSight(database, async () => {
    const veiled = await notPlain(database);
    for (const table of veiled) findings.push({ what: 'table', table, key: '' });
    const none = { rows: 0, links: 0, waiting: 0, head: '', findings };
    if (veiled.has('audit_rows') || veiled.has('audit_links')) return none;
    for (const table of AUDITED)
      if (!veiled.has(table.name))
        for (const found of await rowsNotAsNoted(database, table))
          findings.push({ ...found, table: table.name });
    const sources = await rowsOf<{ source: string }>(
      database,
      'select distinct source from public.audit_rows order by 1',
      []
    );
    for (const { source } of sources)
      if (!AUDITED.some(({ name }) => name === source))
        findings.push({ what: 'source', table: source, key: '' });
    const links = await rowsOf<Link>(
      database,
      'select number::text, before, hash, rows from public.audit_links order by public.audit_links.number',
      []
    );
    for (const key of (await brokenLinks(database, links)).slice(0, MOST_NAMED))
      findings.push({ what: 'link', table: 'audit_links', key });
    const [sums] = await rowsOf<{ rows: number; waiting: number }>(
      database,
      `select count(*)::integer as rows, count(*) filter (where link is null)::integer as waiting from public.audit_rows`,
      []
    );
    return {
      ...none,
      ...sums,
      links: links.length,
      head: links.at(-1)?.hash ?? '',
      findings
    };
  });
}

/** Whether a hash that somebody kept is one of the chain's. */
export const isInChain = async (database: Database, hash: string): Promise<boolean> =>
  (await rowsOf(database, 'select 1 from public.audit_links where hash = $1', [hash])).length > 0;
