import { describe, expect, it } from 'vitest';
import { boundRules } from './bound-rules';
import { DEFAULT_PROFILE, type RuleProfile } from './profile';

const SHOP: RuleProfile = {
  ...DEFAULT_PROFILE,
  checking: 'another',
  signing: 'another',
  sampling: 'all'
};
const by = { rules: 'Ilse', ownHeads: 'Benn' };
const differs = (joint: Partial<RuleProfile>, shop: Partial<RuleProfile> = {}) =>
  boundRules({ ...SHOP, ...shop }, { ...SHOP, ...shop, ...joint }, null, by);

describe('rules that bind a joint', () => {
  it('are none where it is planned under the shop’s, and where only its layout differs', () => {
    expect(differs({})).toEqual([]);
    expect(differs({ pitch: 'near', housePitchIn: 0.875, version: 7 })).toEqual([]);
  });

  it.each<[Partial<RuleProfile>, Partial<RuleProfile>, string, boolean]>([
    // joint, shop, rule, loosens
    [{ checking: 'anyone' }, {}, 'checking', true],
    [{ checking: 'another' }, { checking: 'anyone' }, 'checking', false],
    [{ signing: 'anyone' }, {}, 'signing', true],
    [{ signing: 'another' }, { signing: 'anyone' }, 'signing', false],
    [{ sampling: 'first-then-every' }, {}, 'sampling', true],
    [{ sampling: 'all' }, { sampling: 'first-then-every' }, 'sampling', false],
    [{ sampleFirst: 2 }, { sampling: 'first-then-every' }, 'sampleFirst', true],
    [{ sampleFirst: 4 }, { sampling: 'first-then-every' }, 'sampleFirst', false],
    [{ sampleEvery: 6 }, { sampling: 'first-then-every' }, 'sampleEvery', true],
    [{ sampleEvery: 4 }, { sampling: 'first-then-every' }, 'sampleEvery', false],
    [{ tighten: 4 }, {}, 'tighten', true],
    [{ tighten: 6 }, {}, 'tighten', false],
    [{ inspect: ['sheet', 'flush'] }, {}, 'inspect', true],
    [{ inspect: ['sheet', 'flush', 'manufactured'] }, { inspect: ['sheet'] }, 'inspect', false],
    [{ headLimits: 'tight' }, {}, 'headLimits', false],
    [{ flushness: 'aerodynamic' }, {}, 'flushness', false]
  ])('%j under a shop of %j: %s, looser %s', (joint, shop, rule, loosens) => {
    expect(differs(joint, shop).map((one) => [one.rule, one.loosens])).toEqual([[rule, loosens]]);
  });

  it('do not count by the order in which places were chosen, nor counts of a sample that is not taken', () => {
    expect(differs({ inspect: [...SHOP.inspect].reverse() })).toEqual([]);
    expect(differs({ sampleFirst: 1, sampleEvery: 90 })).toEqual([]);
  });

  it('are looser once where a sample is taken of what the shop looks at whole', () => {
    expect(
      differs({ sampling: 'first-then-every', sampleFirst: 1 }).map(({ rule, loosens }) => [
        rule,
        loosens
      ])
    ).toEqual([
      ['sampling', true],
      ['sampleFirst', false]
    ]);
  });

  it('name who set them, and limits of the joint’s own', () => {
    expect(boundRules(SHOP, { ...SHOP, signing: 'anyone' }, 'drawing 51, sheet 4', by)).toEqual([
      { rule: 'signing', shop: 'another', joint: 'anyone', by: 'Ilse', loosens: true },
      {
        rule: 'ownHeads',
        shop: SHOP.headLimits,
        joint: 'drawing 51, sheet 4',
        by: 'Benn',
        loosens: false
      }
    ]);
  });
});
