import { describe, expect, it } from 'vitest';
import { bulgedHead } from '../head/bulged-head';
import { closedPath, mirroredPath } from './section-paths';

const PLACE = { axis: 100, faceY: 50, pxPerIn: 1000 };

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
