import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { predictHead } from './predict-head';
import { wideHoles } from './wide-holes';
import { arithmetic, refusal } from '../../../tests/support/words';

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

  it('shows its arithmetic: flat, dimpled through, and with a sheet drilled larger', () => {
    const flat = predictHead(ASKED);
    // V = π/4 × (0.015625 × 0.20125 − 0.00088725 × 0.08) = π/4 × 0.00307355; √(0.00307355/0.0625); /0.0351563; /0.00598145
    expect(flat.ok && arithmetic(flat.work)).toEqual([
      'metal past the sheets: π/4·D²·(L−G) = π/4 × 0.125² × (0.28125 − 0.08) = 0.00247 in³',
      'rivet volume filling the hole: π/4·(hole²−D²)·G = π/4 × (0.1285² − 0.125²) × 0.08 = 0.000056 in³',
      'head volume: 0.00247 − 0.000056 = 0.002414 in³',
      'diameter at ½ D high: √(4·V / (π·½D)) = 0.221758 in',
      'height at 1.5 D wide: 4·V / (π·(1.5D)²) = 0.087425 in',
      'heights to stop at, standard limits: both 1.3–1.75 D wide and 0.38–0.65 D high = 0.513848 to 0.65 D'
    ]);
    const sunk = predictHead({ ...ASKED, head: 'countersunk', gripIn: 0.103 });
    expect(sunk.ok && arithmetic(sunk.work)[1]).toBe(
      'rivet volume filling the hole: π/4·(hole²−D²)·(G−head) = π/4 × (0.1285² − 0.125²) × 0.061 = 0.000043 in³'
    );
    const dimpled = predictHead({ ...ASKED, head: 'countersunk', gripIn: 0.057, dimpled: true });
    expect(dimpled.ok && arithmetic(dimpled.work).slice(0, 2)).toEqual([
      'metal past the dimple: π/4·D²·(L−G−head) = π/4 × 0.125² × (0.28125 − 0.057 − 0.042) = 0.002237 in³',
      'rivet volume filling the hole: π/4·(hole²−D²)·G = π/4 × (0.1285² − 0.125²) × 0.057 = 0.00004 in³'
    ]);
    const wide = wideHoles([{ name: 'panel', thicknessIn: 0.04, holeIn: 0.14 }], 0.1285, 0.125);
    const lost = predictHead(ASKED, wide);
    // π/4 × (0.14² − 0.1285²) × 0.04 = 0.000097
    expect(resultOf(lost).volumeIn3).toBeCloseTo(resultOf(flat).volumeIn3 - wide.volumeIn3, 15);
    expect(lost.ok && arithmetic(lost.work).slice(2, 4)).toEqual([
      'metal into panel’s hole: π/4·(d²−hole²)·t, d = smaller of 0.14 and 1.15 D: π/4 × (0.14² − 0.1285²) × 0.04 = 0.000097 in³',
      'head volume: 0.00247 − 0.000056 − 0.000097 = 0.002317 in³'
    ]);
  });

  it('says the largest hole that a shank still fills', () => {
    const answer = predictHead({ ...ASKED, holeIn: 0.15 });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(/0\.1437/);
    expect(predictHead({ ...ASKED, holeIn: 0.14375 }).ok).toBe(true);
  });

  it.each([
    [{ lengthIn: 0.08 }, 'not-possible', /no metal is left/],
    [{ head: 'countersunk', gripIn: 0.04 } as const, 'not-possible', /higher than the grip/],
    [{ holeIn: 0.12 }, 'invalid-input', /too small for a dash 4/],
    // 1.15 D is 0.14375
    [{ holeIn: 0.1438 }, 'not-possible', /too large for a dash 4/],
    [{ dimpled: true }, 'invalid-input', /universal|countersunk|dimpled/]
  ])('refuses %j', (change, code, message) => {
    const answer = predictHead({ ...ASKED, ...change });
    expect(answer).toMatchObject({ ok: false, error: { code } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
  });
});
