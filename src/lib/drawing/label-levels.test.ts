import { describe, expect, it } from 'vitest';
import { labelled } from './label-levels';

const every = (count: number, apartPx: number) =>
  Array.from({ length: count }, (_, index) => index * apartPx);
const ten = () => 10;

describe('which things along a line are labeled', () => {
  it('is every one where each has room', () => {
    expect(labelled(every(6, 24), ten)).toEqual([0, 1, 2, 3, 4, 5]);
  });

  it('is the first, the last and every fifth where not', () => {
    // 12 apart: the fifth (48) and tenth (108) stand clear, the fifteenth (168) of the sixteenth (180) does not
    expect(labelled(every(16, 12), ten)).toEqual([0, 4, 9, 15]);
  });

  it('counts in tens, twenty-fives and fifties as they lie closer', () => {
    expect(labelled(every(100, 3), ten)).toEqual([0, 9, 19, 29, 39, 49, 59, 69, 79, 89, 99]);
    expect(labelled(every(100, 1), ten)).toEqual([0, 24, 49, 74, 99]);
  });

  it('has twice as many in two heights', () => {
    expect(labelled(every(6, 13), ten, 2)).toEqual([0, 1, 2, 3, 4, 5]);
    expect(labelled(every(6, 13), ten, 1)).toEqual([0, 5]);
  });

  it('is one alone where two would stand over each other', () => {
    expect(labelled([0, 5], ten)).toEqual([0]);
    expect(labelled([], ten)).toEqual([]);
    expect(labelled([40], ten)).toEqual([0]);
  });

  it('has none over another, whatever the places', () => {
    for (let seed = 1; seed < 200; seed++) {
      let at = 0;
      const places = Array.from(
        { length: seed },
        (_, index) => (at += ((seed * (index + 7)) % 31) + 1)
      );
      for (const levels of [1, 2]) {
        const shown = labelled(places, ten, levels);
        shown.forEach((index, nth) => {
          const before = shown[nth - levels];
          if (before !== undefined)
            expect((places[index] ?? 0) - (places[before] ?? 0)).toBeGreaterThanOrEqual(20);
        });
      }
    }
  });
});
