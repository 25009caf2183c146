import { describe, expect, it } from 'vitest';
import { canFill, fillStretch, stuckBetween, type Stretch } from './fill-stretch';

const stretch = (places: readonly number[], minPitchIn: number, maxPitchIn: number): Stretch => ({
  placesIn: Float64Array.from(places),
  minPitchIn,
  maxPitchIn
});
const quarters = (count: number) => Array.from({ length: count }, (_, at) => at / 4);

/** The fewest holes, then the most even, then the leftmost, by trying every way. */
function byTryingAll({ placesIn, minPitchIn, maxPitchIn }: Stretch): number[] | null {
  const ways: number[][] = [];
  const walk = (taken: number[]): void => {
    const here = taken.at(-1) ?? 0;
    if (here === placesIn.length - 1) ways.push(taken);
    for (let next = here + 1; next < placesIn.length; next++) {
      const gap = (placesIn[next] ?? 0) - (placesIn[here] ?? 0);
      if (gap > minPitchIn - 1e-9 && gap < maxPitchIn + 1e-9) walk([...taken, next]);
    }
  };
  walk([0]);
  const unevenness = (way: number[]) =>
    way
      .slice(1)
      .reduce(
        (sum, at, index) => sum + ((placesIn[at] ?? 0) - (placesIn[way[index] ?? 0] ?? 0)) ** 2,
        0
      );
  const order = (a: number[], b: number[]) => {
    const uneven = unevenness(a) - unevenness(b);
    const first = a.findIndex((place, index) => place !== b[index]);
    return (
      a.length - b.length || (Math.abs(uneven) > 1e-9 ? uneven : (a[first] ?? 0) - (b[first] ?? 0))
    );
  };
  return ways.sort(order)[0] ?? null;
}

describe('a stretch filled with the fewest holes', () => {
  it('agrees with trying every way on small rows', () => {
    let seed = 23;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    let none = 0;
    for (let round = 0; round < 200; round++) {
      const places = quarters(14).filter((_, at) => at === 0 || at === 13 || random() > 0.35);
      const one = stretch(
        places,
        0.25 + 0.25 * Math.floor(random() * 3),
        0.5 + 0.25 * Math.floor(random() * 4)
      );
      const truth = byTryingAll(one);
      if (truth === null) none += 1;
      expect(fillStretch(one), `${places.join()} ${one.minPitchIn} ${one.maxPitchIn}`).toEqual(
        truth
      );
      expect(
        canFill({ ...one, minPitchIn: 9, maxPitchIn: 9 }, one.minPitchIn, one.maxPitchIn)
      ).toBe(truth !== null);
    }
    expect(none).toBeGreaterThan(20);
  });

  it('takes both its pitch limits in', () => {
    expect(fillStretch(stretch([0, 0.5, 1], 0.5, 0.5))).toEqual([0, 1, 2]);
    expect(fillStretch(stretch([0, 0.5, 1], 0.501, 0.9))).toBeNull();
    expect(fillStretch(stretch([0, 0.5, 1], 0.2, 0.499))).toBeNull();
  });
});

describe('where a stretch stops that cannot be filled', () => {
  it.each([
    // nothing is free between 1 and 2.5, and the largest pitch is 1
    ['in the middle', [0, 0.5, 1, 2.5, 3, 3.5], 0.5, 1, 1, 2.5],
    ['right after its start', [0, 2, 2.5, 3], 0.5, 1, 0, 2],
    ['right before its end', [0, 0.5, 1, 3], 0.5, 1, 1, 3],
    // a hole at 1.25 is reached from neither side: 0.25 is under the least pitch, 1.25 over the largest
    ['past a place that nothing reaches', [0, 1, 1.25, 2.5, 3], 0.5, 1, 1, 2.5],
    // reached from the left up to 2, from the right down to 1.25: they pass each other and do not meet
    ['where both ways pass each other', [0, 1, 1.25, 2, 2.25], 1, 1, 2, 2.25]
  ])('%s', (_, places, least, most, fromIn, toIn) => {
    const one = stretch(places, least, most);
    expect(fillStretch(one)).toBeNull();
    expect(stuckBetween(one)).toEqual({ fromIn, toIn });
  });
});
