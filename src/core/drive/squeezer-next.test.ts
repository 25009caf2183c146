import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { squeezerNext } from './squeezer-next';

describe('the next squeezer setting', () => {
  holdsWorkedCases('squeezer-next');

  // dash 4: 0.38 to 0.65 D; a turn of 0.05 in eight divisions is 0.00625 each
  const limits = { lowIn: 0.0475, highIn: 0.08125 };
  const ask = (...trials: [divisions: number, heightIn: number][]) =>
    resultOf(
      squeezerNext({
        targetIn: 0.0625,
        limits,
        turnIn: 0.05,
        divisionsPerTurn: 8,
        trials: trials.map(([divisions, heightIn]) => ({ divisions, heightIn }))
      })
    );

  it('goes by the thread until two settings were measured, and never further than the low limit', () => {
    // (0.15 − 0.0625) / 0.00625 = 14: three quarters is 10; (0.15 − 0.0475) / 0.00625 = 16.4
    expect(ask([0, 0.15])).toMatchObject({ nextDivisions: 10, confidence: 'assumed' });
    // it springs back: 0.0043 a division measured; 5 × 0.00625 would pass the low limit from 0.07…
    const sprung = ask([0, 0.15], [10, 0.107]);
    expect(sprung).toMatchObject({ confidence: 'measured' });
    expect(sprung.heightPerDivisionIn).toBeCloseTo(-0.0043, 12);
    // (0.107 − 0.0625) / 0.0043 = 10.3: ⌊7.76⌋ = 7 divisions; the worst they can do is 0.04375
    expect(sprung.changeDivisions).toBe(7);
  });

  it('counts a slope as half the thread’s at least', () => {
    expect(ask([0, 0.15], [4, 0.149]).heightPerDivisionIn).toBeCloseTo(-0.003125, 12);
  });

  it('leaves good alone, never goes back to a gap that was too small, and stops before the last division', () => {
    expect(ask([12, 0.07])).toMatchObject({ done: true, changeDivisions: 0, nextDivisions: 12 });
    expect(ask([14, 0.045], [12, 0.0825])).toMatchObject({ changeDivisions: 1, nextDivisions: 13 });
    expect(ask([13, 0.045], [12, 0.0825])).toMatchObject({ stuck: true, nextDivisions: 12 });
    expect(ask([12, 0.045])).toMatchObject({ overDriven: true, nextDivisions: null });
    expect(ask([11, 0.045], [12, 0.07])).toMatchObject({ overDriven: true, done: false });
  });

  it('asks for a trial, a target within the limits, and limits in order', () => {
    const asked = {
      targetIn: 0.0625,
      limits,
      turnIn: 0.05,
      trials: [{ divisions: 0, heightIn: 0.1 }]
    };
    for (const [change, path] of [
      [{ trials: [] }, 'trials'],
      [{ targetIn: 0.09 }, 'targetIn'],
      [{ limits: { lowIn: 0.09, highIn: 0.08 } }, 'limits'],
      [{ turnIn: 0.26 }, 'turnIn'],
      [{ divisionsPerTurn: 7.5 }, 'divisionsPerTurn']
    ] as const)
      expect(calc('squeezer-next', { ...asked, ...change })).toMatchObject({
        ok: false,
        error: { code: 'invalid-input', path }
      });
  });
});
