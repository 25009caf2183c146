import type { QueryInterface } from 'sequelize';

const EVENTS = [
  'hole_events',
  'step_events',
  'stock_events',
  'cage_events',
  'rework_events',
  'sign_events',
  'drive_events',
  'tool_setting_events',
  'cold_events'
];

/**
 * Who sent an event, and from which browser: beside the person who did it. Older events say neither. A browser is known from
 * its first sign-in on, and each session says in which it was begun, so that it can be told who was signed in where.
 */
export const whoSent = {
  name: '0021-who-sent',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
create table devices (
  id uuid primary key default gen_random_uuid(),
  token_hash text not null unique,
  made_at timestamptz not null default now()
);
-- who called ready or go at a release, from a session of their own, by the minute
create table team_calls (
  issue_id uuid not null references joint_issues,
  person_id uuid not null references people,
  minute timestamptz not null,
  device_id uuid references devices,
  primary key (issue_id, person_id, minute)
);
create trigger team_calls_append_only before update or delete on team_calls
  for each row execute function refuse_change();
select audit_table('team_calls'::regclass);
alter table sessions add column device_id uuid references devices;
create index sessions_by_device on sessions (person_id, device_id);
${EVENTS.map(
  (name) => `alter table ${name}
  add column sender_id uuid references people, add column device_id uuid references devices;`
).join('\n')}`);
  }
};
