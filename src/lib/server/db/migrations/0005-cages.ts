import type { QueryInterface } from 'sequelize';

const TABLES = `
create table cages (
  id uuid primary key,
  name text not null,
  cutter text not null,
  cage jsonb not null,
  person_id uuid not null references people,
  made_at timestamptz not null default now(),
  unique (name, cutter)
);
create trigger cages_append_only before update or delete on cages
  for each row execute function refuse_change();
create table cage_settings (
  seq bigserial primary key,
  id uuid not null unique,
  cage_id uuid not null references cages,
  joint_id uuid references joints,
  step text,
  work text not null,
  setup jsonb not null,
  person_id uuid not null references people,
  begun_at timestamptz not null default now()
);
create index cage_settings_by_cage on cage_settings (cage_id, seq);
create trigger cage_settings_append_only before update or delete on cage_settings
  for each row execute function refuse_change();
create table cage_events (
  seq bigserial primary key,
  id uuid not null unique,
  setting_id uuid not null references cage_settings (id),
  move jsonb not null,
  found jsonb,
  person_id uuid not null references people,
  recorded_at timestamptz not null default now()
);
create index cage_events_by_setting on cage_events (setting_id, seq);
create trigger cage_events_append_only before update or delete on cage_events
  for each row execute function refuse_change();
`;

/** Countersink cages, what they were set for, and every trial hole and re-check. */
export const cages = {
  name: '0005-cages',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.transaction(async (transaction) => {
      await context.sequelize.query(TABLES, { transaction });
    });
  }
};
