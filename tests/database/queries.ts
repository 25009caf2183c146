import type { Database } from '../../src/lib/server/db/connect.ts';

/** How many statements an act sends to the database. */
export async function statementsOf(
  { sequelize }: Database,
  act: () => Promise<unknown>
): Promise<number> {
  let count = 0;
  const { logging } = sequelize.options;
  sequelize.options.logging = () => (count += 1);
  try {
    await act();
  } finally {
    sequelize.options.logging = logging ?? false;
  }
  return count;
}
