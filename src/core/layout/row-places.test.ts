import { describe, expect, it } from 'vitest';
import { firstBeyond, inside, mergeClosed, placesBetween } from './row-places';

const closed = (...pairs: [number, number][]) => pairs.map(([fromIn, toIn]) => ({ fromIn, toIn }));

describe('closed stretches', () => {
  it('are joined where they overlap, and stay apart where they only touch', () => {
    expect(mergeClosed(closed([3, 4], [1, 2], [1.5, 2.5]))).toEqual(closed([1, 2.5], [3, 4]));
    expect(mergeClosed(closed([1, 2], [2, 3]))).toEqual(closed([1, 2], [2, 3]));
    // one within another does not shorten it
    expect(mergeClosed(closed([1, 5], [2, 3]))).toEqual(closed([1, 5]));
    expect(mergeClosed([])).toEqual([]);
  });

  it('are not changed by joining them', () => {
    const given = closed([1, 2], [1.5, 2.5]);
    mergeClosed(given);
    expect(given).toEqual(closed([1, 2], [1.5, 2.5]));
  });

  it('are open at both ends', () => {
    const [one] = closed([1, 2]) as [{ fromIn: number; toIn: number }];
    expect([0.99, 1, 1.01, 1.99, 2, 2.01].map((place) => inside(place, one))).toEqual([
      false,
      false,
      true,
      true,
      false,
      false
    ]);
  });

  it('are found by what ends beyond a place', () => {
    const merged = closed([1, 2], [3, 4], [6, 7]);
    expect([0, 1.5, 2, 2.5, 4, 5, 7, 9].map((place) => firstBeyond(place, merged))).toEqual([
      0, 0, 1, 1, 2, 2, 3, 3
    ]);
    expect(firstBeyond(1, [])).toBe(0);
  });
});

describe('places for a hole', () => {
  const GRID = { startIn: 0, gridIn: 0.25 };
  const between = (fromIn: number, toIn: number, ...pairs: [number, number][]) => [
    ...placesBetween(fromIn, toIn, GRID, closed(...pairs))
  ];

  it('are those of the grid between two holes, and the holes themselves', () => {
    expect(between(0, 1)).toEqual([0, 0.25, 0.5, 0.75, 1]);
    // holes beside the grid
    expect(between(0.1, 0.9)).toEqual([0.1, 0.25, 0.5, 0.75, 0.9]);
    expect(between(2.3, 2.4)).toEqual([2.3, 2.4]);
  });

  it('leave out what is closed, and stand on its boundary', () => {
    expect(between(0, 2, [0.5, 1])).toEqual([0, 0.25, 0.5, 1, 1.25, 1.5, 1.75, 2]);
    expect(between(0, 2, [0.4, 0.8], [1.1, 1.3])).toEqual([0, 0.25, 1, 1.5, 1.75, 2]);
    // what ends before the first hole is no matter
    expect(between(1, 2, [0.2, 0.9], [1.4, 1.6])).toEqual([1, 1.25, 1.75, 2]);
    // two that touch leave their boundary
    expect(between(0, 1, [0.1, 0.5], [0.5, 0.9])).toEqual([0, 0.5, 1]);
  });

  it('lie on the grid of the row, wherever that begins', () => {
    expect(
      [...placesBetween(0.4, 1.2, { startIn: 0.1, gridIn: 0.25 }, [])].map((place) =>
        Number(place.toFixed(9))
      )
    ).toEqual([0.4, 0.6, 0.85, 1.1, 1.2]);
  });
});
