import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { arithmetic, refusal } from '../../../tests/support/words';
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

  it('is refused for a skin that is not dimpled, and shows its arithmetic', () => {
    const thick = dimpleNest({ skinIn: 0.09, dash: 4, clickIn: 0.001 });
    expect(thick).toMatchObject({ ok: false, error: { code: 'not-possible', path: 'skinIn' } });
    expect(thick.ok ? '' : refusal(thick.error)).toMatch(/0\.09 in/);
    const nest = dimpleNest({ skinIn: 0.04, dash: 5, clickIn: 0.0008 });
    // 1/sin 50° − 1 = 0.305407; 2·tan 50° = 2.383507; dash 5: head 0.286 wide, #21 is 0.159; 2·tan 55° = 2.856296
    expect(nest.ok && arithmetic(nest.work)).toEqual([
      'extra depth: t × (1/sin 50° − 1) = 0.04 × 0.305407 = 0.012216 in',
      'extra clicks: ⌊0.012216 / 0.0008⌋: whole clicks that do not pass it = 15 clicks',
      'nest diameter: flush + 2·tan 50° × extra = 0.286 + 2.383507 × 0.012216 = 0.315118 in',
      'depth of a 110° cut with that mouth: (nest − hole) / (2·tan 55°) = (0.315118 − 0.159) / 2.856296 = 0.054657 in'
    ]);
  });

  it('never clicks past the extra depth, at the cage’s own step', () => {
    // 0.3054 × 0.032 = 0.009773: nine clicks of 0.001, eight of 0.00115
    expect(resultOf(dimpleNest({ skinIn: 0.032, dash: 4, clickIn: 0.001 })).extraClicks).toBe(9);
    expect(resultOf(dimpleNest({ skinIn: 0.032, dash: 4, clickIn: 0.00115 })).extraClicks).toBe(8);
  });
});
