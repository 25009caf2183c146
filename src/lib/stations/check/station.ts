import { verdictNow } from '$core/check/hole-events.ts';
import { defineStation, done, open } from '../station';

export const check = defineStation({
  key: 'check',
  name: 'Inspect',
  asks: 'Is this head good, and if not, why?',
  logs: 'check',
  page: () => import('./CheckStation.svelte'),
  keys: [['Enter', 'on to height, then record and next head']],
  outboxes: ({ desk, rework, oldWork }) => [desk?.outbox, rework?.outbox, oldWork.outbox],
  // heads belong to the holes as issued
  standsAlone: ({ issue }) => issue !== null,
  status: ({ issue, desk }) => {
    if (!issue || !desk) return open('not released yet');
    const states = [...desk.states.values()];
    const looked = states.filter(({ last }) => last !== null).length;
    const text = `${looked} of ${issue.holes.length} inspected`;
    const allGood = states.every((state) => verdictNow(state) === 'accept');
    return looked === issue.holes.length && allGood ? done(text) : open(text);
  }
});
