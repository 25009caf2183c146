import type { QueryInterface } from 'sequelize';

/** The shop's own times that a batch was taken out of the icebox under; empty: the guidance's, as for every one before. */
export const iceboxTimes = {
  name: '0026-icebox-times',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query('alter table cold_batches add column times jsonb;');
  }
};
