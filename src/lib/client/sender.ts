import { CLOCK_HEADER, CLOCK_RIGHT_HEADER } from '$lib/api/endpoint.ts';
import type { Called } from './call';
import { isForGood } from './for-good';

/** How moves of a box go to the server. */
export type Post<M, E> = (moves: M[], headers: Record<string, string>) => Promise<Called<E[]>>;

/** What became of moves that were sent together. */
export type Sent<E> =
  | { what: 'taken'; events: E[] }
  /** the server cannot be reached, or will not take them now: as someone else signs in, or later */
  | { what: 'later'; away: boolean; message: string }
  /** this device's clock is far from the server's: a person says which is right */
  | { what: 'clock'; clock: { message: string; offMs: number } }
  /** the server will never take them as they are */
  | { what: 'refused'; message: string };

/**
 * Sends moves once.
 *
 * @param clockRight somebody has said that this device's time is right
 */
export async function sendOnce<M, E>(
  post: Post<M, E>,
  moves: M[],
  clockRight = false
): Promise<Sent<E>> {
  const reply = await post(moves, {
    [CLOCK_HEADER]: new Date().toISOString(),
    ...(clockRight ? { [CLOCK_RIGHT_HEADER]: 'yes' } : {})
  });
  if (!reply.reached) return { what: 'later', away: true, message: '' };
  if (reply.ok) return { what: 'taken', events: reply.value };
  const { status, message, clockOffMs: offMs } = reply;
  if (offMs !== undefined) return { what: 'clock', clock: { message, offMs } };
  if (isForGood(status)) return { what: 'refused', message };
  const away = status >= 500;
  return { what: 'later', away, message: away ? '' : message };
}
