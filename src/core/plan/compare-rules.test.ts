import { describe, expect, it } from 'vitest';
import { definition } from '../../../tests/support/joints';
import { compareRules } from './compare-rules';
import { DEFAULT_PROFILE, RuleProfile } from '../rules/profile';
import { LIMITS } from '../rules/limit-settings';
import { SCHOOLS } from '../rules/schools';

const joint = definition('lap', ['0.040', '0.063'], { widthIn: '10 3/4', location: 'single-lap' });

describe('what would differ under other rules', () => {
  it('is nothing under the same rules of another version', () => {
    expect(compareRules(joint, DEFAULT_PROFILE, { ...DEFAULT_PROFILE, version: 2 })).toEqual([]);
  });

  it('names the answers that follow from the thinnest sheet', () => {
    const effects = compareRules(joint, DEFAULT_PROFILE, {
      ...DEFAULT_PROFILE,
      diameter: 'thinnest'
    });
    // 3 × 0.063 = 0.189 → dash 6; 3 × 0.040 = 0.120 → dash 4
    expect(effects).toContainEqual({
      name: { what: 'size' },
      here: { is: 'size', dash: 6 },
      there: { is: 'size', dash: 4 }
    });
    expect(effects.map(({ name }) => name.what)).toContain('drill');
  });

  it('says when a limit would be broken', () => {
    const strict: RuleProfile = {
      ...DEFAULT_PROFILE,
      multipliers: { ...DEFAULT_PROFILE.multipliers, edgeMaxD: 2.05 }
    };
    const effects = compareRules(joint, DEFAULT_PROFILE, strict);
    expect(effects.find(({ name }) => name.what === 'limits')).toMatchObject({
      here: { is: 'stops', said: [] },
      there: { is: 'stops', said: [{ code: 'limit', rule: 'edge-max' }] }
    });
  });
});

describe('the list of schools', () => {
  it('covers every school of the profile with every value it takes', () => {
    const shape = RuleProfile.shape as unknown as Record<
      string,
      { def: { innerType?: { options?: string[] } }; options?: string[] }
    >;
    for (const { key, options } of SCHOOLS) {
      const field = shape[key];
      const values = field?.options ?? field?.def.innerType?.options;
      expect(options.map(({ value }) => value).sort(), key).toEqual([...(values ?? [])].sort());
    }
    const told = new Set(SCHOOLS.map(({ key }) => key as string));
    const left = Object.keys(RuleProfile.shape).filter((key) => !told.has(key));
    // lengths, counts, limits and places are set beside the schools
    expect(left.sort()).toEqual([
      'housePitchIn',
      'icebox',
      'inspect',
      'multipliers',
      'name',
      'sampleEvery',
      'sampleFirst',
      'setRadiusIn',
      'tighten',
      'version'
    ]);
  });

  it('covers every limit, and sets what it reads', () => {
    const numbers = (node: unknown): number =>
      typeof node === 'number'
        ? 1
        : Object.values(node as object).reduce((sum: number, one) => sum + numbers(one), 0);
    expect(LIMITS).toHaveLength(numbers(DEFAULT_PROFILE.multipliers));
    for (const limit of LIMITS)
      expect(limit.of(limit.set(DEFAULT_PROFILE.multipliers, 7.5)), limit.key).toBe(7.5);
  });
});
