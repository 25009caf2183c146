import { drivenParts } from '$lib/words/counts.ts';
import { defineStation, done, open } from '../station';

export const drive = defineStation({
  key: 'drive',
  name: 'Drive',
  asks: 'Tools, order and time limits',
  logs: 'drive',
  page: () => import('./DriveStation.svelte'),
  outboxes: ({ drive }) => [drive?.outbox],
  // rivets belong to the holes as released
  standsAlone: ({ release }) => release !== null,
  status: ({ count }) => {
    if (!count) return open('not released yet');
    const isThrough = count.logged && count.notDriven.length + count.empty.length === 0;
    const [figure, ...beside] = drivenParts(count);
    return (isThrough ? done : open)(figure, beside.join(', '));
  }
});
