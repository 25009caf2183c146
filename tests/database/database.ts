import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll } from 'vitest';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';
import { migrate } from '../../src/lib/server/db/migrate.ts';

/** The cluster that `./zanjador test` started for the tests. */
export function clusterUrl(): string {
  const url = process.env['ZANJADOR_TEST_CLUSTER'];
  if (!url) throw new Error('ZANJADOR_TEST_CLUSTER is not set: run the tests with ./zanjador test');
  return url;
}

async function onCluster(statement: string): Promise<void> {
  const client = new pg.Client({ connectionString: `${clusterUrl()}/postgres` });
  await client.connect();
  try {
    await client.query(statement);
  } finally {
    await client.end();
  }
}

/** Makes an empty database of its own. @returns its address and how to remove it */
export async function makeDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await onCluster(`create database ${name}`);
  return {
    url: `${clusterUrl()}/${name}`,
    drop: () => onCluster(`drop database ${name} with (force)`)
  };
}

/** A migrated database for one test file. */
export function useDatabase(): () => Database {
  let database: Database | undefined;
  let drop: (() => Promise<void>) | undefined;
  beforeAll(async () => {
    const made = await makeDatabase();
    drop = made.drop;
    database = openDatabase(made.url);
    await migrate(database);
  });
  afterAll(async () => {
    await database?.sequelize.close();
    await drop?.();
  });
  return () => {
    if (!database) throw new Error('the database is not open yet');
    return database;
  };
}
