import { randomUUID } from 'node:crypto';
import type { Database } from '../db/connect.ts';
import { inWork, rowsOf } from '../db/work.ts';
import { logPeople } from './people-log.ts';
import { newToken, tokenHash } from './secrets.ts';

/** A device that a lead has trusted: whoever has a PIN may change to it there. */
export interface TrustedBench {
  id: string;
  name: string;
}

export async function benchBy(
  database: Database,
  token: string | undefined
): Promise<TrustedBench | null> {
  if (token === undefined || token === '') return null;
  const [bench] = await rowsOf<TrustedBench>(
    database,
    'select id, name from trusted_benches where token_hash = $1 and ended_at is null',
    [tokenHash(token)]
  );
  return bench ?? null;
}

/** @returns what the device holds from now on */
export async function trustBench(database: Database, name: string, by: string): Promise<string> {
  const token = newToken();
  const id = randomUUID();
  await rowsOf(
    database,
    'insert into trusted_benches (id, token_hash, name, trusted_by) values ($1, $2, $3, $4) returning id',
    [id, tokenHash(token), name, by]
  );
  await logPeople(database, 'bench-trusted', { by, person: null, detail: { bench: id, name } });
  return token;
}

/** Ends a shared device, and every session that was begun on it. */
export const endBench = (database: Database, id: string, by: string): Promise<boolean> =>
  inWork(database, async () => {
    const ended = await rowsOf(
      database,
      'update trusted_benches set ended_at = now() where id::text = $1 and ended_at is null returning id',
      [id]
    );
    if (ended.length === 0) return false;
    const out = await rowsOf(
      database,
      'update sessions set ended_at = now() where bench_id::text = $1 and ended_at is null returning 1',
      [id]
    );
    await logPeople(database, 'bench-ended', {
      by,
      person: null,
      detail: { bench: id, ended: out.length }
    });
    return true;
  });

export const trustedBenches = (
  database: Database
): Promise<{ id: string; name: string; by: string; at: Date }[]> =>
  rowsOf(
    database,
    `select b.id, b.name, p.name as by, b.trusted_at as at from trusted_benches b
     join people p on p.id = b.trusted_by where b.ended_at is null order by b.trusted_at`
  );
