import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { downTo32nd, next32ndAbove, RulerScale, snapToRuler, upTo32nd } from './ruler';

describe('snapping to a ruler', () => {
  it.each([
    [0.52083, '1/32', 17 / 32],
    [0.52083, '1/64', 33 / 64],
    [0.52083, '0.1', 0.5],
    [0.52083, '0.01', 0.52],
    [0.52083, '1mm', 13 / 25.4],
    [0.52083, '0.5mm', 13 / 25.4],
    [0.52083, 'exact', 0.52083],
    // half a division goes away from zero
    [1 / 64, '1/32', 1 / 32],
    [-1 / 64, '1/32', -1 / 32],
    [0.25, '0.1', 0.3],
    [0.5 / 25.4, '1mm', 1 / 25.4]
  ] as const)('%d in on %s', (lengthIn, scale, wantedIn) => {
    expect(snapToRuler(lengthIn, scale)).toBeCloseTo(wantedIn, 12);
  });

  it('is never off by more than half a division', () => {
    const halfIn = {
      '1/32': 1 / 64,
      '1/64': 1 / 128,
      '0.1': 0.05,
      '0.01': 0.005,
      '1mm': 0.5 / 25.4,
      '0.5mm': 0.25 / 25.4,
      exact: 0
    };
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1200, noNaN: true }),
        fc.constantFrom(...RulerScale.options),
        (lengthIn, scale) => {
          expect(Math.abs(snapToRuler(lengthIn, scale) - lengthIn)).toBeLessThanOrEqual(
            halfIn[scale] + 1e-9
          );
        }
      )
    );
  });
});

it('keeps a whole 32nd and steps strictly above it when asked', () => {
  expect(upTo32nd(5 / 32)).toBe(5 / 32);
  expect(upTo32nd(5 / 32 + 1e-12)).toBe(5 / 32);
  expect(upTo32nd(0.16)).toBe(6 / 32);
  expect(downTo32nd(0.18)).toBe(5 / 32);
  expect(next32ndAbove(0.25)).toBe(9 / 32);
  expect(next32ndAbove(0.234375)).toBe(0.25);
});
