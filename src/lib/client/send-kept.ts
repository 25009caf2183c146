import { MOST_MOVES } from '$lib/api/events.ts';
import { CLOCK_HEADER } from '$lib/api/endpoint.ts';
import { dropMoves, keptByBox } from './store';

/**
 * Sends what waits in this browser for pages that are not open: in order, each box by itself. What the server does not
 * take stays, for the page it belongs to: that one can say why and ask. A repeat does no harm, the server stores it once.
 *
 * @returns how much still waits
 */
export async function sendKept(): Promise<number> {
  let left = 0;
  for (const [box, kept] of await keptByBox()) {
    const some = kept.slice(0, MOST_MOVES);
    const sent = await fetch(`/api/events/${box.replace(/\/null$/, '')}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', [CLOCK_HEADER]: new Date().toISOString() },
      body: JSON.stringify(some.map(({ move }) => move))
    }).then(
      ({ status }) => status === 200,
      () => false
    );
    if (sent) await dropMoves(some.map(({ id }) => id));
    left += sent ? kept.length - some.length : kept.length;
  }
  return left;
}
