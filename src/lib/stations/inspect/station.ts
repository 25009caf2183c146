import { inspectedParts } from '$lib/words/counts.ts';
import { defineStation, done, open } from '../station';

export const inspect = defineStation({
  key: 'inspect',
  name: 'Inspect',
  asks: 'Is this head good, and if not, why?',
  logs: 'inspect',
  page: () => import('./InspectStation.svelte'),
  keys: [['Enter', 'on to height, then record and next head']],
  outboxes: ({ desk, rework, oldWork }) => [desk?.outbox, rework?.outbox, oldWork.outbox],
  // heads belong to the holes as released
  standsAlone: ({ release }) => release !== null,
  status: ({ count }) => {
    if (!count) return open('not released yet');
    const [figure, ...beside] = inspectedParts(count);
    return (count.complete ? done : open)(figure, beside.join(', '));
  }
});
