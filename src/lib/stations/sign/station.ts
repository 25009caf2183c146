import { defineStation, done, open } from '../station';

export const sign = defineStation({
  key: 'sign',
  name: 'Sign',
  asks: 'What was done, by whom, to which data?',
  logs: 'sign',
  page: () => import('./SignStation.svelte'),
  standsAlone: () => true,
  status: ({ issue, signedBy }) =>
    issue === null
      ? open('not released yet')
      : issue.facts.practice
        ? open('practice: not signed')
        : signedBy === null
          ? open(`release ${issue.number} not signed`)
          : done(`signed by ${signedBy}`)
});
