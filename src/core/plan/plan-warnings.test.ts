import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints.ts';

/** An 8 in row of dash 4: 12 D = 1.5 in apart at most, so six rivets whatever is needed. */
const needing = (required: number) =>
  planned(
    definition('lap', ['0.040', '0.040'], {
      widthIn: '8',
      dash: 4,
      rows: 1,
      prefer: 'fewest',
      perInch: String(required / 8),
      perInchReason: 'own sheet'
    })
  );
const saysMore = (required: number) =>
  needing(required).warnings.find(({ said }) => said.code === 'more-than-needed')?.said;

describe('more rivets than needed', () => {
  it('is said from a quarter more on', () => {
    const laid = needing(4).layout;
    expect(laid.ok && laid.result.rivets).toBe(6);
    // 6 of 5 is a fifth more, 6 of 4 half more
    expect(saysMore(5)).toBeUndefined();
    expect(saysMore(4)).toMatchObject({ has: 6, needs: 4 });
  });
});
