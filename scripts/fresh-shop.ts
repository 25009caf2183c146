import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { openDatabase, type Database } from '../src/lib/server/db/connect.ts';
import { APPLICATION_ROLE, letApplicationIn } from '../src/lib/server/db/application-role.ts';
import { migrate } from '../src/lib/server/db/migrate.ts';
import { beginSession, SESSION_COOKIE } from '../src/lib/server/people/sessions.ts';
import { seedDemoData } from './demo-data.ts';

/** A demo shop in a fresh database, served as a shop is: by the role that owns nothing. */
export interface Shop {
  ownerUrl: string;
  roleUrl: string;
}

/** Whoever sends: where to, and their session. */
export interface Hand {
  url: string;
  headers: Record<string, string>;
  person: string;
}

/** Statements of the cluster's owner, outside any of its databases. @returns the rows of the last */
export async function onCluster<Row extends pg.QueryResultRow>(
  clusterUrl: string,
  statements: readonly string[]
): Promise<Row[]> {
  const client = new pg.Client({ connectionString: `${clusterUrl}/postgres` });
  await client.connect();
  try {
    let rows: Row[] = [];
    for (const statement of statements) ({ rows } = await client.query<Row>(statement));
    return rows;
  } finally {
    await client.end();
  }
}

/** The same database as the application's role is given it. */
export function asRole(ownerUrl: string, password: string): string {
  const url = new URL(ownerUrl);
  url.username = APPLICATION_ROLE;
  url.password = password;
  return url.href;
}

/** Makes it under a name; what stood under it before is gone. */
export async function freshShop(clusterUrl: string, name: string): Promise<Shop> {
  await onCluster(clusterUrl, [
    `drop database if exists ${name} with (force)`,
    `create database ${name}`
  ]);
  const ownerUrl = `${clusterUrl}/${name}`;
  const password = randomBytes(16).toString('hex');
  await inDatabase(ownerUrl, async (database) => {
    await migrate(database);
    await seedDemoData(database);
    await letApplicationIn(database, password);
  });
  return { ownerUrl, roleUrl: asRole(ownerUrl, password) };
}

/** Opens a database for one act: connections do not outlive a server that is killed. */
export async function inDatabase<T>(
  url: string,
  act: (database: Database) => Promise<T>
): Promise<T> {
  const database = openDatabase(url, true);
  try {
    return await act(database);
  } finally {
    await database.sequelize.close();
  }
}

/** Somebody of the shop with a session, as a program that sends in their name. */
export async function handOf(database: Database, url: string, name: string): Promise<Hand> {
  const { id } = await database.models.Person.findOne({ where: { name }, rejectOnEmpty: true });
  const session = await beginSession(database, id, 'demo');
  return { url, person: id, headers: { origin: url, cookie: `${SESSION_COOKIE}=${session}` } };
}
