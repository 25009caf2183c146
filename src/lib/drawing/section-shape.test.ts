import { describe, expect, it } from 'vitest';
import { rivetSize } from '../../core/catalog/rivets';
import { sectionShape } from './section-shape';

const SHEETS = [
  { name: 'outer', thicknessIn: 0.05 },
  { name: 'inner', thicknessIn: 0.063 }
];

describe('the section through a rivet', () => {
  it('stacks the sheets and ends the shank at its length below the face', () => {
    const shape = sectionShape(SHEETS, rivetSize(4), 'universal', 0.1285, 0.3125);
    expect(shape.sheets.map(({ topIn, bottomIn }) => [topIn, bottomIn])).toEqual([
      [0, 0.05],
      [0.05, 0.113]
    ]);
    expect(shape.gripIn).toBeCloseTo(0.113, 12);
    expect(shape.shankEndIn - shape.gripIn).toBeCloseTo(0.1995, 12);
  });

  it('draws a protruding head at its catalogue diameter and height', () => {
    const { headIn, sinkRadiusIn } = sectionShape(
      SHEETS,
      rivetSize(4),
      'universal',
      0.1285,
      0.3125
    );
    expect(headIn[0]).toEqual([0, -0.054]);
    expect(headIn.at(-1)?.[0]).toBeCloseTo(0.125, 12);
    expect(sinkRadiusIn).toBeNull();
  });

  it('lets a flush head in to its height', () => {
    const { headIn, sinkDepthIn } = sectionShape(
      SHEETS,
      rivetSize(4),
      'countersunk',
      0.1285,
      0.3125
    );
    expect(headIn).toEqual([
      [0, 0],
      [0.1125, 0],
      [0.0625, 0.042]
    ]);
    expect(sinkDepthIn).toBe(0.042);
  });
});
