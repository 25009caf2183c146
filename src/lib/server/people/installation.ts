import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { codeHash, newCode } from './secrets.ts';

/** What this database is for. */
export interface Installation {
  /** its people are made up: they come in by a click */
  demo: boolean;
  /** nobody is entered yet: the first lead comes in by the code that the start command printed */
  empty: boolean;
}

export async function installation(database: Database): Promise<Installation> {
  const [row] = await rowsOf<Installation>(
    database,
    'select demo, not exists (select from people) as empty from installation'
  );
  if (!row) throw new Error('the database does not say what it is for');
  return row;
}

export const becomeDemo = (database: Database): Promise<unknown> =>
  rowsOf(database, 'update installation set demo = true returning one');

/** A day to read it off the console. */
const FIRST_CODE_H = 24;

/** A new code for the first lead, where there is nobody; null where there is. */
export async function firstCode(database: Database): Promise<string | null> {
  const code = newCode();
  const set = await rowsOf(
    database,
    `update installation set first_code_hash = $1, first_code_until = now() + make_interval(hours => $2)
     where not demo and not exists (select from people) returning one`,
    [codeHash(code), FIRST_CODE_H]
  );
  return set.length > 0 ? code : null;
}
