import type { QueryInterface } from 'sequelize';
import { eventTableSql } from './event-table.ts';

const SETTINGS = `
create table tool_settings (
  seq bigserial primary key,
  id uuid not null unique,
  joint_id uuid references joints,
  run text,
  work text not null,
  setup jsonb not null,
  person_id uuid not null references people,
  begun_at timestamptz not null default now()
);
create index tool_settings_by_joint on tool_settings (joint_id, seq);
create trigger tool_settings_append_only before update or delete on tool_settings
  for each row execute function refuse_change();`;

const EVENTS = eventTableSql({
  name: 'tool_setting_events',
  subject: 'tool_settings (id)',
  links: []
});

/** Settings of squeezers, guns and dies, with every trial and every head made with them. */
export const settingsOfTools = {
  name: '0010-settings-of-tools',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`${SETTINGS}
${EVENTS}`);
  }
};
