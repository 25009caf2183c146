import { describe, expect, it } from 'vitest';
import { bandAgrees } from '../../../tests/support/band-agrees';
import { fillBand, leastCost } from './fill-band';

const onGrid = (places: number) => ({
  placesIn: Float64Array.from({ length: places }, (_, at) => at / 4),
  minPitchIn: 0.5,
  maxPitchIn: 1.5
});

describe('a stretch filled within a band', () => {
  it('is as even as the search over every place finds it', () => bandAgrees(25));

  it('takes equal spaces where the grid has them, at no cost beside the wish', () => {
    // 3 in, three spaces of 1
    expect(fillBand(onGrid(13), 3, 1)).toEqual({ cost: 0, taken: [0, 4, 8, 12] });
    // four of ¾: (¾ − 1)² four times
    expect(fillBand(onGrid(13), 4, 1)).toEqual({ cost: 0.25, taken: [0, 3, 6, 9, 12] });
  });

  it('has no way where the spaces would be too small or too large', () => {
    expect(fillBand(onGrid(13), 7, 1)).toBeNull();
    expect(fillBand(onGrid(13), 1, 1)).toBeNull();
  });

  it('costs at least what equal spaces would', () => {
    // 3 in in 4 spaces against a wish of 1: 4 × (¾ − 1)²
    expect(leastCost(3, 4, 1)).toBeCloseTo(0.25, 12);
    expect(leastCost(3, 3, 1)).toBeCloseTo(0, 12);
  });
});
