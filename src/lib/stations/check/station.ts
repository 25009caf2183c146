import { defineStation, done, open } from '../station';

export const check = defineStation({
  key: 'check',
  name: 'Check',
  asks: 'Is this head good, and if not, why?',
  page: () => import('./CheckStation.svelte'),
  // heads belong to the holes as issued
  standsAlone: ({ issue }) => issue !== null,
  status: ({ issue, desk }) => {
    if (!issue || !desk) return open('not released yet');
    const looks = [...desk.states.values()].flatMap(({ last }) => last ?? []);
    const text = `${looks.length} of ${issue.holes.length} looked at`;
    const allGood = looks.every(({ frozen }) => frozen.verdict === 'accept');
    return looks.length === issue.holes.length && allGood ? done(text) : open(text);
  }
});
