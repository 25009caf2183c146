import { describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE, type RuleProfile } from '../../core/rules/profile';
import { SHOP_LENGTHS } from '../../core/rules/schools';
import { ruleChangesInWords } from './rule-changes';

const changed = (change: Partial<RuleProfile>, style: 'decimal' | 'mm' = 'decimal') =>
  ruleChangesInWords(DEFAULT_PROFILE, { ...DEFAULT_PROFILE, ...change }, style);

describe('what a shop’s rules say otherwise', () => {
  it('is nothing where only the version is another', () => {
    expect(changed({ version: 7 })).toEqual([]);
  });

  it('is said by the question and what was chosen, in the reader’s unit', () => {
    expect(changed({ countersinkWhen: 'clamped', flushness: 'three-proud' }, 'mm')).toEqual([
      'When are holes countersunk? once apart → while clamped',
      'Flushness 0 to +0.0508 mm → 0 to +0.0762 mm'
    ]);
  });

  it('says which places an inspection asks for no more', () => {
    expect(changed({ inspect: ['manufactured', 'flush'] })).toEqual([
      'Sheets: inspected → not asked for'
    ]);
  });

  it('gives lengths with their unit and limits with theirs', () => {
    // 19.5 mm are 0.76772 in
    expect(changed({ setRadiusIn: 19.5 / 25.4, housePitchIn: 1.25 })).toEqual([
      'House pitch: 1.000 in → 1.250 in',
      'Half width of the widest rivet set or die: 0.250 in → 0.76772 in'
    ]);
    expect(changed({ setRadiusIn: 19.5 / 25.4 }, 'mm')).toEqual([
      'Half width of the widest rivet set or die: 6.35 mm → 19.50 mm'
    ]);
    const { multipliers } = DEFAULT_PROFILE;
    expect(
      changed({
        name: 'Float repairs',
        multipliers: { ...multipliers, pitchMaxD: 8, edgeMinD: { universal: 2, countersunk: 3 } }
      })
    ).toEqual([
      'Name: Shop profile → Float repairs',
      'Minimum edge distance, flush or dimpled: 2.5 D → 3 D',
      'Maximum pitch: 12 D → 8 D'
    ]);
  });

  it('says every length of the profile: one that is added is shown, saved and said', () => {
    const lengths = Object.keys(DEFAULT_PROFILE).filter((key) => key.endsWith('In'));
    expect(SHOP_LENGTHS.map(({ key }) => key).toSorted()).toEqual(lengths.toSorted());
    for (const { key, label } of SHOP_LENGTHS)
      expect(changed({ [key]: 2.5 })).toEqual([expect.stringContaining(`${label}: `)]);
  });
});
