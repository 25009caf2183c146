import { describe, expect, it } from 'vitest';
import { CircleFit, diameterByCircle, seenVerdict } from './head-by-camera';
import { whyNot } from '../../../tests/support/why-not.ts';

const fit = (change: Partial<CircleFit> = {}) =>
  CircleFit.parse({ circlePx: 240, scalePx: 500, scaleIn: 0.5, standoffIn: 2, ...change });

describe('a head by a circle laid round it', () => {
  it('is as wide as the scale says, less what the rim stands nearer to the lens', () => {
    // 240/500 × 0.5 = 0.24; dash 5 is 0.078125 high: 0.0390625 / 2 = 0.01953; 0.24 × 0.98047 = 0.23531
    const seen = diameterByCircle(5, fit());
    expect(seen.ok && seen.result.diameterIn).toBeCloseTo(0.2353125, 7);
    // edges: 0.23531 × (2/240 + 2/500) = 0.0029; rim: 0.24 × 0.01953 = 0.0046875
    expect(seen.ok && seen.result.plusMinusIn).toBeCloseTo(0.00759, 5);
    expect(seen.ok && seen.work.map(({ value }) => value)).toEqual([
      expect.closeTo(0.24, 9),
      expect.closeTo(0.2353125, 7),
      expect.closeTo(0.00759, 5)
    ]);
  });

  it('is known more closely from further off and in a finer picture', () => {
    const far = diameterByCircle(5, fit({ circlePx: 960, scalePx: 2000, standoffIn: 8 }));
    expect(far.ok && far.result.plusMinusIn).toBeCloseTo(0.0019, 4);
  });

  it('is refused from a lens nearer than the head is high, and from no circle', () => {
    expect(diameterByCircle(5, fit({ standoffIn: 0.07 }))).toMatchObject({
      ok: false,
      error: { said: { code: 'lens-too-near' } }
    });
    expect(whyNot(CircleFit.safeParse({ ...fit(), circlePx: 0 }))).toBe('field circlePx');
    expect(whyNot(CircleFit.safeParse({ ...fit(), scalePx: -3 }))).toBe('field scalePx');
  });

  it('is never called good where a limit lies within its uncertainty', () => {
    // dash 5, standard: 0.203125 to 0.2734375
    const of = (diameterIn: number, plusMinusIn = 0.005) =>
      seenVerdict(5, 'standard', { diameterIn, plusMinusIn });
    expect(of(0.235)).toBe('within');
    expect(of(0.207)).toBe('measure-again');
    expect(of(0.2)).toBe('measure-again');
    expect(of(0.198)).toBe('too-narrow');
    expect(of(0.27)).toBe('measure-again');
    expect(of(0.28)).toBe('too-wide');
    expect(of(0.208125)).toBe('within');
    // so uncertain that both limits lie within it
    expect(of(0.235, 0.05)).toBe('measure-again');
  });
});
