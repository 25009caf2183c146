import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { dimpleNest } from './dimple-nest';

describe('dimple nest', () => {
  holdsWorkedCases('dimple-nest');

  it('puts the two cones one skin apart', () => {
    const { extraDepthIn, flushDiameterIn, nestDiameterIn } = resultOf(
      dimpleNest({ skinIn: 0.032, dash: 4, clickIn: 0.001 })
    );
    // Square to a cone of 50° half angle, a depth of x is x·sin 50°; the skin's own thickness is nested.
    const betweenCones = (extraDepthIn + 0.032) * Math.sin((50 * Math.PI) / 180);
    expect(betweenCones).toBeCloseTo(0.032, 12);
    expect((nestDiameterIn - flushDiameterIn) / 2 / extraDepthIn).toBeCloseTo(1.19175, 5);
  });

  it('never clicks past the extra depth, at the cage’s own step', () => {
    // 0.3054 × 0.032 = 0.009773: nine clicks of 0.001, eight of 0.00115
    expect(resultOf(dimpleNest({ skinIn: 0.032, dash: 4, clickIn: 0.001 })).extraClicks).toBe(9);
    expect(resultOf(dimpleNest({ skinIn: 0.032, dash: 4, clickIn: 0.00115 })).extraClicks).toBe(8);
  });
});
