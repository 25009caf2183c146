import type { QueryInterface } from 'sequelize';
import { eventTableSql } from './event-table.ts';

const BATCHES = `
create table cold_batches (
  id uuid primary key,
  seq bigserial not null unique,
  bin_id uuid not null references stock_bins,
  part_number text not null,
  lot text not null,
  count integer not null check (count > 0),
  removed_at timestamptz not null,
  person_id uuid not null references people
);
create trigger cold_batches_append_only before update or delete on cold_batches
  for each row execute function refuse_change();
create index cold_batches_by_removal on cold_batches (removed_at);`;

const DRIVE = eventTableSql({
  name: 'drive_events',
  subject: 'joint_issues',
  links: [
    {
      column: 'hole',
      type: 'integer',
      field: 'hole',
      references: 'foreign key (subject_id, hole) references holes (issue_id, number)'
    },
    { column: 'batch', type: 'uuid', field: 'batch', references: 'cold_batches' }
  ]
});
const COLD = eventTableSql({ name: 'cold_events', subject: 'cold_batches', links: [] });

/** Every process of the application hears what was logged. */
const TOLD = `
create function tell_driven() returns trigger language plpgsql as $$
begin
  perform pg_notify('live', json_build_object('subject', new.subject_id,
    'line', json_build_object('kind', 'logged', 'event', new.id))::text);
  return null;
end $$;
create trigger drive_events_told after insert on drive_events
  for each row execute function tell_driven();`;

/** The log of driving, and batches of rivets out of the cold. */
export const driving = {
  name: '0009-driving',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`${BATCHES}
${DRIVE}
${TOLD}
create index drive_events_by_batch on drive_events (batch) where batch is not null;
${COLD}`);
  }
};
