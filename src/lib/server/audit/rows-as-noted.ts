import { createHash } from 'node:crypto';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import type { Audited } from './audited.ts';

/** What is wrong with a row of a table. */
export interface RowFinding {
  what: 'changed' | 'removed' | 'inserted';
  key: string;
}

/** Of each table so many are named. */
export const MOST_NAMED = 100;
const PAGE = 5000;
const FIRST_PLACE = '(0,0)';

export const sha256 = (words: string): string => createHash('sha256').update(words).digest('hex');

/** How a note says by which rule it was reckoned; those of the first rule say nothing. */
const BY_THE_ROW = '2:';

interface RowWords {
  place: string;
  key: string;
  /** without its own nulls */
  words: string;
  /** without any null, as it was noted first */
  first: string;
}

/** One value as it stands in a note’s key. */
const inKey = (column: string): string => `to_jsonb(t.${column}) #>> '{}'`;

/** Rows of a table as words, those from one place on; by the database’s own functions alone, never by any that was put there. */
const wordsOf = ({ name, key, columns, again }: Audited): string => `
select t.ctid::text as place, concat_ws(' ', ${[...key, ...(again ? [again] : [])].map(inKey).join(', ')}) as key,
  (select coalesce(jsonb_object_agg(key, value), '{}') from jsonb_each(j.row) where value <> 'null'::jsonb
    ${columns ? `and key in (${columns.map((one) => `'${one}'`).join(', ')})` : ''})::text as words,
  jsonb_strip_nulls(j.row)::text as first
from public.${name} t cross join lateral (select to_jsonb(t) as row) j
where t.ctid > $1::tid order by t.ctid limit ${PAGE}`;

/** Whether a row is as every note of it says, the newest kind among them. */
function isAsNoted({ words, first }: RowWords, notes: readonly string[]): boolean {
  const byTheRow = notes.filter((note) => note.startsWith(BY_THE_ROW));
  return (
    byTheRow.length > 0 &&
    byTheRow.every((note) => note === BY_THE_ROW + sha256(words)) &&
    notes.every((note) => note.startsWith(BY_THE_ROW) || note === sha256(first))
  );
}

/** Rows that differ from what was noted of them; digests are reckoned here. */
export async function rowsNotAsNoted(database: Database, table: Audited): Promise<RowFinding[]> {
  const findings: RowFinding[] = [];
  let from = FIRST_PLACE;
  for (;;) {
    const rows = await rowsOf<RowWords>(database, wordsOf(table), [from]);
    const noted = await rowsOf<{ key: string; digests: string[] }>(
      database,
      'select key, array_agg(digest) as digests from public.audit_rows where source = $1 and key = any($2::text[]) group by key',
      [table.name, rows.map(({ key }) => key)]
    );
    const notes = new Map(noted.map(({ key, digests }) => [key, digests]));
    for (const row of rows) {
      const of = notes.get(row.key) ?? [];
      if (of.length === 0) findings.push({ what: 'inserted', key: row.key });
      else if (!isAsNoted(row, of)) findings.push({ what: 'changed', key: row.key });
      if (findings.length >= MOST_NAMED) return findings;
    }
    const last = rows.at(-1);
    if (!last || rows.length < PAGE) break;
    from = last.place;
  }
  findings.push(...(await gone(database, table)));
  if (table.again) findings.push(...(await putBack(database, table, table.again)));
  return findings.slice(0, MOST_NAMED);
}

/** What was noted and is not there. */
async function gone(database: Database, { name, key, again }: Audited): Promise<RowFinding[]> {
  const there = `concat_ws(' ', ${key.map(inKey).join(', ')})`;
  const noted = again ? `regexp_replace(n.key, ' [0-9]+$', '')` : 'n.key';
  return rowsOf<RowFinding>(
    database,
    `select 'removed' as what, key from (select distinct ${noted} as key from public.audit_rows n where n.source = $1) noted
     where not exists (select from public.${name} t where ${there} = noted.key) order by key limit ${MOST_NAMED}`,
    [name]
  );
}

/** Rows that stand as an earlier save had them. */
const putBack = (
  database: Database,
  { name, key }: Audited,
  again: string
): Promise<RowFinding[]> =>
  rowsOf<RowFinding>(
    database,
    `select 'changed' as what, concat_ws(' ', ${[...key, again].map(inKey).join(', ')}) as key from public.${name} t
     where exists (select from public.audit_rows n where n.source = $1 and n.key ~ '^\\S+ [0-9]+$'
       and split_part(n.key, ' ', 1) = ${inKey(key[0] ?? '')} and split_part(n.key, ' ', 2)::bigint > t.${again})
     order by 2 limit ${MOST_NAMED}`,
    [name]
  );
