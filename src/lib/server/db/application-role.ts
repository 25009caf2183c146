import type { Database } from './connect.ts';
import { rowsOf } from './transaction.ts';

export const APPLICATION_ROLE = 'zanjador_app';

/** Held while something is added to what they stand for: a lock asks for the right to change, the trigger refuses the change. */
const LOCKED = ['joint_issues', 'tool_settings', 'cage_settings', 'cold_batches', 'rule_profiles'];

/**
 * Makes the role that the application comes in with: it reads and writes rows, owns no table, makes none, and can neither
 * drop a trigger nor go round one.
 *
 * @param password sixteen letters and figures or more, nothing else
 * @throws where it is not
 */
export async function letApplicationIn(database: Database, password: string): Promise<void> {
  if (!/^\w{16,}$/.test(password))
    throw new Error('the role’s password is sixteen letters and figures or more, nothing else');
  const [there] = await rowsOf(database, 'select 1 from pg_roles where rolname = $1', [
    APPLICATION_ROLE
  ]);
  const say = (sql: string) => rowsOf(database, sql, []);
  await say(
    `${there ? 'alter' : 'create'} role ${APPLICATION_ROLE} login nosuperuser nocreatedb nocreaterole noreplication nobypassrls password '${password}'`
  );
  const [{ name = '' } = {}] = await rowsOf<{ name: string }>(
    database,
    'select quote_ident(current_database()) as name'
  );
  await say('revoke create on schema public from public');
  await say(`grant connect on database ${name} to ${APPLICATION_ROLE}`);
  await say(`grant usage on schema public to ${APPLICATION_ROLE}`);
  await say(
    `grant select, insert, update, delete on all tables in schema public to ${APPLICATION_ROLE}`
  );
  await say(`grant usage, select on all sequences in schema public to ${APPLICATION_ROLE}`);
  // the chain is written by functions of the owner alone, what kinds count by at the start
  await say(
    `revoke insert, update, delete on migrations, counted_kinds, audit_rows, audit_links from ${APPLICATION_ROLE}`
  );
  // where a trigger says that rows are only added, the role has no right to do otherwise either
  const onlyAdded = await rowsOf<{ name: string }>(
    database,
    `select distinct c.relname as name from pg_trigger t join pg_class c on c.oid = t.tgrelid
       join pg_proc p on p.oid = t.tgfoid where p.proname = 'refuse_change'`
  );
  for (const { name: table } of onlyAdded) {
    const rights = LOCKED.includes(table) ? 'delete' : 'update, delete';
    await say(`revoke ${rights} on ${table} from ${APPLICATION_ROLE}`);
  }
}
