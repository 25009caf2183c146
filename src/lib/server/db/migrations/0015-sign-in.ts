import type { QueryInterface } from 'sequelize';

/**
 * Who may come in: passwords and PINs as argon2id hashes, sessions and benches by the hash of what the browser holds, and
 * a log of what was changed of people. Every database older than this was filled with the demo's people.
 */
export const signIn = {
  name: '0015-sign-in',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
update people set role = 'trainee' where role = 'apprentice';
update people set role = 'mechanic' where role not in ('lead', 'mechanic', 'inspector', 'trainee', 'instructor');
alter table people
  add constraint people_role check (role in ('lead', 'mechanic', 'inspector', 'trainee', 'instructor')),
  add column login text,
  add column password_hash text,
  add column pin_hash text,
  add column code_hash text,
  add column code_until timestamptz,
  add column active boolean not null default true;
create unique index people_by_login on people (lower(login)) where login is not null;

create table installation (
  one boolean primary key default true check (one),
  demo boolean not null,
  first_code_hash text,
  first_code_until timestamptz
);
insert into installation (demo) select exists (select from people);

create table trusted_benches (
  id uuid primary key,
  token_hash text not null unique,
  name text not null,
  trusted_by uuid not null references people,
  trusted_at timestamptz not null default now(),
  ended_at timestamptz
);
create table sessions (
  token_hash text primary key,
  person_id uuid not null references people,
  how text not null check (how in ('password', 'pin', 'code', 'demo')),
  begun_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  until timestamptz not null,
  ended_at timestamptz
);
create index sessions_by_person on sessions (person_id) where ended_at is null;
create table sign_in_tries (
  key text primary key,
  failures integer not null,
  last_at timestamptz not null
);
create table people_log (
  seq bigserial primary key,
  at timestamptz not null default now(),
  by_id uuid references people,
  person_id uuid references people,
  what text not null,
  detail jsonb not null
);
create trigger people_log_append_only before update or delete on people_log
  for each row execute function refuse_change();`);
  }
};
