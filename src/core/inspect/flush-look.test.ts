import { describe, expect, it } from 'vitest';
import { flushFound } from './flush-look';

const PROUD = { lowIn: 0, highIn: 0.002 };

describe('how flush a head stands', () => {
  it.each([
    [0, null],
    [0.002, null],
    [0.0021, 'not-flush-high'],
    [-0.0001, 'not-flush-low']
  ] as const)('by number: %d is %s', (offIn, flag) => {
    expect(flushFound({ by: 'number', offIn }, PROUD)).toEqual({ flag, cannotTell: [] });
  });

  it.each([
    // a straightedge that clears a slip no thicker than the limit: the head is under it
    [0.002, false, null, ['not-flush-low']],
    // one that clears a thicker slip may still stand between the two
    [0.003, false, null, ['not-flush-high', 'not-flush-low']],
    [0.003, true, 'not-flush-high', []],
    // catching on a slip thinner than the limit tells nothing
    [0.001, true, null, ['not-flush-high', 'not-flush-low']]
  ] as const)('over a slip of %d, catches %s: %s', (slipIn, catches, flag, cannotTell) => {
    expect(flushFound({ by: 'slip', slipIn, catches }, PROUD)).toEqual({ flag, cannotTell });
  });
});
