import { describe, expect, it } from 'vitest';
import { circle, rect } from '../../../core/layout/shapes';
import { partPath, shapePath, type Place } from './part-path';

const place: Place = {
  x: (inches) => 10 + 100 * inches,
  y: (inches) => 20 + 100 * inches,
  pxPerIn: 100
};
const points = (path: string) =>
  [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

describe('a shape as a path', () => {
  it('goes round a rectangle', () => {
    expect(points(shapePath(rect(0, 0, 2, 1), place))).toEqual([
      [10, 20],
      [210, 20],
      [210, 120],
      [10, 120],
      [10, 20]
    ]);
  });

  it('breaks off the sides where the sheet goes on, and keeps their ends', () => {
    const broken = points(shapePath(rect(0, 0, 2, 1), place, ['bottom']));
    expect(broken.length).toBeGreaterThan(5);
    expect(broken).toContainEqual([10, 120]);
    expect(broken.some(([, y]) => y === 126 || y === 114)).toBe(true);
  });

  it('has round corners and round cutouts to scale', () => {
    expect(shapePath(rect(0, 0, 2, 1, 0.25), place)).toContain('A25 25 0 0 1');
    expect(shapePath(circle(1, 1, 0.5), place)).toContain('a50 50');
  });

  it('carries the openings of a part', () => {
    const path = partPath(
      {
        key: 'a',
        name: 'a',
        layer: 'over',
        outline: rect(0, 0, 4, 4),
        openings: [circle(2, 2, 1)],
        goesOn: [],
        addedThicknessIn: null
      },
      place
    );
    expect(path.match(/Z/g)).toHaveLength(2);
  });
});
