import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll } from 'vitest';
import { onCluster } from '../../scripts/fresh-shop.ts';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';

const given = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: run the tests with ./zanjador test`);
  return value;
};

/** The cluster that `./zanjador test` started for the tests. */
export const clusterUrl = (): string => given('ZANJADOR_TEST_CLUSTER');

/** The password of the application's role: one a run, since a role is the whole cluster's. */
export const rolePassword = (): string => given('ZANJADOR_TEST_PASSWORD');

/** What a test's database begins as; the two templates are made once a run. */
export type Template = 'template0' | 'template_migrated' | 'template_demo';

/** A database of one's own. @returns its address and how to remove it */
export async function makeDatabase(
  template: Template
): Promise<{ url: string; drop: () => Promise<void> }> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await onCluster(clusterUrl(), [`create database ${name} template ${template}`]);
  return {
    url: `${clusterUrl()}/${name}`,
    drop: async () => void (await onCluster(clusterUrl(), [`drop database ${name} with (force)`]))
  };
}

/** A migrated database for one test file. */
export function useDatabase(
  template: Exclude<Template, 'template0'> = 'template_migrated'
): () => Database {
  let database: Database | undefined;
  let drop: (() => Promise<void>) | undefined;
  beforeAll(async () => {
    const made = await makeDatabase(template);
    drop = made.drop;
    // a busy machine makes them wait, which is none of what they test
    database = openDatabase(made.url, true);
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
