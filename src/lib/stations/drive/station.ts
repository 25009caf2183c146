import { defineStation, done, open } from '../station';

export const drive = defineStation({
  key: 'drive',
  name: 'Drive',
  asks: 'Tools, order and time limits',
  logs: 'drive',
  page: () => import('./DriveStation.svelte'),
  outboxes: ({ drive }) => [drive?.outbox],
  // rivets belong to the holes as released
  standsAlone: ({ issue }) => issue !== null,
  status: ({ issue, drive: desk }) => {
    if (!issue || !desk) return open('not released yet');
    const text = `driven ${desk.driven} of ${issue.holes.length}`;
    return desk.driven === issue.holes.length ? done(text) : open(text);
  }
});
