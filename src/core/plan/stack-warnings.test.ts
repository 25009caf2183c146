import { describe, expect, it } from 'vitest';
import { stops, written } from '../../../tests/support/words';
import { definition, planned } from '../../../tests/support/joints';
import { newSheet } from '../joint/sheets';
import { stackWarnings } from './stack-warnings';
import { DEFAULT_PROFILE, type RuleProfile } from '../rules/profile';

const lap = (thick: [string, string], change = {}) =>
  definition('lap', thick, {
    widthIn: '8',
    dash: 4,
    head: 'countersunk',
    perInch: '2',
    perInchReason: 'own sheet',
    ...change
  });
const titles = (joint: ReturnType<typeof lap>, profile: RuleProfile = DEFAULT_PROFILE) =>
  written(planned(joint, profile))
    .filter(({ station }) => station === 'stack-up')
    .map(({ title }) => title);
const said = (joint: ReturnType<typeof lap>, title: string, profile = DEFAULT_PROFILE) =>
  written(planned(joint, profile)).find((warning) => warning.title === title)?.text;

describe('what is said of a flush stack', () => {
  it('stops at a knife edge', () => {
    const joint = lap(['0.050', '0.050'], { dash: 5 });
    expect(stops(planned(joint))).toContain('Knife edge');
    expect(said(joint, 'Knife edge')).toContain('A dash 5 flush head is 0.055 in high');
  });

  it('stops where there is no standard method', () => {
    expect(
      stops(
        planned(
          lap(['0.036', '0.036'], {
            sheets: ['a', 'b', 'c'].map((name) => newSheet(name, '0.036'))
          })
        )
      )
    ).toContain('No standard flush method');
  });

  it('says how proud a head must stay that is deeper than its sheet', () => {
    // head 0.042 in a sheet of 0.041
    const joint = lap(['0.041', '0.063']);
    expect(titles(joint)).toEqual(['Countersink is marginal', 'Head must stay above flush']);
    expect(said(joint, 'Head must stay above flush')).toBe(
      'Flushness +0.001 in to +0.002 in: below that the countersink goes through the sheet.'
    );
    // in 0.040 the low limit meets the high one
    expect(said(lap(['0.040', '0.040']), 'Head must stay above flush')).toBe(
      'Flushness +0.002 in only, less than one click: marginal. Any lower and the countersink goes through the sheet.'
    );
    // ±0.002 in 0.043: half of what the shop lets it lie low
    const aerodynamic = { ...DEFAULT_PROFILE, flushness: 'aerodynamic' } as const;
    expect(
      said(lap(['0.043', '0.063']), 'The sheet sets the low limit of flushness', aerodynamic)
    ).toContain('Flushness −0.001 in to +0.002 in');
  });

  it('says nothing of a cut within two thirds of its sheet', () => {
    expect(titles(lap(['0.071', '0.040']))).toEqual([]);
  });

  it('asks whether the temper is hard where the family may be', () => {
    expect(titles(lap(['0.025', '0.032'], { family: 'high-strength' }))).toContain(
      'Dimple hot if it is 7075-T6'
    );
    expect(titles(lap(['0.025', '0.032']))).not.toContain('Dimple hot if it is 7075-T6');
  });
});

describe('what is said of a length', () => {
  it('looks at both ends of a taper: the thick one leaves too little, the thin one too much', () => {
    const joint = lap(['0.040', '0.040'], { head: 'universal' });
    const plan = planned(joint);
    const [stack] = plan.stacks;
    if (!stack?.length.ok) throw new Error('planned');
    const D = 0.125;
    const { lengthIn } = stack.length.result;
    const at = (gripMinIn: number, gripMaxIn: number) =>
      stackWarnings(
        joint,
        { ...plan, stacks: [{ ...stack, gripMinIn, gripMaxIn }] },
        DEFAULT_PROFILE
      ).filter(({ said }) => said.code === 'protrusion');
    const { protrusionMinD, protrusionMaxD } = DEFAULT_PROFILE.multipliers;
    const thick = lengthIn - (protrusionMinD - 0.02) * D;
    const thin = lengthIn - (protrusionMaxD + 0.02) * D;
    expect(at(0.08, 0.08)).toEqual([]);
    expect(at(0.08, thick)).toHaveLength(1);
    expect(at(thin, 0.08)).toHaveLength(1);
  });

  const dimpled: RuleProfile = { ...DEFAULT_PROFILE, dimpled: 'at-dimple', lean: 'short' };

  it('reckons from the raised dimple where the shop does', () => {
    // grip 0.057 and a head of 0.042: 0.2865 ideal, short to 9/32: 0.18225 past the dimple = 1.46 D
    const joint = lap(['0.025', '0.032']);
    const narrow = {
      ...dimpled,
      multipliers: { ...dimpled.multipliers, protrusionMinD: 1.46 }
    };
    expect(said(joint, 'Protrusion out of limits', narrow)).toMatch(
      /^1.46 D measured from the raised dimple/
    );
    expect(titles(joint, dimpled)).toEqual([]);
  });

  it('tells why no height makes a good head', () => {
    // tight limits, -4.5 in 0.080: 1.574 of π/4·D³ is √(1.574 / 0.5) = 1.77 D wide at ½ D
    const text = said(
      lap(['0.040', '0.040'], { head: 'universal' }),
      'This length cannot form a good shop head',
      { ...DEFAULT_PROFILE, headLimits: 'tight' }
    );
    expect(text).toMatch(/^At 0.5 D high it would be 1.77 D wide: too much metal\./);
  });
});
