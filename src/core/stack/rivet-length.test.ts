import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { arithmetic, refusal } from '../../../tests/support/words';
import { calc } from '../calc';
import { DEFAULT_MULTIPLIERS } from '../rules/multipliers';
import { protrusionInWindow, rivetLength, type RivetLengthInput } from './rivet-length';

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

  it('shows its arithmetic, whichever way it was rounded', () => {
    const shown = rivetLength({ ...ASKED, sheetsIn: [0.04, 0.032] });
    expect(shown.ok && arithmetic(shown.work)).toEqual([
      'grip: 0.04 + 0.032 = 0.072 in',
      'ideal length: G + 1.5 D = 0.072 + 1.5 × 0.125 = 0.2595 in',
      'length, nearest: to a whole 1/32 = -4 (16ths) = 0.25 in',
      'protrusion: L − G = 0.25 − 0.072 = 0.178 in',
      'protrusion in D: 0.178 / 0.125 = 1.424 D'
    ]);
    const long = asked({ lean: 'long', increments: 'sixteenth' });
    expect(long.ok && arithmetic(long.work)[2]).toBe(
      'length, round up: to a whole 1/16 = -5 (16ths) = 0.3125 in'
    );
  });

  it('reckons from the raised dimple where the shop does', () => {
    // 0.057 + 0.042 + 0.1875 = 0.2865 = 9.168/32; from the dimple 0.28125 − 0.057 − 0.042 = 0.18225 = 1.458 D
    const dimpled: RivetLengthInput = {
      ...ASKED,
      sheetsIn: [0.025, 0.032],
      head: 'countersunk',
      dimpled: true
    };
    const raised = rivetLength(dimpled, DEFAULT_MULTIPLIERS, 0.042);
    expect(resultOf(raised)).toMatchObject({ lengthDash: '4.5', inWindow: true });
    expect(resultOf(raised).idealIn).toBeCloseTo(0.2865, 12);
    expect(resultOf(raised).atDimpleIn).toBeCloseTo(0.18225, 12);
    expect(raised.ok && arithmetic(raised.work)[1]).toBe(
      'ideal length: G + head + 1.5 D, measured from the dimple = 0.057 + 0.042 + 1.5 × 0.125 = 0.2865 in'
    );
    expect(raised.ok && arithmetic(raised.work).at(-1)).toBe(
      'protrusion at the dimple: 0.22425 − head height 0.042 = 0.18225 in'
    );
    // from the flat stack the same rivet would stand 1.794 D out; one of 2.13 D only counts from the dimple
    const narrow = { ...DEFAULT_MULTIPLIERS, protrusionMaxD: 1.6 };
    expect(resultOf(rivetLength(dimpled, narrow, 0.042)).inWindow).toBe(true);
    expect(resultOf(rivetLength(dimpled, narrow)).inWindow).toBe(true);
    const wide = { ...DEFAULT_MULTIPLIERS, protrusionMinD: 1.5 };
    expect(resultOf(rivetLength(dimpled, wide, 0.042)).inWindow).toBe(false);
  });

  it.each([
    // 0.024 + 0.140625 = 2.63/16: the shortest there is
    [{ dash: 3, sheetsIn: [0.012, 0.012], lean: 'short', increments: 'sixteenth' }, true],
    // -32 is 2 in: 1.8125 + 0.1875
    [{ dash: 4, sheetsIn: [0.9125, 0.9] }, true],
    [{ dash: 4, sheetsIn: [0.93, 0.93] }, false]
  ] as const)('holds the length between -2 and -32: %j', (change, expected) => {
    const answer = rivetLength({ ...ASKED, ...change, sheetsIn: [...change.sheetsIn] });
    expect(answer.ok).toBe(expected);
    if (!answer.ok) expect(refusal(answer.error)).toMatch(/-2 to -32/);
  });

  it.each([
    [{ dimpled: true }, 'invalid-input', /sits on top of the sheet/],
    [{ head: 'countersunk', dimpled: true, sheetsIn: [0.05, 0.04] }, 'not-possible', /0\.09/],
    [{ head: 'countersunk', sheetsIn: [0.02, 0.02] }, 'not-possible', /0\.042/]
  ] as const)('refuses %j', (change, code, message) => {
    const answer = rivetLength({ ...ASKED, sheetsIn: [0.04, 0.04], ...change } as never);
    expect(answer).toMatchObject({ ok: false, error: { code } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
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
