/**
 * restore FILE: fills the empty database that DATABASE_URL names from a backup, and looks whether it is the one that was
 * dumped. With --look the file alone is read. Whoever calls puts it in the place of the one before, or away.
 */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import pg from 'pg';
import { openDatabase } from '../src/lib/server/db/connect.ts';
import { refuseNewer } from '../src/lib/server/db/migrate.ts';
import { readBackup, type BackupHead } from './backup/backup-file.ts';
import { toolEnvironment } from './backup/tool.ts';
import { tableDigests, unlike } from './backup/table-digests.ts';
import { databaseUrl } from './database-url.ts';

async function fill(path: string): Promise<BackupHead> {
  const { bin, env } = toolEnvironment();
  return readBackup(path, async (dump) => {
    const restore = spawn(
      join(bin, 'pg_restore'),
      ['--exit-on-error', '--no-owner', '--no-privileges', `--dbname=${env['PGDATABASE']}`],
      { env, stdio: ['pipe', 'inherit', 'inherit'] }
    );
    const ended = new Promise<number | null>((resolve) => restore.on('close', resolve));
    await pipeline(dump, restore.stdin);
    const code = await ended;
    if (code !== 0) throw new Error(`pg_restore ended with ${code}`);
  });
}

async function isAsDumped({ tables }: BackupHead): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  try {
    const others = unlike(tables, await tableDigests(client));
    if (others.length > 0) throw new Error(`not as it was dumped: ${others.join(', ')}`);
  } finally {
    await client.end();
  }
  const database = openDatabase(databaseUrl(), true);
  try {
    await refuseNewer(database);
  } finally {
    await database.sequelize.close();
  }
}

/** A copy lets in nobody who was let in when it was made: whoever holds its file holds no session, and no shared device. */
async function letNobodyIn(): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  try {
    for (const table of ['sessions', 'trusted_benches']) {
      // a backup of the first versions has neither
      const { rows } = await client.query('select 1 where to_regclass($1) is not null', [table]);
      if (rows.length > 0)
        await client.query(`update ${table} set ended_at = now() where ended_at is null`);
    }
  } finally {
    await client.end();
  }
}

const [path, how] = process.argv.slice(2);
if (!path) throw new Error('restore FILE: say which');
try {
  const head = how === '--look' ? await readBackup(path) : await fill(path);
  if (how !== '--look') {
    await isAsDumped(head);
    await letNobodyIn();
  }
  const rows = Object.values(head.tables).reduce((sum, table) => sum + table.rows, 0);
  process.stdout.write(`  · ${path}: of ${head.at}, ${rows} rows, whole\n`);
} catch (error) {
  process.stderr.write(
    `${path} is not restored: ${error instanceof Error ? error.message : String(error)}\n`
  );
  process.exitCode = 1;
}
