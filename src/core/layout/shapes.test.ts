import { describe, expect, it } from 'vitest';
import {
  addedVolumeIn3,
  areaIn2,
  boundsOf,
  circle,
  depthIn,
  edgeDistanceIn,
  partsNamed,
  rect,
  withSquareInserts,
  type Part
} from './shapes';

const part = (change: Partial<Part>): Part => ({
  key: 'a',
  name: 'a',
  layer: 'over',
  outline: rect(0, 0, 4, 2),
  openings: [],
  goesOn: [],
  addedThicknessIn: null,
  ...change
});

describe('how deep a point lies in a shape', () => {
  it.each([
    ['nearest side', rect(0, 0, 4, 2), 1, 0.3, 0.3],
    ['outside a side', rect(0, 0, 4, 2), -0.5, 1, -0.5],
    // 3-4-5 from the corner
    ['outside a corner', rect(0, 0, 4, 2), -0.3, -0.4, -0.5],
    // r = 1 about (1, 1): the point is √2·0.8 from it
    ['in a rounded corner', rect(0, 0, 4, 2, 1), 0.2, 0.2, 1 - 0.8 * Math.SQRT2],
    ['a circle', circle(1, 1, 2), 1, 2.5, 0.5],
    ['outside a circle', circle(0, 0, 2), 3, 4, -3]
  ] as const)('%s', (_, shape, x, y, expected) => {
    expect(depthIn(shape, x, y)).toBeCloseTo(expected, 12);
  });

  it('knows a polygon from inside and outside', () => {
    // a right triangle 3-4-5; its incentre (1, 1) is 1 from every side
    const triangle = {
      shape: 'polygon',
      pointsIn: [
        [0, 0],
        [4, 0],
        [0, 3]
      ]
    } as const;
    expect(depthIn(triangle, 1, 1)).toBeCloseTo(1, 12);
    expect(depthIn(triangle, 5, 0)).toBeCloseTo(-1, 12);
    expect(areaIn2(triangle)).toBe(6);
    expect(boundsOf(triangle)).toEqual({ xIn: 0, yIn: 0, wIn: 4, hIn: 3 });
  });

  // a sheet of 8 × 5 in whose corner lies at (1, 2); the point is 0.3 from one side and far from the rest
  const sheet = rect(1, 2, 8, 5);
  it.each([
    ['left', 1.3, 4.4, 2.4],
    ['right', 8.7, 4.4, 2.4],
    ['top', 4.6, 2.3, 3.6],
    ['bottom', 4.6, 6.7, 3.6]
  ] as const)('has no edge at its %s where it goes on there', (side, x, y, otherIn) => {
    const others = (['left', 'right', 'top', 'bottom'] as const).filter((one) => one !== side);
    expect(depthIn(sheet, x, y)).toBeCloseTo(0.3, 12);
    expect(depthIn(sheet, x, y, others)).toBeCloseTo(0.3, 12);
    expect(depthIn(sheet, x, y, [side])).toBeCloseTo(otherIn, 12);
  });

  describe('that leans', () => {
    // 5 in square from (1, 1), u along (4, 3)/5 and v along (−3, 4)/5
    const leaning = {
      shape: 'polygon',
      pointsIn: [
        [1, 1],
        [5, 4],
        [2, 8],
        [-2, 5]
      ]
    } as const;
    const point = (u: number, v: number): [number, number] => [
      1 + 0.8 * u - 0.6 * v,
      1 + 0.6 * u + 0.8 * v
    ];
    it.each([
      ['inside, near the first side', 2, 0.7, 0.7],
      ['inside, near the second', 4.6, 2, 0.4],
      ['inside, near the third', 2, 4.2, 0.8],
      ['inside, near the fourth', 0.9, 2, 0.9],
      ['level with a corner, inside', 1.96, 2.28, 1.96],
      ['level with a corner, outside to the left', -0.2, 3.9, -0.2],
      ['level with a corner, outside to the right', 5.8, 0.6, -0.8],
      ['outside the first side', 2, -1, -1],
      ['outside the second', 6, 2, -1],
      ['outside the third', 2, 6.5, -1.5],
      ['outside the fourth', -1.2, 2.5, -1.2],
      // 3-4-5 from the corner
      ['outside a corner', -3, -4, -5]
    ] as const)('%s', (_, u, v, expected) => {
      expect(depthIn(leaning, ...point(u, v))).toBeCloseTo(expected, 12);
    });

    it('has its area, its bounds, and minds no corner given twice', () => {
      expect(areaIn2(leaning)).toBeCloseTo(25, 12);
      expect(boundsOf(leaning)).toEqual({ xIn: -2, yIn: 1, wIn: 7, hIn: 7 });
      const [first, ...rest] = leaning.pointsIn;
      const doubled = { shape: 'polygon', pointsIn: [first, first, ...rest] } as const;
      expect(depthIn(doubled, ...point(0.9, 2))).toBeCloseTo(0.9, 12);
      expect(areaIn2(doubled)).toBeCloseTo(25, 12);
    });
  });

  it('is bounded by the rectangle round it', () => {
    expect(boundsOf(circle(3, 5, 2))).toEqual({ xIn: 1, yIn: 3, wIn: 4, hIn: 4 });
    expect(boundsOf(rect(1, 2, 8, 5, 0.5))).toMatchObject({ xIn: 1, yIn: 2, wIn: 8, hIn: 5 });
  });
});

