/** backup FILE: the database as it is at one instant, checked after it is written. DATABASE_URL says which. */
import { spawn } from 'node:child_process';
import { createWriteStream, openSync } from 'node:fs';
import { rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import pg from 'pg';
import { readBackup, type BackupHead } from './backup/backup-file.ts';
import { toolEnvironment } from './backup/tool.ts';
import { tableDigests, unlike } from './backup/table-digests.ts';
import { databaseUrl } from './database-url.ts';

const OWNER_ONLY = 0o600;

async function write(path: string): Promise<BackupHead> {
  const client = new pg.Client({ connectionString: databaseUrl() });
  await client.connect();
  try {
    // the dump and the digests see the same instant, whoever goes on writing
    await client.query('begin isolation level repeatable read read only');
    const { rows } = await client.query<{ snapshot: string; name: string }>(
      'select pg_export_snapshot() as snapshot, current_database() as name'
    );
    const { snapshot = '', name = '' } = rows[0] ?? {};
    const head: BackupHead = {
      format: 'zanjador-backup',
      version: 1,
      at: new Date().toISOString(),
      database: name,
      tables: await tableDigests(client)
    };
    const { bin, env } = toolEnvironment();
    const dump = spawn(
      join(bin, 'pg_dump'),
      [
        '--format=custom',
        '--compress=0',
        `--snapshot=${snapshot}`,
        '--no-owner',
        '--no-privileges'
      ],
      { env, stdio: ['ignore', 'pipe', 'inherit'] }
    );
    const ended = new Promise<number | null>((resolve) => dump.on('close', resolve));
    // wx: nothing that is there is written over
    const file = createWriteStream('', { fd: openSync(path, 'wx', OWNER_ONLY) });
    await pipeline(
      async function* () {
        yield Buffer.from(`${JSON.stringify(head)}\n`);
        yield* dump.stdout;
      },
      createGzip(),
      file
    );
    const code = await ended;
    if (code !== 0) throw new Error(`pg_dump ended with ${code}`);
    return head;
  } finally {
    await client.end();
  }
}

const [path] = process.argv.slice(2);
if (!path) throw new Error('backup FILE: say where');
const part = `${path}.part`;
try {
  const head = await write(part);
  const read = await readBackup(part);
  if (unlike(head.tables, read.tables).length > 0)
    throw new Error('it does not read as it was written');
  await rename(part, path);
  const rows = Object.values(head.tables).reduce((sum, table) => sum + table.rows, 0);
  process.stdout.write(
    `  · ${path}: ${rows} rows of ${Object.keys(head.tables).length} tables, read back whole\n`
  );
  const note = process.env['ZANJADOR_LAST_BACKUP'];
  if (note)
    await writeFile(note, JSON.stringify({ at: head.at, path, rows }), { mode: OWNER_ONLY });
} catch (error) {
  await rm(part, { force: true });
  process.stderr.write(
    `no backup was made: ${error instanceof Error ? error.message : String(error)}\n`
  );
  process.exitCode = 1;
}
