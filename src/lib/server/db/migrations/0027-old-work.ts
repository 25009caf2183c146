import type { QueryInterface } from 'sequelize';
import { eventTableSql } from './event-table.ts';

/** Old work: findings of service on a joint, beside every release. */
export const oldWork = {
  name: '0027-old-work',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
${eventTableSql({ name: 'old_work_events', subject: 'joints', links: [] })}
alter table old_work_events
  add column sender_id uuid references people, add column device_id uuid references devices;
select audit_table('old_work_events'::regclass);`);
  }
};
