import { CLOCK_HEADER, RefusalBody } from '$lib/api/endpoint.ts';
import { MOST_MOVES } from '$lib/api/events.ts';
import { isForGood } from './for-good';
import { byBox, dropMoves, keptEntries, setAside } from './store';

interface Kept {
  id: string;
  move: unknown;
}
type Sent = 'taken' | 'later' | { refused: string };

async function send(box: string, some: readonly Kept[]): Promise<Sent> {
  const reply = await fetch(`/api/events/${box.replace(/\/null$/, '')}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', [CLOCK_HEADER]: new Date().toISOString() },
    body: JSON.stringify(some.map(({ move }) => move))
  }).catch(() => null);
  if (reply?.status === 200) return 'taken';
  if (reply === null || !isForGood(reply.status)) return 'later';
  const said = RefusalBody.safeParse(await reply.json().catch(() => null));
  return said.success ? { refused: said.data.message } : 'later';
}

/**
 * Sends what waits in this browser for pages that are not open: in order, each box by itself. What the server will never
 * take is set aside, one by one, so that a bad one takes no good one with it. A repeat does no harm: it is stored once.
 *
 * @param taken called before what was taken is dropped here: a page that is just being opened reads it from the server
 */
export async function sendKept(taken: () => void): Promise<void> {
  const drop = (ids: string[]): Promise<void> => {
    taken();
    return dropMoves(ids);
  };
  for (const [box, kept] of byBox(await keptEntries())) {
    const some = kept.slice(0, MOST_MOVES);
    const sent = await send(box, some);
    if (sent === 'taken') await drop(some.map(({ id }) => id));
    if (typeof sent === 'string') continue;
    for (const one of some) {
      const alone = await send(box, [one]);
      if (alone === 'later') break;
      if (alone === 'taken') await drop([one.id]);
      else await setAside([one.id], alone.refused);
    }
  }
}
