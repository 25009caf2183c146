import type { QueryInterface } from 'sequelize';

/** The look that counts is the one taken last, not the one that came in last. */
export const looksByInstant = {
  name: '0008-looks-by-instant',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
alter table hole_looks add column at timestamptz;
update hole_looks l set (seq, verdict, at) = (
  select e.seq, e.frozen->>'verdict', e.at from hole_events e
  where e.subject_id = l.issue_id and e.hole = l.hole order by e.at desc, e.seq desc limit 1
);
alter table hole_looks alter column at set not null;`);
  }
};
