import { MOST_MOVES, sendKeptMoves } from '$lib/api/events.ts';
import { call } from './call';
import { sendOnce } from './sender';
import { byBox, dropMoves, keptEntries, setAside } from './store';

interface Kept {
  id: string;
  move: unknown;
}

const send = (box: string, some: readonly Kept[]) =>
  sendOnce(
    (moves, headers) => call(sendKeptMoves, { box }, moves, false, headers),
    some.map(({ move }) => move)
  );

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
    if (sent.what === 'taken') await drop(some.map(({ id }) => id));
    if (sent.what !== 'refused') continue;
    for (const one of some) {
      const alone = await send(box, [one]);
      if (alone.what === 'taken') await drop([one.id]);
      else if (alone.what === 'refused') await setAside([one.id], alone.message);
      else break;
    }
  }
}
