import { describe, expect, it } from 'vitest';
import { rivetSize } from '../../core/catalog/rivets';
import { bulgedHead } from './bulged-head';
import { bandOutline, boreRadiusIn, closedPath, mirroredPath } from './section-paths';
import { sectionShape } from './section-shape';

const SHEETS = [
  { name: 'outer', thicknessIn: 0.05 },
  { name: 'inner', thicknessIn: 0.063 }
];
const flush = sectionShape(SHEETS, rivetSize(4), 'countersunk', 0.1285, 0.3125);
const plain = sectionShape(SHEETS, rivetSize(4), 'universal', 0.1285, 0.3125);
const PLACE = { axis: 100, faceY: 50, pxPerIn: 1000 };
const [outer = { topIn: 0, bottomIn: 0 }, inner = { topIn: 0, bottomIn: 0 }] = flush.sheets;

describe('the bore through a stack', () => {
  it('is the hole all the way under a protruding head', () => {
    for (const depth of [0, 0.03, 0.1]) expect(boreRadiusIn(plain, depth)).toBe(0.06425);
  });

  it('narrows from the head’s rim at the face, never below the hole', () => {
    expect(boreRadiusIn(flush, 0)).toBe(0.1125);
    // half way down the cone: (0.1125 + 0.0625) / 2
    expect(boreRadiusIn(flush, 0.021)).toBeCloseTo(0.0875, 12);
    expect(boreRadiusIn(flush, 0.0419)).toBe(0.06425);
    expect(boreRadiusIn(flush, 0.05)).toBe(0.06425);
  });
});

describe('a sheet in section', () => {
  it('has its knee where the countersink ends', () => {
    expect(bandOutline(flush, outer, 0.2)).toEqual([
      [0.2, 0],
      [0.1125, 0],
      [0.06425, 0.042],
      [0.06425, 0.05],
      [0.2, 0.05]
    ]);
  });

  it('is a plain band beneath', () => {
    const outline = bandOutline(flush, inner, 0.2);
    expect(new Set(outline.map(([x]) => x))).toEqual(new Set([0.2, 0.06425]));
    expect(outline[0]?.[1]).toBe(0.05);
    expect(outline.at(-1)?.[1]).toBeCloseTo(0.113, 12);
  });
});

describe('paths on the screen', () => {
  it('mirror about the axis', () => {
    expect(
      mirroredPath(
        [
          [0.02, 0],
          [0.01, 0.03]
        ],
        PLACE
      )
    ).toBe('M80 50 L90 80 Z M120 50 L110 80 Z');
  });

  it('close over their mirror image', () => {
    expect(
      closedPath(
        [
          [0, -0.01],
          [0.02, 0]
        ],
        PLACE
      )
    ).toBe('M100 40 L120 50 L80 50 L100 40 Z');
  });

  it('draw a driven head exactly as wide as it is at its middle', () => {
    const [, control = 0, shoulder = 0] =
      /Q([\d.]+) [\d.]+ ([\d.]+)/.exec(bulgedHead(0, 0, 100, 60)) ?? [];
    // a quadratic curve at its middle is a quarter, a half, a quarter of its three points
    expect(Number(control) / 2 + Number(shoulder) / 2).toBeCloseTo(100, 9);
  });

  it('draw it upwards when asked', () => {
    expect(bulgedHead(0, 100, 10, -40)).toContain(' 60 ');
  });
});
