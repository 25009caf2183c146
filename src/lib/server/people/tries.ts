import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';

/** So many tries cost nothing: fingers slip. */
const FREE = 3;
/** After the last of them, s; it doubles with each one more, up to the most. */
const FIRST_WAIT_S = 2;
const MOST_WAIT_S = 900;
/** After a quiet day it begins anew. */
const FORGOTTEN_H = 24;

const WAIT = `case when t.failures < ${FREE} then 0
  else least(${FIRST_WAIT_S} * power(2, least(t.failures, 30) - ${FREE}), ${MOST_WAIT_S}) end`;

/**
 * Begins a try, if there may be one now. It counts as a wrong one until `rightTry` says otherwise, so that a hundred sent at
 * once are not a hundred tries. Counted in the database: for every process, and for logins that nobody has as well.
 *
 * @returns how long must still be waited, s; 0: go on
 */
export async function beginTry(database: Database, key: string): Promise<number> {
  const begun = await rowsOf(
    database,
    `insert into sign_in_tries as t (key, failures, last_at) values ($1, 1, now())
     on conflict (key) do update set last_at = now(), failures =
       case when t.last_at < now() - interval '${FORGOTTEN_H} hours' then 1 else t.failures + 1 end
     where t.last_at <= now() - make_interval(secs => ${WAIT})
       -- a clock was set back: nobody waits for it to come round
       or t.last_at > now() + interval '1 minute'
     returning 1`,
    [key]
  );
  if (begun.length > 0) return 0;
  const [row] = await rowsOf<{ left: number }>(
    database,
    `select extract(epoch from t.last_at + make_interval(secs => ${WAIT}) - now())::float8 as left
     from sign_in_tries t where t.key = $1`,
    [key]
  );
  return Math.max(1, Math.ceil(row?.left ?? 1));
}

/** It was right: what went before is forgotten. */
export async function rightTry(database: Database, key: string): Promise<void> {
  await rowsOf(database, 'delete from sign_in_tries where key = $1', [key]);
}
