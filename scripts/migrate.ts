/** Brings the database to the newest shape; with --demo-data fills an empty one with the made-up shop. */
import { openDatabase } from '../src/lib/server/db/connect.ts';
import { migrate } from '../src/lib/server/db/migrate.ts';
import { databaseUrl } from './database-url.ts';
import { seedDemoData } from './demo-data.ts';

const database = openDatabase(databaseUrl());
try {
  const ran = await migrate(database);
  if (ran.length > 0) process.stdout.write(`  · migrations: ${ran.join(', ')}\n`);
  if (process.argv.includes('--demo-data') && (await seedDemoData(database)))
    process.stdout.write('  · demo data put into the empty database\n');
} finally {
  await database.sequelize.close();
}
