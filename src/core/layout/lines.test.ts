import { describe, expect, it } from 'vitest';
import { alongOf, evenly, offLineIn, pointAt, roundThe, straight } from './lines';

describe('places along a line', () => {
  const slanted = straight(1, 2, 10, [0.6, 0.8]);
  const ring = { path: 'circle', xIn: 3, yIn: 3, radiusIn: 2 } as const;

  it('lead to a point and back', () => {
    for (const alongIn of [0, 0.25, 3.7, 9.99]) {
      const onLine = pointAt(slanted, alongIn);
      expect(alongOf(slanted, onLine.xIn, onLine.yIn)).toBeCloseTo(alongIn, 12);
      expect(offLineIn(slanted, onLine.xIn, onLine.yIn)).toBeCloseTo(0, 12);
      const onRing = pointAt(ring, alongIn);
      expect(alongOf(ring, onRing.xIn, onRing.yIn)).toBeCloseTo(alongIn, 9);
    }
  });

  it('begin at the top of a ring and go round to the right', () => {
    expect(pointAt(ring, 0)).toMatchObject({ xIn: expect.closeTo(3, 12) as number, yIn: 1 });
    expect(pointAt(ring, Math.PI)).toMatchObject({ xIn: 5, yIn: expect.closeTo(3, 12) as number });
  });

  it('know the side a point lies on', () => {
    // along +x, right is down; outside a ring is further out
    expect(offLineIn(straight(0, 1, 5), 2, 1.25)).toBeCloseTo(0.25, 12);
    expect(offLineIn(ring, 3, 0.5)).toBeCloseTo(0.5, 12);
  });

  it('are spread evenly, ends included, or round and round', () => {
    expect(evenly(1, 3, 5)).toEqual([1, 1.5, 2, 2.5, 3]);
    expect(roundThe(2, 4, false)).toEqual([0, Math.PI, 2 * Math.PI, 3 * Math.PI]);
    expect(roundThe(2, 4, true)[0]).toBeCloseTo(Math.PI / 2, 12);
  });
});
