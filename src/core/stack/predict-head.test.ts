import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { predictHead } from './predict-head';
import { refusal } from '../../../tests/support/words';

const ASKED = {
  dash: 4,
  head: 'universal',
  gripIn: 0.08,
  lengthIn: 0.28125,
  holeIn: 0.1285,
  limits: 'standard',
  dimpled: false
} as const;

describe('predicted shop head', () => {
  holdsWorkedCases('predict-head');

  it('keeps the volume: shank outside less what fills the hole', () => {
    const { volumeIn3, diameterAtHalfDIn, heightAt1p5DIn } = resultOf(predictHead(ASKED));
    const outside = (Math.PI / 4) * 0.125 ** 2 * 0.20125;
    const filling = (Math.PI / 4) * (0.1285 ** 2 - 0.125 ** 2) * 0.08;
    expect(volumeIn3).toBeCloseTo(outside - filling, 15);
    expect((Math.PI / 4) * diameterAtHalfDIn ** 2 * 0.0625).toBeCloseTo(volumeIn3, 15);
    expect((Math.PI / 4) * 0.1875 ** 2 * heightAt1p5DIn).toBeCloseTo(volumeIn3, 15);
  });

  it('gives heights at which both limits hold, and none outside them', () => {
    const { volumeIn3, heightBandD } = resultOf(predictHead(ASKED));
    const widthD = (heightD: number) =>
      Math.sqrt((4 * volumeIn3) / (Math.PI * heightD * 0.125)) / 0.125;
    expect(heightBandD).not.toBeNull();
    const { low, high } = heightBandD ?? { low: NaN, high: NaN };
    expect(widthD(low)).toBeCloseTo(1.75, 9);
    expect(high).toBe(0.65);
    expect(widthD(low - 0.001)).toBeGreaterThan(1.75);
  });

  it.each([
    [{ lengthIn: 0.08 }, 'not-possible', /no metal is left/],
    [{ head: 'countersunk', gripIn: 0.04 } as const, 'not-possible', /higher than the grip/],
    [{ holeIn: 0.12 }, 'invalid-input', /does not take a dash 4/],
    // 1.15 D is 0.14375
    [{ holeIn: 0.1438 }, 'not-possible', /too large for a dash 4/],
    [{ dimpled: true }, 'invalid-input', /universal|countersunk|dimpled/]
  ])('refuses %j', (change, code, message) => {
    const answer = predictHead({ ...ASKED, ...change });
    expect(answer).toMatchObject({ ok: false, error: { code } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
  });
});
