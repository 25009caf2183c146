import fc from 'fast-check';
import { expect } from 'vitest';
import { fillBand } from '../../src/core/layout/fill-band.ts';
import { fillExactly } from '../../src/core/layout/fill-exactly.ts';
import { mergeClosed, placesBetween } from '../../src/core/layout/row-places.ts';

/** A stretch filled within a band is as even as the search over every place finds it, for every number of spaces. */
export function bandAgrees(numRuns: number): void {
  const rows = fc.record({
    gridIn: fc.constantFrom(1 / 16, 1 / 32, 0.05),
    spanIn: fc.double({ min: 2, max: 12, noNaN: true }),
    closed: fc.array(
      fc.record({
        atIn: fc.double({ min: 0, max: 12, noNaN: true }),
        wIn: fc.double({ min: 0.02, max: 1.4, noNaN: true })
      }),
      { maxLength: 4 }
    ),
    wishIn: fc.double({ min: 0.4, max: 1.2, noNaN: true })
  });
  fc.assert(
    fc.property(rows, ({ gridIn, spanIn, closed, wishIn }) => {
      const merged = mergeClosed(
        closed
          .map(({ atIn, wIn }) => ({ fromIn: atIn, toIn: atIn + wIn }))
          .filter(({ fromIn, toIn }) => fromIn >= 0 && toIn <= spanIn)
      );
      const placesIn = placesBetween(0, spanIn, { startIn: 0, gridIn }, merged);
      const stretch = { placesIn, minPitchIn: 0.375, maxPitchIn: 1.5 };
      const most = Math.max(1, Math.floor(spanIn / 0.375));
      const all = fillExactly(stretch, most, wishIn);
      for (let spaces = 1; spaces <= most; spaces++) {
        const filled = fillBand(stretch, spaces, wishIn);
        const cost = all.costs[spaces] ?? Infinity;
        if (cost === Infinity) expect(filled, `${spaces} spaces`).toBeNull();
        else {
          expect(filled?.cost, `${spaces} spaces`).toBeCloseTo(cost, 9);
          expect(filled?.taken).toHaveLength(spaces + 1);
        }
      }
    }),
    { numRuns, seed: 20_260_911 }
  );
}
