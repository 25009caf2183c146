import { describe, expect, it } from 'vitest';
import { headCurve } from './head-curve';

describe('driving at constant volume', () => {
  const D = 0.125;
  // a cylinder of 1.5 D × ½ D holds π/4 · 1.125 D³
  const volumeIn3 = (Math.PI / 4) * 1.125 * D ** 3;
  const curve = headCurve(volumeIn3, D, 0.5);

  it('starts one D wide and as high as its volume makes it', () => {
    expect(curve[0]?.diameterD).toBeCloseTo(1, 12);
    expect(curve[0]?.heightD).toBeCloseTo(1.125, 12);
  });

  it('reaches the nominal head at half a D', () => {
    expect(curve.at(-1)?.heightD).toBeCloseTo(0.5, 12);
    expect(curve.at(-1)?.diameterD).toBeCloseTo(1.5, 12);
  });

  it('keeps d²·h all the way', () => {
    for (const { heightD, diameterD } of curve)
      expect(diameterD ** 2 * heightD).toBeCloseTo(1.125, 12);
  });
});
