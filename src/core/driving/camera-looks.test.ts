import { describe, expect, it } from 'vitest';
import { cameraLooks } from './camera-looks';
import type { DriveState, HeadSeen, HoleDriven } from './drive-events';

const AT = '2031-02-03T10:00:00Z';
const hole = (change: Partial<HoleDriven> = {}): HoleDriven => ({
  driven: true,
  at: AT,
  hitAt: AT,
  by: 'Odile',
  quick: null,
  batch: null,
  expired: false,
  late: '',
  people: [],
  stated: false,
  times: 1,
  before: null,
  ...change
});
const seen = (diameterIn: number): HeadSeen => ({
  diameterIn,
  plusMinusIn: 0.005,
  id: 'look',
  camera: 'rod',
  simulated: false,
  at: AT,
  by: 'Odile'
});

describe('what the camera has seen', () => {
  const state: Pick<DriveState, 'holes' | 'seen'> = {
    holes: new Map([
      [1, hole()],
      [2, hole({ quick: 'again' })],
      [3, hole()],
      [4, hole({ driven: false })],
      [5, hole()]
    ]),
    // dash 5, standard: 0.203125 to 0.2734375
    seen: new Map([
      [1, seen(0.235)],
      [3, seen(0.207)]
    ])
  };
  it('is told in the order of driving: not seen, and to be looked at again', () => {
    expect(cameraLooks(state, [5, 3, 4, 1, 2, 6], 'standard', () => 5)).toEqual({
      driven: [5, 3, 1, 2],
      unseen: [5, 2],
      again: [3, 2]
    });
  });
});
