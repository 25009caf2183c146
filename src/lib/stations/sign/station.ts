import { defineStation, done, open } from '../station';

export const sign = defineStation({
  key: 'sign',
  name: 'Sign',
  asks: 'What was done, by whom, to which data?',
  logs: 'sign',
  page: () => import('./SignStation.svelte'),
  standsAlone: () => true,
  status: ({ release, signedBy }) =>
    release === null
      ? open('not released yet')
      : release.facts.practice
        ? open('practice: not signed')
        : signedBy === null
          ? open(`release ${release.number} not signed`)
          : done(`signed by ${signedBy}`)
});
