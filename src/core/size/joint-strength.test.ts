import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { jointStrength } from './joint-strength';

const ASKED = {
  sheet: '2024-T3 clad',
  thicknessIn: 0.04,
  alloy: 'AD',
  dash: 4,
  rows: 2,
  pitchIn: 0.5,
  edgeIn: 0.25
} as const;

describe('joint strength', () => {
  holdsWorkedCases('joint-strength');

  it('works out like on paper', () => {
    const { shearLb, bearingLb, netTensionLb, grossLb, governs, efficiency } = resultOf(
      jointStrength(ASKED)
    );
    expect(shearLb).toBeCloseTo(30_000 * 0.0129687, 0); // 389 lb on an area of 0.01297 in²
    expect(bearingLb).toBeCloseTo(119_000 * 0.1285 * 0.04, 9);
    expect(netTensionLb).toBeCloseTo(58_000 * 0.04 * 0.3715, 9);
    expect(grossLb).toBeCloseTo(1160, 9);
    // 2 × 389 = 778 is under 862 net tension and 2 × 612 bearing
    expect(governs).toBe('shear');
    expect(efficiency).toBeCloseTo((2 * shearLb) / 1160, 12);
  });

  it('interpolates bearing between 1.5 D and 2 D and keeps it above', () => {
    const at = (edgeIn: number) => resultOf(jointStrength({ ...ASKED, edgeIn })).bearingLb;
    expect(at(0.21875)).toBeCloseTo((at(0.1875) + at(0.25)) / 2, 9);
    expect(at(0.5)).toBe(at(0.25));
  });

  it('refuses less than 1.5 D and a pitch without sheet in it', () => {
    expect(jointStrength({ ...ASKED, edgeIn: 0.18 })).toMatchObject({
      error: { code: 'not-possible', path: 'edgeIn' }
    });
    expect(jointStrength({ ...ASKED, pitchIn: 0.1285 })).toMatchObject({
      error: { code: 'invalid-input', path: 'pitchIn' }
    });
  });
});
