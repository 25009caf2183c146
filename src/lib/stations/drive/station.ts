import { defineStation, open } from '../station';

export const drive = defineStation({
  key: 'drive',
  name: 'Drive',
  asks: 'With what, in what order, before when?',
  page: {
    will: [
      'name the gun, the bar and the squeezer gap for this rivet',
      'show the driving order, with every hole that must stay open',
      'run the clock of refrigerated rivets'
    ],
    meanwhile: 'drive as usual, then measure the heads under Check'
  },
  status: () => open('comes next')
});
