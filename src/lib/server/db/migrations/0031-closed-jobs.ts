import type { QueryInterface } from 'sequelize';

/** Jobs that are done with go into the archive: nothing of them is lost, they stand in no list of work. */
export const closedJobs = {
  name: '0031-closed-jobs',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(
      'alter table jobs add column closed_at timestamptz, add column closed_by uuid references people'
    );
  }
};
