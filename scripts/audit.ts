/** audit [HASH]: whether every row that is only added is as it was noted, and whether a hash that was kept is in the chain. */
import { openDatabase } from '../src/lib/server/db/connect.ts';
import { auditReport, isInChain } from '../src/lib/server/audit/chain.ts';
import { databaseUrl } from './database-url.ts';

const WORDS = {
  changed: 'was changed',
  removed: 'was removed',
  inserted: 'was put in behind the program’s back',
  link: 'does not rest on the link before it, or does not hold what was noted'
};
const database = openDatabase(databaseUrl(), true);
try {
  const { rows, links, waiting, head, findings } = await auditReport(database);
  const [kept] = process.argv.slice(2);
  const gone = kept !== undefined && !(await isInChain(database, kept));
  for (const { what, table, key } of findings)
    process.stdout.write(`✗ ${table} ${key} ${WORDS[what]}\n`);
  if (gone) process.stdout.write(`✗ ${kept} is no link of this chain: it was made anew since\n`);
  if (findings.length > 0 || gone) process.exitCode = 1;
  else
    process.stdout.write(
      `✓ ${rows} rows are as they were noted, in ${links} links${waiting > 0 ? `; ${waiting} wait for theirs` : ''}\n  ${head}\n`
    );
} finally {
  await database.sequelize.close();
}
