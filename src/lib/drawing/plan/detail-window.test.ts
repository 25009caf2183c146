import { describe, expect, it } from 'vitest';
import { detailWindow } from './detail-window';

describe('what is shown enlarged', () => {
  it.each([
    ['the datum corner', 20, 1, 4, { fromIn: 0, toIn: 4 }],
    ['round a hole further on', 20, 10, 4, { fromIn: 8, toIn: 12 }],
    ['the far end, not beyond it', 20, 19.7, 4, { fromIn: 16, toIn: 20 }],
    ['the whole of a short joint', 3, 2.9, 4, { fromIn: 0, toIn: 3 }]
  ])('is %s', (_, widthIn, pickedIn, shownIn, expected) => {
    expect(detailWindow(widthIn, pickedIn, shownIn, 0.2)).toEqual(expected);
  });
});