describe('edge distance through several parts', () => {
  const skin = part({
    outline: rect(-1, -1, 8, 8),
    openings: [rect(2, 2, 2, 2, 0.5)],
    goesOn: ['left', 'right', 'top', 'bottom']
  });
  const doubler = part({ key: 'd', layer: 'under', outline: rect(0, 0, 6, 6) });

  it('is the least over the parts that the hole goes through', () => {
    // 0.25 outside the cut-out, 1.75 inside the doubler
    expect(edgeDistanceIn([skin, doubler], 3, 1.75)).toBeCloseTo(0.25, 12);
    // in the cut-out the skin is not there: a rivet that counts it in its grip lies off it
    expect(edgeDistanceIn([skin, doubler], 3, 3)).toBe(-Infinity);
    expect(edgeDistanceIn([doubler], 3, 3)).toBeCloseTo(3, 12);
  });

  it('is measured to the curve beside a rounded corner', () => {
    // the corner's curve, r = 0.5 about (2.5, 2.5), is √2·1 − 0.5 from (1.5, 1.5)
    expect(edgeDistanceIn([skin], 1.5, 1.5)).toBeCloseTo(Math.SQRT2 - 0.5, 12);
  });

  it('is minus infinity where there is no metal', () => {
    expect(edgeDistanceIn([doubler], 9, 9)).toBe(-Infinity);
  });

  it('takes the parts that are named, and lies off one that there is not', () => {
    expect(
      partsNamed(
        [
          { ...skin, key: 's' },
          { ...doubler, key: 'd' }
        ],
        ['d']
      )
    ).toMatchObject([{ key: 'd' }]);
    expect(edgeDistanceIn(partsNamed([doubler], ['strap-3']), 1, 1)).toBe(-Infinity);
  });

  it('can take an insert with square corners', () => {
    const insert = part({ layer: 'filler', outline: rect(0, 0, 4, 2, 1) });
    expect(edgeDistanceIn([insert], 0.4, 0.4)).toBeCloseTo(1 - 0.6 * Math.SQRT2, 12);
    expect(edgeDistanceIn(withSquareInserts([insert]), 0.4, 0.4)).toBeCloseTo(0.4, 12);
    // a skin keeps its corners, a round insert its curve
    const skin = part({ outline: rect(0, 0, 4, 2, 1) });
    const round = part({ layer: 'filler', outline: circle(1, 1, 1) });
    expect(withSquareInserts([skin, round])).toEqual([skin, round]);
  });
});

it('adds up the metal a repair brings', () => {
  // a 4 × 2 plate of 0.040 less a ½ in hole, and a round one of 1 in radius, 0.032
  const plates = [
    part({ addedThicknessIn: 0.04, openings: [circle(1, 1, 0.25)] }),
    part({ addedThicknessIn: 0.032, outline: circle(0, 0, 1) }),
    part({})
  ];
  expect(addedVolumeIn3(plates)).toBeCloseTo(0.04 * (8 - Math.PI / 16) + 0.032 * Math.PI, 12);
  // rounding four corners of ½ in takes (4 − π)/4 off 8
  expect(areaIn2(rect(0, 0, 4, 2, 0.5))).toBeCloseTo(8 - (4 - Math.PI) / 4, 12);
});
