import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';

/** Triggers, functions and rules of a database, each by its name, as the database writes them out. */
export type Guards = ReadonlyMap<string, string>;

const GUARDS = `
select 'trigger ' || t.tgname || ' of ' || c.relname as name, pg_get_triggerdef(t.oid) || ' ' || t.tgenabled::text as text
  from pg_trigger t join pg_class c on c.oid = t.tgrelid
  where c.relnamespace = 'public'::regnamespace and not t.tgisinternal
union all
select 'function ' || p.oid::regprocedure::text, pg_get_functiondef(p.oid)
  from pg_proc p where p.pronamespace = 'public'::regnamespace and p.prokind in ('f', 'p')
union all
select 'rule ' || rulename || ' of ' || tablename, definition from pg_rules where schemaname = 'public'
union all
select 'event trigger ' || evtname, evtfoid::regprocedure::text || ' ' || evtenabled::text from pg_event_trigger`;

/** By names that no schema of the database’s own can stand in for. */
const PLAINLY = `set local search_path = pg_catalog, pg_temp; set local timezone = 'UTC'; set local extra_float_digits = 1`;

/** One look at a whole database as it stands at one instant, with nothing of its own in the way. */
export const inPlainSight = <T>(database: Database, look: () => Promise<T>): Promise<T> =>
  inTransaction(database, async () => {
    await rowsOf(database, 'set transaction isolation level repeatable read read only', []);
    for (const setting of PLAINLY.split('; ')) await rowsOf(database, setting, []);
    return look();
  });

export const guardsOf = (database: Database): Promise<Guards> =>
  inPlainSight(database, async () => {
    const rows = await rowsOf<{ name: string; text: string }>(database, GUARDS, []);
    return new Map(rows.map(({ name, text }) => [name, text]));
  });

/** Guards that are not as they should be: gone, changed, or put there by somebody else. */
export const guardsChanged = (own: Guards, there: Guards): string[] =>
  [...new Set([...own.keys(), ...there.keys()])]
    .filter((name) => own.get(name) !== there.get(name))
    .sort();
