import { randomBytes } from 'node:crypto';
import { guardsOf, type Guards } from '../src/lib/server/audit/guards.ts';
import { migrate } from '../src/lib/server/db/migrate.ts';
import { inDatabase, onCluster } from './fresh-shop.ts';

/** What guards a database that this program has just made, in one beside the shop’s. */
export async function ownGuards(url: string): Promise<Guards> {
  const cluster = new URL(url);
  cluster.pathname = '';
  const name = `own_text_${randomBytes(8).toString('hex')}`;
  const clusterUrl = cluster.href.replace(/\/$/, '');
  await onCluster(clusterUrl, [`create database ${name} template template0`]);
  try {
    return await inDatabase(`${clusterUrl}/${name}`, async (database) => {
      await migrate(database);
      return guardsOf(database);
    });
  } finally {
    await onCluster(clusterUrl, [`drop database ${name} with (force)`]);
  }
}
