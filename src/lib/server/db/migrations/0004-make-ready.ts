import type { QueryInterface } from 'sequelize';

const TABLES = `
create table ready_events (
  seq bigserial primary key,
  id uuid not null unique,
  joint_id uuid not null references joints,
  step text not null,
  hole integer,
  "of" integer not null,
  done boolean not null,
  timed jsonb,
  person_id uuid not null references people,
  at timestamptz not null,
  recorded_at timestamptz not null default now()
);
create index ready_events_by_joint on ready_events (joint_id, seq);
create trigger ready_events_append_only before update or delete on ready_events
  for each row execute function refuse_change();
create table shop_figures (
  seq bigserial primary key,
  figures jsonb not null,
  person_id uuid not null references people,
  recorded_at timestamptz not null default now()
);
create trigger shop_figures_append_only before update or delete on shop_figures
  for each row execute function refuse_change();
`;

/** Steps ticked off before driving, and the shop's own times and sheet holders. */
export const makeReady = {
  name: '0004-make-ready',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.transaction(async (transaction) => {
      await context.sequelize.query(TABLES, { transaction });
    });
  }
};
