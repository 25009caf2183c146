import type { QueryInterface } from 'sequelize';

/**
 * What is known of each rivet, in a shape that is searched: made from the events, never told by anybody. What an event may
 * have changed is noted in the act that adds it (`rivets_due`) and made anew soon after.
 */
const RIVETS = `
create table rivet_records (
  issue_id uuid not null references joint_issues,
  hole integer not null,
  life integer not null,
  joint_id uuid not null references joints,
  part_number text collate "C" not null,
  at timestamptz not null,
  driven_at timestamptz,
  looked_at timestamptz,
  out_at timestamptz,
  drove uuid[] not null,
  looked uuid[] not null,
  batch uuid references cold_batches,
  lot text,
  setting uuid references tool_settings (id),
  verdict text,
  findings text[] not null,
  diameter_d double precision,
  height_d double precision,
  primary key (issue_id, hole, life)
);
create index rivet_records_by_time on rivet_records (at, issue_id, hole, life);
create index rivet_records_by_joint on rivet_records (joint_id, at);
create index rivet_records_by_part on rivet_records (part_number, issue_id, hole, life);
create index rivet_records_by_verdict on rivet_records (verdict, at);
create index rivet_records_by_lot on rivet_records (upper(lot), at) where lot is not null;
create index rivet_records_by_batch on rivet_records (batch, at) where batch is not null;
create index rivet_records_by_setting on rivet_records (setting, at) where setting is not null;
create index rivet_records_by_diameter on rivet_records (diameter_d, issue_id, hole, life) where diameter_d is not null;
create index rivet_records_by_height on rivet_records (height_d, issue_id, hole, life) where height_d is not null;
create index rivet_records_by_finding on rivet_records using gin (findings);
create index rivet_records_by_driver on rivet_records using gin (drove);
create index rivet_records_by_looker on rivet_records using gin (looked);`;

/**
 * Holes whose record an event may have changed; a null hole is every hole of the issue. A row of its own for each: one
 * that is taken away while another act adds to it never takes that act's word with it.
 */
const DUE = `
create table rivets_due (
  seq bigserial primary key,
  issue_id uuid not null references joint_issues,
  hole integer
);
create function note_rivet_due() returns trigger language plpgsql as $$
begin
  insert into rivets_due (issue_id, hole) values (new.subject_id, new.hole);
  return null;
end $$;
create trigger z_hole_events_due after insert on hole_events for each row execute function note_rivet_due();
create trigger z_rework_events_due after insert on rework_events for each row execute function note_rivet_due();
create trigger z_drive_events_due after insert on drive_events for each row
  when (new.kind in ('driven', 'undriven', 'loaded')) execute function note_rivet_due();
insert into rivets_due (issue_id) select id from joint_issues;`;

const BY_HOLE = `
create index hole_events_by_hole on hole_events (subject_id, hole);
create index drive_events_by_hole on drive_events (subject_id, hole);
create index joint_issues_by_time on joint_issues (issued_at, id);`;

/** Every rivet findable by what is known of it. */
export const rivetsOnRecord = {
  name: '0012-rivets-on-record',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`${RIVETS}${DUE}${BY_HOLE}`);
  }
};
