import type { QueryInterface } from 'sequelize';
import { eventTableSql } from './event-table.ts';

const REWORK = eventTableSql({
  name: 'rework_events',
  subject: 'joint_issues',
  links: [
    {
      column: 'hole',
      type: 'integer',
      field: 'hole',
      references: 'foreign key (subject_id, hole) references holes (issue_id, number)'
    }
  ]
});

/** Where the rework of each hole stands, for the lists; kept by the act that changes it. */
const HOLES = `
create table hole_rework (
  issue_id uuid not null,
  hole integer not null,
  stage text not null,
  since_at timestamptz,
  left_at timestamptz,
  part_number text,
  primary key (issue_id, hole),
  foreign key (issue_id, hole) references holes (issue_id, number)
);`;

const SIGN = eventTableSql({ name: 'sign_events', subject: 'joint_issues', links: [] });

/** What was signed, word for word. */
const RECORDS = `
create table signed_records (
  issue_id uuid primary key references joint_issues,
  record jsonb not null,
  seal jsonb not null
);
create trigger signed_records_append_only before update or delete on signed_records
  for each row execute function refuse_change();`;

/**
 * Nothing is added to an issue that is signed, however the adding and the signing cross: a row that refers to the issue
 * waits for who signs it (its own check comes after that of the reference, by its name), and looks again.
 */
const SEALED = `
create function refuse_signed() returns trigger language plpgsql as $$
begin
  if exists (select from sign_events where subject_id = new.subject_id) then
    raise exception 'this release is signed' using errcode = 'ZS001';
  end if;
  return null;
end $$;
${['hole_events', 'drive_events', 'rework_events']
  .map(
    (table) => `create trigger z_${table}_not_signed after insert on ${table}
  for each row execute function refuse_signed();`
  )
  .join('\n')}`;

/** Rework of holes, signatures, and what a larger rivet in a hole is held against. */
export const reworkAndSigning = {
  name: '0011-rework-and-signing',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`alter table holes add column room jsonb;
${REWORK}
${HOLES}
${SIGN}
${RECORDS}
${SEALED}`);
  }
};
