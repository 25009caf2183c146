import { openDatabase, type Database } from './db/connect.ts';

let open: Database | null = null;

/** The server's one connection pool, opened at first use so that building needs no database. */
export function database(): Database {
  if (open) return open;
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set: start the application with ./zanjador start');
  open = openDatabase(url);
  return open;
}

/** Lets the process end at once on shutdown. */
export async function closeDatabase(): Promise<void> {
  await open?.sequelize.close();
  open = null;
}
