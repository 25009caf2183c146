import { describe, expect, it } from 'vitest';
import { bandAgrees } from '../../../tests/support/band-agrees';
import { fillExactly } from './fill-exactly';
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

  it('is the same wherever its stretch begins', () => {
    const later = onGrid(13).placesIn.map((at) => at + 20);
    expect(fillBand({ ...onGrid(13), placesIn: later }, 4, 1)).toEqual({
      cost: 0.25,
      taken: [0, 3, 6, 9, 12]
    });
  });

  it('looks further from the even line until it finds a way, and until none can be better', () => {
    // 40 in in 40 spaces, nothing free from 10 to 11.5: the even holes there go by one to either side
    const placesIn = Float64Array.from(
      Array.from({ length: 161 }, (_, at) => at / 4).filter((at) => at <= 10 || at >= 11.5)
    );
    const stretch = { placesIn, minPitchIn: 0.5, maxPitchIn: 1.5 };
    const filled = fillBand(stretch, 40, 1);
    const all = fillExactly(stretch, 40, 1);
    expect(filled?.cost).toBeCloseTo(all.costs[40] ?? NaN, 9);
    // five in a row where the even line wants ten: far outside the first band
    const late = Float64Array.from(
      Array.from({ length: 81 }, (_, at) => at / 4).filter((at) => at <= 3 || at % 1.5 === 0)
    );
    const dense = { placesIn: late, minPitchIn: 0.5, maxPitchIn: 1.5 };
    const ways = fillExactly({ ...dense, placesIn: late }, 20, 1);
    for (let spaces = 10; spaces <= 20; spaces++) {
      const one = fillBand(dense, spaces, 1);
      const cost = ways.costs[spaces] ?? Infinity;
      if (cost === Infinity) expect(one, `${spaces}`).toBeNull();
      else expect(one?.cost, `${spaces}`).toBeCloseTo(cost, 9);
    }
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
