import type { QueryInterface } from 'sequelize';

const TABLES = `
create table people (
  id uuid primary key,
  name text not null unique,
  role text not null
);
create table rule_profiles (
  id uuid primary key,
  name text not null,
  version integer not null check (version >= 1),
  rules jsonb not null,
  unique (name, version)
);
create table jobs (
  id uuid primary key,
  number text not null unique,
  title text not null,
  place text not null,
  data text not null,
  opened_at timestamptz not null default now()
);
create table joints (
  id uuid primary key,
  job_id uuid not null references jobs,
  profile_id uuid not null references rule_profiles,
  title text not null,
  definition jsonb not null,
  revision integer not null check (revision >= 1),
  saved_at timestamptz not null default now(),
  saved_by uuid references people
);
create index joints_by_job on joints (job_id);
create table joint_revisions (
  joint_id uuid not null references joints,
  revision integer not null,
  title text not null,
  definition jsonb not null,
  saved_at timestamptz not null default now(),
  saved_by uuid references people,
  primary key (joint_id, revision)
);
create table joint_issues (
  id uuid primary key,
  joint_id uuid not null references joints,
  number integer not null check (number >= 1),
  revision integer not null,
  definition jsonb not null,
  rules jsonb not null,
  facts jsonb not null,
  issued_at timestamptz not null default now(),
  issued_by uuid not null references people,
  unique (joint_id, number)
);
create table holes (
  issue_id uuid not null references joint_issues,
  number integer not null check (number >= 1),
  "row" integer not null check ("row" >= 1),
  x_in double precision not null,
  y_in double precision not null,
  mark_in double precision not null,
  primary key (issue_id, number)
);
create table hole_events (
  seq bigserial primary key,
  id uuid not null unique,
  issue_id uuid not null,
  hole integer not null,
  kind text not null,
  reading jsonb not null,
  judged jsonb not null,
  person_id uuid not null references people,
  at timestamptz not null,
  recorded_at timestamptz not null default now(),
  foreign key (issue_id, hole) references holes (issue_id, number)
);
create index hole_events_by_issue on hole_events (issue_id, seq);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception '% rows are never changed or removed', tg_table_name;
end $$;
create trigger hole_events_append_only before update or delete on hole_events
  for each row execute function refuse_change();
create trigger joint_issues_frozen before update or delete on joint_issues
  for each row execute function refuse_change();
create trigger holes_frozen before update or delete on holes
  for each row execute function refuse_change();
create trigger joint_revisions_kept before update or delete on joint_revisions
  for each row execute function refuse_change();
`;

/** People, rule profiles, jobs, joints with their revisions, issues with their holes, hole events. */
export const firstTables = {
  name: '0001-first-tables',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.transaction(async (transaction) => {
      await context.sequelize.query(TABLES, { transaction });
    });
  }
};
