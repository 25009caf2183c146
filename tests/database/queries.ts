import type { Options } from 'sequelize';
import type { Database } from '../../src/lib/server/db/connect.ts';

/** How many statements an act sends to the database. */
export async function statementsOf(
  { sequelize }: Database,
  act: () => Promise<unknown>
): Promise<number> {
  // what the connection was opened with; the library's types do not show it
  const { options } = sequelize as unknown as { options: Options };
  let count = 0;
  const { logging = false } = options;
  options.logging = () => (count += 1);
  try {
    await act();
  } finally {
    options.logging = logging;
  }
  return count;
}
