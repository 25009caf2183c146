import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { protrusionInWindow, rivetLength } from './rivet-length';

const ASKED = {
  sheetsIn: [0.04, 0.04],
  dash: 4,
  head: 'universal',
  alloy: 'AD',
  increments: 'half',
  lean: 'nearest',
  dimpled: false
} as const;
const asked = (change: object) => rivetLength({ ...ASKED, ...change, sheetsIn: [0.04, 0.04] });

describe('rivet length', () => {
  holdsWorkedCases('rivet-length');

  it('works out like on paper, school by school', () => {
    // G 0.080 + 1.5 × 0.125 = 0.2675 = 8.56/32 = 4.28/16
    expect(resultOf(asked({})).lengthDash).toBe('4.5');
    expect(resultOf(asked({ increments: 'sixteenth' })).lengthDash).toBe('4');
    expect(resultOf(asked({ lean: 'short' })).lengthDash).toBe('4');
    expect(resultOf(asked({ lean: 'long', increments: 'sixteenth' })).lengthDash).toBe('5');
  });

  it('leaves the window open at its ends', () => {
    expect(protrusionInWindow(1)).toBe(false);
    expect(protrusionInWindow(1.001)).toBe(true);
    expect(protrusionInWindow(2)).toBe(false);
  });

  it('has no number for an alloy with standards of its own', () => {
    expect(calc('rivet-length', { ...ASKED, alloy: 'M' })).toMatchObject({
      ok: false,
      error: { code: 'invalid-input', path: 'alloy' }
    });
  });
});
