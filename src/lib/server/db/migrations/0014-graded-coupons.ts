import type { QueryInterface } from 'sequelize';

/** Practice coupons with what was read of them, as typed. */
export const gradedCoupons = {
  name: '0014-graded-coupons',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
create table graded_coupons (
  id uuid primary key,
  document jsonb not null,
  revision integer not null default 1,
  saved_at timestamptz not null default now(),
  saved_by uuid not null references people
);
create index graded_coupons_by_time on graded_coupons (saved_at desc);`);
  }
};
