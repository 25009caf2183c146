/** audit [HASH]: whether every row that is only added is as it was noted, and whether a hash that was kept is in the chain. */
import { notYetMigrated } from '../src/lib/server/db/migrate.ts';
import { auditReport, isInChain, type AuditFinding } from '../src/lib/server/audit/report.ts';
import { databaseUrl } from './database-url.ts';
import { ownGuards } from './own-guards.ts';
import { onDatabase } from './patient.ts';

const said = ({ what, table, key }: AuditFinding): string => {
  switch (what) {
    case 'changed':
      return `${table} ${key} was changed`;
    case 'removed':
      return `${table} ${key} was removed`;
    case 'inserted':
      return `${table} ${key} was inserted outside the program`;
    case 'link':
      return `link ${key} breaks the audit chain`;
    case 'table':
      return `${table} is not there, or is not the plain table that the program made`;
    case 'source':
      return `${table} was noted, and this program has no such table`;
    case 'guard':
      return `the ${key} is not as the program made it`;
  }
};

await onDatabase(async (database) => {
  const before = await notYetMigrated(database);
  if (before.length > 0)
    throw new Error(
      'this database is of an earlier program: ./zanjador start brings it up to this one, then audit it'
    );
  const { rows, links, waiting, head, findings } = await auditReport(
    database,
    await ownGuards(databaseUrl())
  );
  const [kept] = process.argv.slice(2);
  const gone = kept !== undefined && !(await isInChain(database, kept));
  for (const finding of findings) process.stdout.write(`✗ ${said(finding)}\n`);
  if (gone)
    process.stdout.write(
      `✗ ${kept} is not in this chain: the chain was rebuilt, or the hash is incomplete (64 letters and digits)\n`
    );
  if (findings.length > 0 || gone) process.exitCode = 1;
  else
    process.stdout.write(
      `✓ ${rows} notes hold, in ${links} links${waiting > 0 ? `; ${waiting} wait for theirs` : ''}\n  ${head}\n`
    );
});
