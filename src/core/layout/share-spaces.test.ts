import { describe, expect, it } from 'vitest';
import { shareSpaces } from './share-spaces';

/** Every way to share a total, by trying all: the least cost, ∞ where there is none. */
function leastOf(costs: readonly Float64Array[], total: number): number {
  const [first, ...rest] = costs;
  if (!first) return total === 0 ? 0 : Infinity;
  let least = Infinity;
  for (let spaces = 1; spaces < first.length; spaces++)
    if (spaces <= total)
      least = Math.min(least, (first[spaces] ?? Infinity) + leastOf(rest, total - spaces));
  return least;
}

describe('spaces shared among stretches', () => {
  it('cost the least of all ways, for every total', () => {
    let seed = 5;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    let shared = 0;
    for (let round = 0; round < 150; round++) {
      const costs = Array.from({ length: 1 + Math.floor(random() * 4) }, () =>
        Float64Array.from({ length: 2 + Math.floor(random() * 4) }, (_, spaces) =>
          spaces === 0 || random() < 0.25 ? Infinity : random()
        )
      );
      for (let total = 0; total <= 14; total++) {
        const least = leastOf(costs, total);
        const spaces = shareSpaces(costs, total);
        if (least === Infinity) {
          expect(spaces, `${total}`).toBeNull();
          continue;
        }
        shared += 1;
        expect(spaces?.reduce((sum, one) => sum + one, 0)).toBe(total);
        expect(
          spaces?.reduce((sum, one, at) => sum + (costs[at]?.[one] ?? Infinity), 0)
        ).toBeCloseTo(least, 12);
      }
    }
    expect(shared).toBeGreaterThan(300);
  });

  it('give one to a stretch that takes one only, and none where that cannot be', () => {
    const one = Float64Array.of(Infinity, 0.5);
    const two = Float64Array.of(Infinity, 1, 0.2);
    expect(shareSpaces([one, two, one], 4)).toEqual([1, 2, 1]);
    expect(shareSpaces([one, one], 2)).toEqual([1, 1]);
    expect(shareSpaces([one, one], 3)).toBeNull();
    expect(shareSpaces([one, one], 1)).toBeNull();
    expect(shareSpaces([Float64Array.of(Infinity, Infinity), two], 3)).toBeNull();
  });

  it('goes to the first where two cost the same', () => {
    const same = Float64Array.of(Infinity, 1, 1, 1);
    expect(shareSpaces([same, same], 4)).toEqual([3, 1]);
  });
});
