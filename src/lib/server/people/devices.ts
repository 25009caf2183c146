import type { Database } from '../db/connect.ts';
import { inTransaction } from '../db/transaction.ts';
import { newToken, tokenHash } from './secrets.ts';

/** What a browser is known by. */
export const DEVICE_COOKIE = 'device';

/**
 * Ties a session to the browser that holds it, once: what is sent from it in another's name is held against who was signed in
 * there. A browser that comes for the first time gets a name of its own.
 *
 * @param deviceToken what the browser says that it is known by
 * @returns the device of the session; `token` is what a new one is to be known by
 */
export async function tieToDevice(
  database: Database,
  sessionToken: string,
  deviceToken: string | undefined
): Promise<{ device: string | null; token: string | null }> {
  const session = tokenHash(sessionToken);
  const { Session, Device } = database.models;
  return inTransaction(database, async () => {
    const open = await Session.findByPk(session, { lock: true });
    // two requests of one page come at once: the second finds what the first has tied
    if (!open || open.deviceId !== null) return { device: open?.deviceId ?? null, token: null };
    const known =
      deviceToken === undefined
        ? null
        : await Device.findOne({ where: { tokenHash: tokenHash(deviceToken) } });
    const token = known ? null : newToken();
    const device = token === null ? known : await Device.create({ tokenHash: tokenHash(token) });
    await open.update({ deviceId: device?.id ?? null });
    return { device: device?.id ?? null, token };
  });
}
