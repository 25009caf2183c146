import type { QueryInterface } from 'sequelize';

/** A setting made for a joint's step keeps what of the joint it rests on; empty for those made before. */
export const whatASettingRestsOn = {
  name: '0007-what-a-setting-rests-on',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(
      `alter table cage_settings add column rests text not null default ''`
    );
  }
};
