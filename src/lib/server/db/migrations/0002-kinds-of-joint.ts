import type { QueryInterface } from 'sequelize';

const CHANGES = `
alter table holes
  add column state text not null default 'rivet' check (state in ('rivet', 'held-open')),
  add column reason text not null default '',
  add column dash integer,
  add column stack integer not null default 0,
  add column grip_in double precision;
alter table joint_revisions add column profile_id uuid references rule_profiles;
alter table rule_profiles
  add column made_at timestamptz not null default now(),
  add column made_by uuid references people,
  add column note text not null default '';
create unique index rule_profiles_by_version on rule_profiles (name, version);
create trigger rule_profiles_kept before update or delete on rule_profiles
  for each row execute function refuse_change();
`;

/** Holes of several sizes and stacks, held-open holes, the profile of each revision, who made a profile. */
export const kindsOfJoint = {
  name: '0002-kinds-of-joint',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.transaction(async (transaction) => {
      await context.sequelize.query(CHANGES, { transaction });
    });
  }
};
