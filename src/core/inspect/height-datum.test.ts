import { describe, expect, it } from 'vitest';
import { otherDatum } from './height-datum';

describe('what a head’s height was read from', () => {
  const dash3 = { dash: 3, limits: 'standard', dimpledThrough: true } as const;

  it('is asked where it fits the sheet’s flat and not the dimple', () => {
    // the head of dash 3 is 0.036 high: 0.083 from the flat is 0.047 from the dimple, 0.5 D
    const asked = otherDatum(0.083, dash3);
    expect(asked?.flatIn).toBe(0.083);
    expect(asked?.dimpleIn).toBeCloseTo(0.047, 12);
  });

  it('is not asked of a height that is good from the dimple, or good from neither', () => {
    expect(otherDatum(0.047, dash3)).toBeNull();
    expect(otherDatum(0.03, dash3)).toBeNull();
    expect(otherDatum(0.12, dash3)).toBeNull();
    // 0.65 D and 0.036 more: the highest that may be one from the flat
    expect(otherDatum(0.65 * 0.09375 + 0.036, dash3)).not.toBeNull();
    expect(otherDatum(0.65 * 0.09375 + 0.0361, dash3)).toBeNull();
  });

  it('is the sheet where nothing is dimpled through', () => {
    expect(otherDatum(0.083, { ...dash3, dimpledThrough: false })).toBeNull();
  });
});
