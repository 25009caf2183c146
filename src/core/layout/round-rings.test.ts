import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { DEFAULT_MULTIPLIERS } from '../rules/multipliers';
import { chordIn, roundRings } from './round-rings';
import { refusal } from '../../../tests/support/words';

const D = 0.125;
const rings = (innerIn: number, count: number, least: number, nearPitchIn: number | null = null) =>
  roundRings(innerIn, count, least, { diameterIn: D, nearPitchIn }, DEFAULT_MULTIPLIERS);

describe('bolt circles', () => {
  it('measure the pitch from centre to centre', () => {
    // six on a circle stand a radius apart, four √2 radii
    expect(chordIn(1, 6)).toBeCloseTo(1, 12);
    expect(chordIn(1, 4)).toBeCloseTo(Math.SQRT2, 12);
  });

  it('take the fewest that keep the largest pitch, as trying every count does', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 12, noNaN: true }),
        fc.integer({ min: 0, max: 30 }),
        (innerIn, least) => {
          const laid = rings(innerIn, 1, least);
          let count = Math.max(4, least);
          while (chordIn(innerIn, count) > 12 * D + 1e-9) count += 1;
          const fits = chordIn(innerIn, count) >= 3 * D - 1e-9;
          expect(laid.ok).toBe(fits);
          if (fits) expect(resultOf(laid).count).toBe(count);
        }
      ),
      { numRuns: 300, seed: 8 }
    );
  });

  it('lie one transverse pitch apart, which follows the pitch of the inner one', () => {
    // 20 over two rings of 1 in and more: 10 each, chord 2 sin 18° = 0.618; 0.75 of it is 0.4635, up to 15/32
    const two = resultOf(rings(1, 2, 20));
    expect(two).toMatchObject({ count: 10, transverseIn: 15 / 32 });
    expect(two.radiiIn).toEqual([1, 1 + 15 / 32]);
    expect(two.leastPitchIn).toBeCloseTo(2 * Math.sin(Math.PI / 10), 12);
    // the outer one's pitch is its own: 2 × 1.46875 × sin 18°
    expect(two.mostPitchIn).toBeCloseTo(2 * 1.46875 * Math.sin(Math.PI / 10), 12);
    const three = resultOf(rings(1, 3, 30));
    expect(three.radiiIn).toEqual([1, 1 + 15 / 32, 1 + 30 / 32]);
    // one ring has its own pitch as the largest
    const one = resultOf(rings(1, 1, 10));
    expect(one.radiiIn).toEqual([1]);
    expect(one.mostPitchIn).toBe(one.leastPitchIn);
  });

  it('come as near to a wished pitch as whole rivets do, never under the least', () => {
    for (const nearPitchIn of [0.4, 0.55, 0.8, 1.2]) {
      const { count } = resultOf(rings(2, 1, 0, nearPitchIn));
      const off = (tried: number) => Math.abs(chordIn(2, tried) - nearPitchIn);
      expect(off(count)).toBeLessThanOrEqual(off(count + 1));
      expect(chordIn(2, count)).toBeGreaterThanOrEqual(0.375);
    }
    // 0.1 in is under 3 D: as many as 3 D lets stand
    const full = resultOf(rings(2, 1, 0, 0.1)).count;
    expect(chordIn(2, full)).toBeGreaterThanOrEqual(0.375);
    expect(chordIn(2, full + 1)).toBeLessThan(0.375);
  });

  it('keep every limit on every ring, whatever the radius', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 8, noNaN: true }),
        fc.integer({ min: 2, max: 3 }),
        fc.integer({ min: 0, max: 60 }),
        (innerIn, count, least) => {
          const laid = rings(innerIn, count, least);
          if (!laid.ok) return;
          const { radiiIn, count: per, transverseIn } = laid.result;
          expect(per * count).toBeGreaterThanOrEqual(least);
          for (const radiusIn of radiiIn) {
            expect(chordIn(radiusIn, per)).toBeGreaterThanOrEqual(3 * D - 1e-9);
            expect(chordIn(radiusIn, per)).toBeLessThanOrEqual(12 * D + 1e-9);
          }
          expect(transverseIn).toBeGreaterThanOrEqual(2.5 * D - 1e-9);
          expect(transverseIn).toBeLessThanOrEqual(4 * D + 1e-9);
        }
      ),
      { numRuns: 300, seed: 9 }
    );
  });

  it('come near a wished pitch', () => {
    // R = 2: nine stand 1.368 apart, twelve 1.035, thirteen 0.957: twelve is nearest to 1
    expect(resultOf(rings(2, 1, 0, 1)).count).toBe(12);
  });

  it('refuse a ring too small for its rivets', () => {
    const refused = rings(0.5, 1, 20);
    expect(refused.ok ? '' : refusal(refused.error)).toMatch(
      /20 rivets on a ring of 1 in diameter/
    );
  });
});
