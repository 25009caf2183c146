import type { QueryInterface } from 'sequelize';

/** On which shared device a session was begun: it ends with that. Older ones do not say. */
export const begunOnABench = {
  name: '0024-begun-on-a-bench',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
alter table sessions add column bench_id uuid references trusted_benches;
create index sessions_by_bench on sessions (bench_id) where ended_at is null;`);
  }
};
