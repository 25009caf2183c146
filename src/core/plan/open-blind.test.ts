import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints.ts';
import { blindAgainst } from './open-blind.ts';

const ROW = {
  carries: 'attach' as const,
  dash: 4 as const,
  lengthIn: '10',
  flangeIn: '1',
  bendRadiusIn: '1/8'
};
const withBlind = (blind: object) =>
  planned(
    definition('line', ['0.032', '0.040'], {
      ...ROW,
      edits: [
        {
          id: 'e',
          line: 'line-1',
          index: 2,
          of: 8,
          state: 'held-open',
          nudgeIn: '',
          reason: 'blind rivet later',
          drill: '',
          asRivets: false,
          blind: '',
          blindLeastIn: '',
          blindMostIn: '',
          ...blind
        }
      ]
    })
  );
const told = (blind: object) =>
  withBlind(blind).warnings.flatMap(({ said, level }) =>
    said.code === 'open-blind' ? [{ why: said.why, level, holes: said.holes }] : []
  );

describe('a blind rivet planned for an open hole', () => {
  it('is held against the sheets there by its part number’s own grip', () => {
    // 0.032 + 0.040 = 0.072: over 1/16 up to 1/8 holds it
    expect(told({ blind: 'NAS1398D4-2', drill: '#30' })).toEqual([]);
    expect(told({ blind: 'NAS1398D4-1', drill: '#30' })).toEqual([
      { why: 'short', level: 'stop', holes: [3] }
    ]);
    expect(told({ blind: 'NAS1398D4-3', drill: '#30' })).toEqual([
      { why: 'long', level: 'stop', holes: [3] }
    ]);
  });

  it('says what nobody has said: grip, drill, another drill than its size’s', () => {
    expect(told({ blind: 'soft pulled rivet' })).toEqual([
      { why: 'grip-unknown', level: 'attention', holes: [3] },
      { why: 'no-drill', level: 'attention', holes: [3] }
    ]);
    expect(told({ blind: 'soft pulled rivet', drill: '#20', blindMostIn: '1/8' })).toEqual([]);
    expect(told({ blind: 'NAS1398D4-2', drill: '#20' })).toMatchObject([{ why: 'other-drill' }]);
    expect(
      told({ blind: 'MS20600AD4W3', drill: '#30', blindLeastIn: '0.08', blindMostIn: '0.2' })
    ).toMatchObject([{ why: 'long' }]);
  });

  it('counts the sheets that are just its grip as held', () => {
    const grip = { leastIn: 0.0625, mostIn: 0.125, over: false };
    const blind = { fastener: 'x', drillIn: 0.1285, grip };
    expect(blindAgainst(blind, 0.125)).toEqual([]);
    expect(blindAgainst(blind, 0.0625)).toEqual([]);
    expect(blindAgainst(blind, 0.126)).toEqual(['short']);
    // over 1/16: just that is the next shorter one’s
    const over = { ...blind, grip: { ...grip, over: true } };
    expect(blindAgainst(over, 0.0625)).toEqual(['long']);
  });

  it('changes no strength and no count: the hole was open before', () => {
    const without = withBlind({});
    const with2 = withBlind({ blind: 'NAS1398D4-2', drill: '#30' });
    const count = ({ layout }: typeof with2) => (layout.ok ? layout.result.rivets : NaN);
    expect(count(with2)).toBe(7);
    expect(count(without)).toBe(7);
    expect(with2.required).toEqual(without.required);
    expect(with2.mass).toEqual(without.mass);
    expect(with2.holes[2]?.blind).toEqual({
      fastener: 'NAS1398D4-2',
      drillIn: 0.1285,
      grip: { leastIn: 0.0625, mostIn: 0.125, over: true }
    });
  });
});
