import { describe, expect, it } from 'vitest';
import { ticksApart } from './ticks';

const numbers = (count: number) => Array.from({ length: count }, (_, at) => at);

describe('the numbers of an axis', () => {
  it('are all there while they have room', () => {
    // two letters are 16.6 px and 8 px between
    expect(
      ticksApart(
        numbers(5),
        (at) => 25 * at,
        (at) => `1${at}`
      )
    ).toEqual([0, 1, 2, 3, 4]);
  });

  it('are every second, third … from the last, where they would stand over each other', () => {
    expect(
      ticksApart(
        numbers(6),
        (at) => 15 * at,
        () => '10'
      )
    ).toEqual([1, 3, 5]);
    expect(
      ticksApart(
        numbers(50),
        (at) => 6 * at,
        () => '10'
      ).at(-1)
    ).toBe(49);
    const kept = ticksApart(
      numbers(50),
      (at) => 6 * at,
      () => '10'
    );
    for (const [index, tick] of kept.slice(1).entries())
      expect(6 * (tick - (kept[index] ?? 0))).toBeGreaterThanOrEqual(22.8);
    expect(
      ticksApart(
        numbers(3),
        () => 0,
        () => '10'
      )
    ).toEqual([2]);
    expect(ticksApart([], (at) => at, String)).toEqual([]);
  });
});
