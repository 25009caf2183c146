import type { Client } from 'pg';

/** What a table holds: how many rows, and a sum over the hash of each. */
export interface TableDigest {
  rows: number;
  sum: string;
}

/** Digests of every table, in whatever order their rows lie; within one snapshot where the connection is in one. */
export async function tableDigests(client: Client): Promise<Record<string, TableDigest>> {
  // a row's text is the same wherever it is asked
  await client.query(`set time zone 'UTC'; set extra_float_digits = 1; set datestyle = 'ISO'`);
  const { rows: tables } = await client.query<{ name: string }>(
    `select quote_ident(tablename) as name from pg_tables where schemaname = 'public' order by tablename`
  );
  const digests: Record<string, TableDigest> = {};
  for (const { name } of tables) {
    const { rows } = await client.query<TableDigest>(
      `select count(*)::integer as rows, coalesce(sum(hashtextextended(t::text, 0)::numeric), 0)::text as sum from ${name} t`
    );
    digests[name] = rows[0] ?? { rows: 0, sum: '0' };
  }
  return digests;
}

/** Tables that two databases do not have alike. */
export const unlike = (
  one: Record<string, TableDigest>,
  other: Record<string, TableDigest>
): string[] =>
  [...new Set([...Object.keys(one), ...Object.keys(other)])].filter(
    (name) => one[name]?.sum !== other[name]?.sum || one[name]?.rows !== other[name]?.rows
  );
