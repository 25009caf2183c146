import type { QueryInterface } from 'sequelize';

/**
 * Every row that is only added is noted in the act that adds it, by a digest of what is in it; notes are then tied into a
 * chain, each link resting on the one before. The functions run as whoever owns the tables: the application's own role
 * reaches neither the notes nor the chain by any other way.
 */
const NOTES = `
create table audit_links (
  number bigint primary key,
  at timestamptz not null default now(),
  rows integer not null,
  before text not null,
  hash text not null
);
create table audit_rows (
  id bigserial primary key,
  source text not null,
  key text not null,
  digest text not null,
  link bigint references audit_links
);
create unique index audit_rows_by_key on audit_rows (source, key);
create index audit_rows_by_link on audit_rows (link, id);
create index audit_rows_due on audit_rows (id) where link is null;

create function audit_digest(what jsonb) returns text immutable language sql as $$
  select encode(sha256(convert_to(jsonb_strip_nulls(what)::text, 'UTF8')), 'hex') $$;
create function audit_key(what jsonb, names text[]) returns text immutable language sql as $$
  select string_agg(what->>name, ' ' order by place) from unnest(names) with ordinality as u (name, place) $$;

create function note_rows() returns trigger language plpgsql
  security definer set search_path = public, pg_temp set timezone = 'UTC' as $$
begin
  insert into audit_rows (source, key, digest)
    select tg_table_name, audit_key(to_jsonb(a), tg_argv), audit_digest(to_jsonb(a)) from added a;
  return null;
end $$;

create function audit_names(of regclass) returns text[] stable language sql as $$
  select array_agg(a.attname::text order by k.place) from pg_index i
    cross join unnest(i.indkey) with ordinality as k (attnum, place)
    join pg_attribute a on a.attrelid = i.indrelid and a.attnum = k.attnum
  where i.indrelid = of and i.indisprimary $$;`;

/** From now on a table's rows are noted; those that are there are noted as they are. */
const AUDITED = `
create function audit_table(of regclass) returns void language plpgsql
  set search_path = public, pg_temp set timezone = 'UTC' as $$
declare names text[] := audit_names(of);
begin
  execute format('create trigger zz_noted after insert on %s referencing new table as added
    for each statement execute function note_rows(%s)', of,
    (select string_agg(quote_literal(name), ', ') from unnest(names) name));
  execute format('insert into audit_rows (source, key, digest)
    select %L, audit_key(to_jsonb(t), %L::text[]), audit_digest(to_jsonb(t)) from %s t', of::text, names, of);
end $$;
select audit_table(c.oid::regclass) from pg_class c where exists (
  select from pg_trigger t join pg_proc p on p.oid = t.tgfoid
  where t.tgrelid = c.oid and p.proname = 'refuse_change');`;

/** Ties what was noted since into one more link; one hand at a time. */
const LINKS = `
create function link_rows(most integer) returns integer language plpgsql
  security definer set search_path = public, pg_temp as $$
declare
  last record;
  due record;
begin
  perform pg_advisory_xact_lock(7283915);
  select number, hash into last from audit_links order by number desc limit 1;
  select array_agg(id order by id) as ids, count(*)::integer as rows,
    encode(sha256(convert_to(coalesce(last.hash, '') || string_agg(source || ' ' || key || ' ' || digest, E'\\n' order by id), 'UTF8')), 'hex') as hash
    into due from (select * from audit_rows where link is null order by id limit most) noted;
  if due.rows = 0 then return 0; end if;
  insert into audit_links (number, rows, before, hash)
    values (coalesce(last.number, 0) + 1, due.rows, coalesce(last.hash, ''), due.hash);
  update audit_rows set link = coalesce(last.number, 0) + 1 where id = any(due.ids);
  return due.rows;
end $$;`;

export const auditChain = {
  name: '0017-audit-chain',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`${NOTES}
${AUDITED}
${LINKS}`);
  }
};
