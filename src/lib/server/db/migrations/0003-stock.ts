import type { QueryInterface } from 'sequelize';

const TABLES = `
create table stock_bins (
  id uuid primary key,
  part_number text not null,
  lot text not null,
  place text not null default '',
  cold boolean not null,
  made_at timestamptz not null default now(),
  unique (part_number, lot, place)
);
create table stock_events (
  seq bigserial primary key,
  id uuid not null unique,
  bin_id uuid not null references stock_bins,
  kind text not null check (kind in ('received', 'issued', 'counted')),
  count integer not null check (count >= 0),
  job_id uuid references jobs,
  note text not null default '',
  person_id uuid not null references people,
  at timestamptz not null,
  recorded_at timestamptz not null default now()
);
create index stock_events_by_bin on stock_events (bin_id, seq);
create trigger stock_events_append_only before update or delete on stock_events
  for each row execute function refuse_change();
`;

/** Rivet bins and what came in, went out and was counted. */
export const stock = {
  name: '0003-stock',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.transaction(async (transaction) => {
      await context.sequelize.query(TABLES, { transaction });
    });
  }
};
