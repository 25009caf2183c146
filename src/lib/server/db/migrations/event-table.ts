/*
 * As it was when the first migration ran it, and never changed since: what a migration runs is frozen. A table that is wanted
 * otherwise is made so by a migration of its own.
 */

/** A column that a payload's own field fills, so that it can refer to another table. */
export interface Link {
  column: string;
  type: 'uuid' | 'integer';
  /** the payload's field */
  field: string;
  /** the table it refers to, or with other columns the whole clause: `foreign key (subject_id, hole) references …` */
  references: string;
}

/** A table for the events of one stream. */
export interface EventTable {
  name: string;
  /** the table and column of what the events happen to */
  subject: string;
  links: readonly Link[];
}

/**
 * The statements that make an event table: one shape for all. Rows are only added; a trigger refuses anything else.
 */
export const eventTableSql = ({ name, subject, links }: EventTable): string => {
  const column = ({ column, type, field }: Link) =>
    `${column} ${type} generated always as ((payload->>'${field}')::${type}) stored`;
  const reference = ({ column, references }: Link) =>
    references.startsWith('foreign key')
      ? references
      : `foreign key (${column}) references ${references}`;
  return `
create table ${name} (
  ${[
    'seq bigserial primary key',
    'id uuid not null unique',
    `subject_id uuid not null references ${subject}`,
    'kind text not null',
    'payload jsonb not null',
    'frozen jsonb',
    'person_id uuid not null references people',
    'at timestamptz not null',
    'recorded_at timestamptz not null default now()',
    ...links.flatMap((link) => [column(link), reference(link)])
  ].join(',\n  ')}
);
create index ${name}_by_subject on ${name} (subject_id, seq);
create trigger ${name}_append_only before update or delete on ${name}
  for each row execute function refuse_change();`;
};
