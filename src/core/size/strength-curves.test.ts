import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { bestPitch, efficiencyCurve } from './efficiency-curve';
import { interRivetBuckling } from './inter-rivet-buckling';
import { jointStrength } from './joint-strength';

const JOINT = {
  sheet: '2024-T3 clad',
  thicknessIn: 0.04,
  alloy: 'AD',
  dash: 4,
  rows: 2,
  edgeIn: 0.28125
} as const;

describe('efficiency against pitch', () => {
  const curve = efficiencyCurve(JOINT);

  it('runs from 3 D to 12 D', () => {
    expect(curve[0]?.pitchD).toBe(3);
    expect(curve.at(-1)?.pitchD).toBe(12);
    expect(curve[0]?.pitchIn).toBe(0.375);
  });

  it('is the strength check’s own answer at each pitch', () => {
    for (const point of [curve[0], curve[37], curve.at(-1)]) {
      const check = resultOf(jointStrength({ ...JOINT, pitchIn: point?.pitchIn ?? NaN }));
      expect(point?.efficiency).toBe(check.efficiency);
      expect(point?.governs).toBe(check.governs);
    }
  });

  it('rises while the sheet between holes governs and falls once the rivets do', () => {
    const best = bestPitch(curve);
    const at = curve.findIndex((point) => point === best);
    for (let index = 1; index < curve.length; index++) {
      const rises = (curve[index]?.efficiency ?? 0) > (curve[index - 1]?.efficiency ?? 0);
      expect(rises, `point ${index}`).toBe(index <= at);
    }
    expect(curve[at - 1]?.governs).toBe('net-tension');
    // rivets carry 2 × 389 lb; the sheet 2320 lb/in: they meet where 2320 (p − 0.1285) = 778
    expect(best?.pitchIn).toBeCloseTo(0.1285 + 778.1 / 2320, 1);
  });

  it('is empty where there is no bearing value', () => {
    expect(efficiencyCurve({ ...JOINT, edgeIn: 0.1 })).toEqual([]);
    expect(bestPitch([])).toBeNull();
  });
});

describe('buckling between rivets', () => {
  it('works out like on paper, and back', () => {
    const asked = { thicknessIn: 0.032, head: 'universal', pitchIn: 0.75 } as const;
    const { bucklingKsi, maxPitchIn } = resultOf(interRivetBuckling(asked));
    // 0.9 × 4 × 10,300 × (0.032/0.75)² = 67.5
    expect(bucklingKsi).toBeCloseTo(67.5, 1);
    expect(maxPitchIn).toBeNull();
    const back = resultOf(interRivetBuckling({ ...asked, stressKsi: bucklingKsi }));
    expect(back.maxPitchIn).toBeCloseTo(0.75, 12);
  });

  it('holds flush heads to half the pitch of protruding ones', () => {
    const asked = { thicknessIn: 0.04, pitchIn: 1, stressKsi: 30 };
    const universal =
      resultOf(interRivetBuckling({ ...asked, head: 'universal' })).maxPitchIn ?? NaN;
    const flush = resultOf(interRivetBuckling({ ...asked, head: 'countersunk' })).maxPitchIn ?? NaN;
    expect(universal / flush).toBeCloseTo(2, 12);
  });
});
