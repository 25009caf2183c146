import type { QueryInterface } from 'sequelize';

/**
 * A digest that leaves out the nulls of the row alone (a column added later changes none), not those inside what a column
 * holds. Notes of it begin with `2:`; those from before stand beside them. Whatever is not as it was noted then gets none: it is
 * to be told.
 */
const BY_THE_ROW = `
create function row_digest(what jsonb) returns text immutable language sql as $$
  select '2:' || encode(sha256(convert_to(
    (select coalesce(jsonb_object_agg(key, value), '{}') from jsonb_each(what) where value <> 'null'::jsonb)::text, 'UTF8')), 'hex') $$;
drop index audit_rows_by_key;
create unique index audit_rows_by_key on audit_rows (source, key, (digest like '2:%'));

create or replace function note_rows() returns trigger language plpgsql
  security definer set search_path = public, pg_temp set timezone = 'UTC' as $$
begin
  insert into audit_rows (source, key, digest)
    select tg_table_name, audit_key(to_jsonb(a), tg_argv), row_digest(to_jsonb(a)) from added a;
  return null;
end $$;

create or replace function audit_table(of regclass) returns void language plpgsql
  set search_path = public, pg_temp set timezone = 'UTC' as $$
declare names text[] := audit_names(of);
begin
  execute format('create trigger zz_noted after insert on %s referencing new table as added
    for each statement execute function note_rows(%s)', of,
    (select string_agg(quote_literal(name), ', ') from unnest(names) name));
  execute format('insert into audit_rows (source, key, digest)
    select %L, audit_key(to_jsonb(t), %L::text[]), row_digest(to_jsonb(t)) from %s t', of::text, names, of);
end $$;

do $$ declare of text; begin
  set local timezone = 'UTC';
  for of in select distinct source from audit_rows loop
    execute format('insert into audit_rows (source, key, digest)
      select %1$L, n.key, row_digest(to_jsonb(t)) from %1$I t join audit_rows n
        on n.source = %1$L and n.key = audit_key(to_jsonb(t), audit_names(%1$L::regclass)) and n.digest = audit_digest(to_jsonb(t))', of);
  end loop;
end $$;`;

/** Of people only who they are is noted: what lets them in changes. Of a graded plate each state that it was saved in. */
const BESIDES = `
select audit_table('devices'::regclass);

create function note_people() returns trigger language plpgsql
  security definer set search_path = public, pg_temp set timezone = 'UTC' as $$
begin
  insert into audit_rows (source, key, digest)
    select 'people', id, row_digest(jsonb_build_object('id', id, 'name', name, 'login', login)) from added;
  return null;
end $$;
create trigger zz_noted after insert on people referencing new table as added
  for each statement execute function note_people();
insert into audit_rows (source, key, digest)
  select 'people', id, row_digest(jsonb_build_object('id', id, 'name', name, 'login', login)) from people;

-- saved again under the same number it is the same: a repeat
create function note_again() returns trigger language plpgsql
  security definer set search_path = public, pg_temp set timezone = 'UTC' as $$
begin
  insert into audit_rows (source, key, digest)
    select tg_table_name, audit_key(to_jsonb(a), tg_argv), row_digest(to_jsonb(a)) from added a on conflict do nothing;
  return null;
end $$;
create trigger zz_noted after insert on graded_coupons referencing new table as added
  for each statement execute function note_again('id', 'revision');
create trigger zz_noted_again after update on graded_coupons referencing new table as added
  for each statement execute function note_again('id', 'revision');
set local timezone = 'UTC';
insert into audit_rows (source, key, digest)
  select 'graded_coupons', id || ' ' || revision, row_digest(to_jsonb(t)) from graded_coupons t;`;

export const notesByTheRow = {
  name: '0022-notes-by-the-row',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`${BY_THE_ROW}
${BESIDES}`);
  }
};
