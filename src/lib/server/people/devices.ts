import type { Database } from '../db/connect.ts';
import { inWork, rowsOf } from '../db/work.ts';
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
  return inWork(database, async () => {
    const [open] = await rowsOf<{ device: string | null }>(
      database,
      'select device_id as device from sessions where token_hash = $1 for update',
      [session]
    );
    // two requests of one page come at once: the second finds what the first has tied
    if (!open || open.device !== null) return { device: open?.device ?? null, token: null };
    const [known] =
      deviceToken === undefined
        ? []
        : await rowsOf<{ id: string }>(database, 'select id from devices where token_hash = $1', [
            tokenHash(deviceToken)
          ]);
    const token = known ? null : newToken();
    const [device] =
      token === null
        ? [known]
        : await rowsOf<{ id: string }>(
            database,
            'insert into devices (token_hash) values ($1) returning id',
            [tokenHash(token)]
          );
    await rowsOf(database, 'update sessions set device_id = $2 where token_hash = $1 returning 1', [
      session,
      device?.id ?? null
    ]);
    return { device: device?.id ?? null, token };
  });
}
