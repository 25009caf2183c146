import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { compareRules } from '../../core/plan/compare-rules';
import { DEFAULT_PROFILE } from '../../core/rules/profile';
import { placeInWords } from './places';
import { warningInWords } from './warnings';
import { inInches, inStyle } from './writing';

const patch = definition('patch', ['0.040', '0.040'], {
  cutoutWIn: '62 mm',
  cutoutHIn: '38 mm',
  dash: 4,
  edgeIn: '5 mm'
});

describe('a warning', () => {
  const limit = {
    said: { code: 'limit', rule: 'edge-min', valueIn: 5 / 25.4, limitIn: 0.25 },
    holes: [3, 4]
  } as const;

  it('says of a cover that is less than none what it is', () => {
    const washer = (coverIn: number) =>
      warningInWords({ said: { code: 'washer-needed', coverIn, leastIn: 0.03 } }, inInches);
    expect(washer(0.01)).toMatchObject({
      title: 'Head overlap on the panel hole too small',
      text: expect.stringContaining('0.01 in is left')
    });
    expect(washer(-0.012)).toMatchObject({
      title: 'The head does not cover the panel’s hole',
      text: expect.stringContaining('its hole extends 0.012 in past the head')
    });
  });

  it('is read in the unit of whoever reads it', () => {
    const of = (style: '1/64' | 'decimal' | 'thou' | 'mm') =>
      warningInWords({ said: limit.said, holes: [...limit.holes] }, inStyle(style)).text;
    expect(of('mm')).toBe('5.0 mm against a limit of 6.35 mm. Holes 3, 4.');
    expect(of('1/64')).toBe('0.1969 in against a limit of 1/4 in. Holes 3, 4.');
    expect(of('decimal')).toBe('0.1969 in against a limit of 0.250 in. Holes 3, 4.');
    expect(of('thou')).toBe('196.9 thou against a limit of 250 thou. Holes 3, 4.');
    expect(warningInWords({ ...limit, holes: [] }, inInches).text).toBe(
      '0.19685 in against a limit of 0.25 in.'
    );
  });

  it('leaves no inch in front of someone who reads millimetres', () => {
    const wrong = [
      definition('lap', ['0.040', '0.040'], {
        widthIn: '10.71',
        dash: 4,
        edgeIn: '0.26',
        scale: '0.1'
      }),
      definition('splice', ['0.050', '0.032'], { widthIn: '9', gapIn: '0' }),
      definition('lap', ['0.022', '0.071'], { widthIn: '6', dash: 5, head: 'countersunk' })
    ].flatMap((joint) => planned(joint).warnings);
    expect(wrong.map(({ said }) => said.code)).toEqual(
      expect.arrayContaining(['limit', 'straps-thinner'])
    );
    for (const warning of wrong) {
      const { title, text } = warningInWords(warning, inStyle('mm'));
      expect(`${title} ${text}`, warning.said.code).not.toMatch(/\d in\b/);
    }
  });
});

it('names the place of a width in the person’s unit, wherever it is told', () => {
  const places = planned(patch).needs.map(({ where }) => placeInWords(where, inStyle('mm')));
  expect(places).toEqual(['on the 62.0 mm side', 'on the 38.0 mm side']);
  const own = {
    ...DEFAULT_PROFILE,
    diameter: DEFAULT_PROFILE.diameter === 'thickest' ? 'thinnest' : 'thickest'
  } as const;
  const unequal = definition('splice', ['0.040', '0.071', '0.040'], { widthIn: '9', gapIn: '0' });
  const told = compareRules(unequal, DEFAULT_PROFILE, own).find(
    ({ name }) => name.what === 'needed'
  );
  expect(told?.name).toEqual({ what: 'needed', where: { at: 'each-side', of: 'joint' } });
});
