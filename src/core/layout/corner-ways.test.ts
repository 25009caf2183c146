import { describe, expect, it } from 'vitest';
import { downTo32nd } from '../units/ruler';
import { cornerWays } from './corner-ways';

/** Of a rivet one edge distance from both sides, to the rounded corner of radius r. */
const toCurveIn = (radiusIn: number, edgeIn: number) =>
  radiusIn > edgeIn ? radiusIn - Math.SQRT2 * (radiusIn - edgeIn) : edgeIn;
const CLEARANCE_IN = 1 / 32;

describe('how an insert’s corner rivets come away from its curve', () => {
  // corners of ½ in, dash 4 at 9/32: 0.46875 − √2 × 0.1875 = 0.2036, under 2 D = 0.25
  const waysNow = () => cornerWays(0.5, CLEARANCE_IN, 9 / 32, 0.25, 0.5);

  it('offers a smaller corner and a larger edge distance of the insert, each on a 1/32', () => {
    const ways = waysNow();
    expect(ways.map(({ change }) => Object.keys(change)[0])).toEqual([
      'cornerRadiusIn',
      'insertEdgeIn'
    ]);
    for (const { change } of ways) {
      const value = Number(Object.values(change)[0]);
      expect(value * 32).toBeCloseTo(Math.round(value * 32), 9);
    }
  });

  it('offers what holds, and nothing a 1/32 nearer would', () => {
    const ways = waysNow();
    const radiusIn = Number(ways[0]?.change['cornerRadiusIn']);
    expect(toCurveIn(radiusIn - CLEARANCE_IN, 9 / 32)).toBeGreaterThanOrEqual(0.25);
    expect(toCurveIn(radiusIn + 1 / 32 - CLEARANCE_IN, 9 / 32)).toBeLessThan(0.25);
    const edgeIn = Number(ways[1]?.change['insertEdgeIn']);
    expect(toCurveIn(0.5 - CLEARANCE_IN, edgeIn)).toBeGreaterThanOrEqual(0.25);
    expect(toCurveIn(0.5 - CLEARANCE_IN, edgeIn - 1 / 32)).toBeLessThan(0.25);
    expect(ways.map(({ said }) => said)).toEqual([
      { code: 'round-corners', radiusIn },
      { code: 'insert-edge', edgeIn }
    ]);
  });

  it('offers nothing that is so already', () => {
    // a rivet 0.5 in from both sides of a corner of 0.5: the curve is as near as the sides
    expect(cornerWays(0.5, 0, 0.5, 0.25, 1)).toEqual([]);
    // nor where the corner is the largest that does
    const just = downTo32nd((Math.SQRT2 * 0.28125 - 0.25) / (Math.SQRT2 - 1));
    expect(cornerWays(just, 0, 0.28125, 0.25, 1)).toEqual([]);
  });

  it('offers no corner under ¼ in, and no edge distance over the largest', () => {
    // dash 8 at ½ + 1/32 in corners of 2 in
    const big = cornerWays(2, CLEARANCE_IN, 0.53125, 0.5, 0.6);
    expect(big.map(({ said: { code } }) => code)).toEqual(['round-corners']);
    const tight = cornerWays(0.3, 0, 0.1, 0.24, 1);
    expect(tight.map(({ said: { code } }) => code)).toEqual(['insert-edge']);
  });
});
