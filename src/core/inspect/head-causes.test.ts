import { describe, expect, it } from 'vitest';
import { driveTo, likelyCauses, otherSchools, trendOf, type AroundHead } from './head-causes';

const around = (changes: Partial<AroundHead>): AroundHead => ({
  findings: [],
  metal: null,
  trend: null,
  expired: false,
  settingOpen: false,
  ...changes
});

describe('what made a head so', () => {
  it('looks for lost metal first where metal is missing', () => {
    const causes = likelyCauses(
      around({ findings: ['short-of-metal'], metal: { share: 0.5, meaning: 'lost' } })
    );
    expect(causes).toEqual(['gap', 'hole-large', 'rivet-short']);
  });

  it('names the row before the head, and the setting where heads went one way', () => {
    expect(
      likelyCauses(
        around({
          findings: ['over-driven'],
          metal: { share: 0.7, meaning: 'row-lost' },
          trend: 'rising'
        })
      )
    ).toEqual(['row-alike', 'setting-moved', 'too-long-a-burst', 'squeezer-closed-too-far']);
  });

  it('blames the cold time only where it had passed', () => {
    expect(likelyCauses(around({ findings: ['cracked'] }))).toEqual([]);
    expect(likelyCauses(around({ findings: ['cracked'], expired: true }))).toEqual([
      'cold-time-passed'
    ]);
  });

  it('sees a drift in four heads, one after another', () => {
    expect(trendOf([0.18, 0.185, 0.19, 0.195])).toBe('rising');
    expect(trendOf([0.2, 0.18, 0.17, 0.16, 0.15])).toBe('falling');
    expect(trendOf([0.18, 0.19, 0.19, 0.2])).toBeNull();
    expect(trendOf([0.18, 0.19, 0.2])).toBeNull();
  });
});

describe('to which height a head is driven on', () => {
  it('is where its metal is 1.5 D wide', () => {
    // d²·h = 0.16² × 0.1 = 0.00256; over (1.5 × 0.125)² = 0.03515625
    const found = driveTo({ dash: 4, limits: 'standard', diameterIn: 0.16, heightIn: 0.1 });
    expect(found?.heightIn).toBeCloseTo(0.00256 / 0.03515625, 12);
  });

  it('stays within the height limits', () => {
    // d²·h = 0.16² × 0.13 = 0.003328: 0.0947 high at 1.5 D, over the 0.08125 that is allowed
    const found = driveTo({ dash: 4, limits: 'standard', diameterIn: 0.16, heightIn: 0.13 });
    expect(found?.heightIn).toBeCloseTo(0.08125, 12);
  });

  it('is none where no height makes a good head of it', () => {
    // d²·h = 0.0011 < (1.3 D)² × 0.38 D = 0.001254
    expect(driveTo({ dash: 4, limits: 'standard', diameterIn: 0.1, heightIn: 0.11 })).toBeNull();
  });
});

it('says what the other schools would say', () => {
  const reading = {
    dash: 4,
    limits: 'standard',
    diameterIn: 0.175,
    heightIn: 0.078,
    flags: []
  } as const;
  // 1.4 D wide is under the 1.45 of tight limits while 0.624 D is over ½ D; classic flush allows 0.6 D of height
  expect(otherSchools({ ...reading, flags: [] })).toEqual([
    { limits: 'tight', verdict: 'drive-more' },
    { limits: 'classic-flush', verdict: 'drive-more' }
  ]);
});
