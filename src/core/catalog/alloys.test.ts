import { describe, expect, it } from 'vitest';
import { Alloy } from '../schema/fields';
import { alloyFacts, byMark } from './alloys';

describe('rivet alloys', () => {
  it('are known for every alloy that is calculated', () => {
    expect(Alloy.options.map((code) => alloyFacts(code).alloy)).toEqual([
      '1100-F',
      '2117-T4',
      '2017-T4',
      '2024-T4',
      '5056-H32',
      '7050-T73'
    ]);
  });

  it.each([
    ['one raised dot', ['D']],
    ['One Raised Dot!', ['D']],
    ['dimple', ['AD']],
    ['raised', ['D', 'DD', 'B', 'E']],
    ['two dashes', ['DD']],
    ['cross', ['B']],
    ['ring', ['E']],
    ['plain', ['A', 'M']],
    ['star', []]
  ])('are found by their mark: %s', (words, codes) => {
    expect(byMark(words).alloys.map(({ code }) => code)).toEqual(codes);
  });

  it.each([
    ['three raised dashes', ['7075-T73']],
    ['recessed dash', ['corrosion-resistant steel']],
    ['triangle', ['carbon steel']],
    ['recessed dot', ['titanium', 'nickel-copper, some']],
    ['plain', ['copper', 'brass']],
    ['yellow', ['brass']],
    ['star', []]
  ])('are told from rivets that are not planned here: %s', (words, metals) => {
    expect(byMark(words).others.map(({ metal }) => metal)).toEqual(metals);
  });

  it('say how long cold ones may be driven', () => {
    expect(alloyFacts('D').cold).toEqual({ dueMinutes: 60, limitMinutes: 60 });
    expect(alloyFacts('DD').cold).toEqual({ dueMinutes: 10, limitMinutes: 20 });
    expect(alloyFacts('AD').cold).toBeNull();
  });
});
