import type { QueryInterface } from 'sequelize';

/** What a release changed against the one before it, and what it took over. */
export const whatAReleaseTookOver = {
  name: '0013-what-a-release-took-over',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query('alter table joint_issues add column since jsonb');
  }
};
