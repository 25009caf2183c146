import { z } from 'zod';
import { recalled, remember } from './remembered';

const KEY = 'server-clock';

/**
 * What the server says its time is, in an answer that came just now.
 *
 * @returns what this device's clock must be put on by to be the server's, ms
 */
export function heardNow(at: string): number {
  const offMs = Date.parse(at) - Date.now();
  remember(KEY, offMs);
  return offMs;
}

/**
 * What a page says that was made at some time: a page that is kept in this browser says the time of long ago, which would
 * hold every clock at that time. What was heard from the server itself stands against it, else this device's own clock;
 * the later of both times is taken: a clock that runs out too soon hurts nobody.
 *
 * @returns as `heardNow`
 */
export const pageSays = (madeAt: string): number =>
  Math.max(Date.parse(madeAt) - Date.now(), recalled(KEY, z.number()) ?? 0);
