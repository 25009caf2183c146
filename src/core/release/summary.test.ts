import { describe, expect, it } from 'vitest';
import { entered } from '../../../tests/support/joints';
import { DEFAULT_PROFILE } from '../rules/profile';
import { summaryOf } from './summary';

const LAP = { widthIn: '8', dash: 4, perInch: '1.6', perInchReason: 'test' } as const;
const summary = (thick: string[], change: object = {}) =>
  summaryOf(entered('lap', thick, { ...LAP, ...change }), DEFAULT_PROFILE);

describe('what a list says of a joint', () => {
  it('names the field that is still empty', () => {
    expect(summary(['0.040', ''])).toMatchObject({
      state: 'unreadable',
      attention: [{ missing: 'sheets.2.thicknessIn' }]
    });
    expect(summary(['0.040', '0.040'], { widthIn: ' ' }).attention).toEqual([
      { missing: 'widthIn' }
    ]);
  });

  it('says why a field cannot be read', () => {
    expect(summary(['0.040', 'x']).attention).toMatchObject([
      { why: expect.anything() as unknown }
    ]);
  });

  it('counts no rivets of a joint that something stops', () => {
    // a cut that goes through its sheet
    const deep = summary(['0.020', '0.020'], { head: 'countersunk', method: 'countersink' });
    expect(deep.attention.length, JSON.stringify(deep)).toBeGreaterThan(0);
    expect(deep.parts).toBeNull();
  });

  it('counts what is planned', () => {
    expect(summary(['0.040', '0.040'])).toMatchObject({
      state: 'planned',
      holes: 13,
      parts: [{ partNumber: 'MS20470AD4-4.5', count: 13 }],
      attention: []
    });
  });
});
