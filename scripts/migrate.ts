/**
 * Brings the database to the newest shape; with --demo-data fills an empty one with the made-up shop, with --let-in makes
 * the application's own role, and a code for the first lead where there is nobody.
 */
import { DEFAULT_PROFILE } from '../src/core/rules/profile.ts';
import { letApplicationIn } from '../src/lib/server/db/application-role.ts';
import { migrate } from '../src/lib/server/db/migrate.ts';
import { firstCode } from '../src/lib/server/people/installation.ts';
import { addProfile } from '../src/lib/server/services/profiles.ts';
import { seedDemoData } from './demo-data.ts';
import { onDatabase } from './patient.ts';

const say = (text: string) => process.stdout.write(`  · ${text}\n`);

await onDatabase(async (database) => {
  const ran = await migrate(database);
  if (ran.length > 0) say(`migrations: ${ran.join(', ')}`);
  if (process.argv.includes('--demo-data') && (await seedDemoData(database)))
    say('demo data put into the empty database');
  if (process.argv.includes('--let-in')) {
    const password = process.env['ZANJADOR_APP_PASSWORD'];
    if (!password) throw new Error('ZANJADOR_APP_PASSWORD is not set');
    await letApplicationIn(database, password);
    // joints are planned under rules: a shop begins with the trade's usual ones and makes them its own
    if ((await database.models.Profile.count()) === 0) await addProfile(database, DEFAULT_PROFILE);
    const code = await firstCode(database);
    if (code !== null)
      say(`No users yet. Create the first lead at /who/code with code ${code} (valid for one day)`);
  }
});
