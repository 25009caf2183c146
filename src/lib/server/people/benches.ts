import { fn, Op } from 'sequelize';
import { asText } from '../db/columns.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction } from '../db/transaction.ts';
import { logPeople } from './people-log.ts';
import { newToken, tokenHash } from './secrets.ts';

/** A device that a lead has trusted: whoever has a PIN may change to it there. */
export interface TrustedBench {
  id: string;
  name: string;
}

export async function benchBy(
  database: Database,
  token: string | undefined
): Promise<TrustedBench | null> {
  if (token === undefined || token === '') return null;
  return database.models.TrustedBenchRow.scope('trusted').findOne({
    attributes: ['id', 'name'],
    where: { tokenHash: tokenHash(token) },
    raw: true
  });
}

/** @returns what the device holds from now on */
export async function trustBench(database: Database, name: string, by: string): Promise<string> {
  const token = newToken();
  const { id } = await database.models.TrustedBenchRow.create({
    tokenHash: tokenHash(token),
    name,
    trustedBy: by
  });
  await logPeople(database, 'bench-trusted', { by, person: null, detail: { bench: id, name } });
  return token;
}

/** Ends a shared device, and every session that was begun on it. */
export const endBench = (database: Database, id: string, by: string): Promise<boolean> =>
  inTransaction(database, async () => {
    const { TrustedBenchRow, Session } = database.models;
    const now = { endedAt: fn('now') };
    const [ended] = await TrustedBenchRow.scope('trusted').update(now, {
      where: asText('id', id)
    });
    if (ended === 0) return false;
    const [out] = await Session.update(now, {
      where: { [Op.and]: [{ endedAt: null }, asText('bench_id', id)] }
    });
    await logPeople(database, 'bench-ended', {
      by,
      person: null,
      detail: { bench: id, ended: out }
    });
    return true;
  });

export async function trustedBenches({
  models
}: Database): Promise<{ id: string; name: string; by: string; at: Date }[]> {
  const rows = await models.TrustedBenchRow.scope('trusted').findAll({
    include: 'lead',
    order: ['trustedAt']
  });
  return rows.map(({ id, name, lead, trustedAt: at }) => ({ id, name, by: lead?.name ?? '', at }));
}
