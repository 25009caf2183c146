import type { QueryInterface } from 'sequelize';

/** Lists of rivets say who sent what another did; what is on record is made anew from its events. */
export const rivetsSayWhoSent = {
  name: '0025-rivets-say-who-sent',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
alter table rivet_records add column sent_by text[] not null default '{}';
insert into rivets_due (issue_id)
  select subject_id from drive_events where sender_id <> person_id
  union select subject_id from hole_events where sender_id <> person_id;`);
  }
};
