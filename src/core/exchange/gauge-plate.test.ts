import { describe, expect, it } from 'vitest';
import { featureBounds, gaugePlate, judgeFeature } from './gauge-plate';

describe('a gauge plate', () => {
  const { pattern, features } = gaugePlate([3, 4, 5, 6, 8], 'standard');
  const nominal = (key: string) => features.find((one) => one.key === key)?.nominalIn;

  it('has the limits of each size as holes and notches', () => {
    // 1.75 and 1.3 × 1/8; 0.65 and 0.38 × 1/8; 1.5 × 1/8
    expect(nominal('go-4')).toBeCloseTo(0.21875, 12);
    expect(nominal('no-go-4')).toBeCloseTo(0.1625, 12);
    expect(nominal('high-4')).toBeCloseTo(0.08125, 12);
    expect(nominal('low-4')).toBeCloseTo(0.0475, 12);
    expect(nominal('shank-4')).toBeCloseTo(0.1875, 12);
    expect(features).toHaveLength(25);
  });

  it('draws every feature full size', () => {
    const circles = pattern.strokes.flatMap((one) =>
      one.stroke === 'circle' ? [2 * one.radiusIn] : []
    );
    for (const { key, nominalIn } of features.filter((one) => /^(no-)?go/.test(one.key)))
      expect(
        circles.some((drawn) => Math.abs(drawn - nominalIn) < 1e-12),
        key
      ).toBe(true);
    // the plate is one closed outline: its upright pieces are the notches' sides
    const depths = pattern.strokes.flatMap((one) =>
      one.stroke === 'path'
        ? one.corners.flatMap((corner, at) => {
            const next = one.corners[(at + 1) % one.corners.length];
            return next && next.xIn === corner.xIn ? [Math.abs(next.yIn - corner.yIn)] : [];
          })
        : []
    );
    for (const { key, nominalIn } of features.filter((one) => /^(high|low|shank)/.test(one.key)))
      expect(
        depths.filter((drawn) => Math.abs(drawn - nominalIn) < 1e-12).length,
        key
      ).toBeGreaterThanOrEqual(2);
  });

  it('is one closed outline in which nothing touches', () => {
    const ends = new Map<string, number>();
    for (const one of pattern.strokes)
      if (one.stroke === 'line' && one.layer === 'EDGES')
        for (const [x, y] of [
          [one.x1In, one.y1In],
          [one.x2In, one.y2In]
        ] as const) {
          const key = `${x.toFixed(6)} ${y.toFixed(6)}`;
          ends.set(key, (ends.get(key) ?? 0) + 1);
        }
    expect([...ends.values()].every((count) => count === 2)).toBe(true);
    const circles = pattern.strokes.flatMap((one) => (one.stroke === 'circle' ? [one] : []));
    for (const [at, a] of circles.entries()) {
      expect(a.xIn - a.radiusIn).toBeGreaterThan(0.05);
      expect(a.xIn + a.radiusIn).toBeLessThan(pattern.wIn - 0.05);
      for (const b of circles.slice(at + 1))
        expect(Math.hypot(a.xIn - b.xIn, a.yIn - b.yIn)).toBeGreaterThan(
          a.radiusIn + b.radiusIn + 0.03
        );
    }
  });

  const THOUSANDTH = 0.0001;
  const MM = 0.01 / 25.4;
  const bounds = (key: string, stepIn: number) => {
    const feature = features.find((one) => one.key === key);
    if (!feature) throw new Error(key);
    return featureBounds(feature, stepIn);
  };

  it('may be off by what a reamer and a file hold', () => {
    // 1.75 × 1/8 = 0.21875, a thousandth to spare on each side of it twice
    const go = bounds('go-4', THOUSANDTH);
    expect(go.lowIn).toBeCloseTo(0.2168, 12);
    expect(go.highIn).toBeCloseTo(0.2207, 12);
    expect(judgeFeature(go, 0.2205)).toBe('good');
    expect(judgeFeature(go, 0.2215)).toBe('too-large');
    expect(judgeFeature(go, 0.216)).toBe('too-small');
  });

  it('lets no head pass that is under the minimum: its lower hole and notch are rounded up, and judged as printed', () => {
    // 1.3 × 5/32 = 0.203125: 0.2031 would be too narrow
    const noGo = bounds('no-go-5', THOUSANDTH);
    expect(noGo.lowIn).toBeCloseTo(0.2032, 12);
    expect(judgeFeature(noGo, 0.2031)).toBe('too-small');
    expect(judgeFeature(noGo, 0.2032)).toBe('good');
    // 5.159375 mm is printed as 5.16
    expect(bounds('no-go-5', MM).lowIn * 25.4).toBeCloseTo(5.16, 9);
    expect(judgeFeature(bounds('no-go-5', MM), 5.16 / 25.4)).toBe('good');
    // 0.38 × 3/32 = 0.035625
    expect(bounds('low-3', THOUSANDTH).lowIn).toBeCloseTo(0.0357, 12);
    // what is a whole division stays it: 1.3 × 1/8
    expect(bounds('no-go-4', THOUSANDTH).lowIn).toBeCloseTo(0.1625, 12);
    // tight limits stand well inside: there the tolerance counts, 1.45 × 1/8 − 0.002
    const tight = gaugePlate([4], 'tight').features.find(({ key }) => key === 'no-go-4');
    expect(tight && featureBounds(tight, THOUSANDTH).lowIn).toBeCloseTo(0.1793, 12);
  });
});
