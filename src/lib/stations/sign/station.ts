import { defineStation, open } from '../station';

export const sign = defineStation({
  key: 'sign',
  name: 'Sign',
  asks: 'What was done, by whom, to which data?',
  page: {
    will: [
      'lay out the record: who did what, with which rivet and lot, to which data',
      'take the signature of a person entitled to sign',
      'print it'
    ],
    meanwhile: 'sign the paper record; nothing here replaces it'
  },
  standsAlone: () => true,
  status: () => open('not built yet')
});
