import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { rivetsRequired } from './rivets-required';
import { refusal } from '../../../tests/support/words';

const ASKED = {
  family: 'clad-2024',
  thicknessIn: 0.04,
  dash: 4,
  widthIn: 10.75,
  location: 'single-lap',
  head: 'universal'
} as const;

describe('rivets required', () => {
  holdsWorkedCases('rivets-required');

  it('works out like on paper', () => {
    // bearing 1/(1.6 × 0.1285) = 4.864; shear 0.04/(0.5 × π/4 × 0.1285²) = 6.169 → 6.2
    // 6.2 × 10.75 × 0.75 = 49.99 → 50
    const result = resultOf(rivetsRequired(ASKED));
    expect(result.perInchExact).toBeCloseTo(6.1687, 4);
    expect(result).toMatchObject({ perInch: 6.2, critical: 'shear', required: 50 });
  });

  it('takes a product a whisker over a whole number as that number', () => {
    // 3.3 × 10 is 33.000000000000004 in floating point
    const result = resultOf(
      rivetsRequired({ ...ASKED, thicknessIn: 0.032, dash: 6, widthIn: 10, location: 'general' })
    );
    expect(result.required).toBe(33);
  });

  it('warns that flush heads carry less', () => {
    expect(resultOf(rivetsRequired({ ...ASKED, head: 'countersunk' })).warnings).toEqual([
      'flush-strength-lower'
    ]);
  });

  it.each([
    [{ dash: 5, thicknessIn: 0.019 }, /too large.*0\.02 in/],
    [{ dash: 6, thicknessIn: 0.031 }, /too large.*0\.032 in/],
    [{ dash: 8, thicknessIn: 0.035 }, /too large.*0\.036 in/],
    [{ dash: 3, thicknessIn: 0.09 }, /too small.*maximum is 14/]
  ] as const)('says no to %j with the limit and the value', (change, message) => {
    const answer = rivetsRequired({ ...ASKED, ...change });
    expect(answer).toMatchObject({ ok: false, error: { code: 'not-possible', path: 'dash' } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
  });

  it('asks about a slipped decimal point', () => {
    const answer = calc('rivets-required', { ...ASKED, thicknessIn: '0.32' });
    expect(answer).toMatchObject({
      ok: false,
      error: { code: 'invalid-input', path: 'thicknessIn' }
    });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(/decimal point\. Was 0\.032 in meant/);
  });

  it('names the limit of a width that would never end', () => {
    const answer = calc('rivets-required', { ...ASKED, widthIn: 1201 });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(/at most 1200 in/);
  });
});
