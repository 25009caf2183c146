import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { revolvedIn3 } from '../../../tests/support/revolve';
import { drivingMoment, fullHoleHeightIn, type DrivenRivet } from './driving';
import { predictHead } from './predict-head';

const rivet: DrivenRivet = {
  dash: 4,
  holeIn: 0.1285,
  filledIn: 0.08,
  wideIn3: 0,
  protrusionIn: 0.20125
};
const disc = (diameterIn: number) => (Math.PI / 4) * diameterIn ** 2;
const metalIn3 = disc(0.125) * (0.08 + 0.20125);
const headIn3 = (outline: readonly (readonly [number, number])[]) =>
  revolvedIn3([[0, 0], ...outline, [0, outline.at(-1)?.[1] ?? 0]]);

describe('driving at constant volume', () => {
  it.each([0.20125, 0.199, 0.1967, 0.15, 0.1, 0.0625, 0.04])(
    'keeps all the metal when the head stands %s in past the sheets',
    (heightIn) => {
      const { shankDiameterIn, outlineIn, diameterIn } = drivingMoment(rivet, heightIn);
      const shankIn3 = disc(shankDiameterIn) * 0.08;
      // the outline is drawn in straight pieces: its belly is a hair thinner than the curve
      expect((shankIn3 + headIn3(outlineIn)) / metalIn3).toBeCloseTo(1, 3);
      expect((shankIn3 + disc(diameterIn) * heightIn) / metalIn3).toBeCloseTo(1, 10);
    }
  );

  it('fills the hole before it widens', () => {
    // 0.20125 − (0.1285² − 0.125²)/0.125² × 0.08
    const fullIn = fullHoleHeightIn(rivet);
    expect(fullIn).toBeCloseTo(0.19670728, 8);
    const half = drivingMoment(rivet, (0.20125 + fullIn) / 2);
    expect(half.diameterIn).toBe(0.125);
    expect(half.shankDiameterIn).toBeGreaterThan(0.125);
    expect(half.shankDiameterIn).toBeLessThan(0.1285);
    expect(drivingMoment(rivet, fullIn).shankDiameterIn).toBeCloseTo(0.1285, 12);
    expect(drivingMoment(rivet, 0.1).shankDiameterIn).toBe(0.1285);
  });

  it('is as wide at half a diameter as the prediction says', () => {
    const predicted = resultOf(
      predictHead({
        dash: 4,
        head: 'universal',
        gripIn: 0.08,
        lengthIn: 0.28125,
        holeIn: 0.1285,
        limits: 'standard',
        dimpled: false
      })
    );
    expect(drivingMoment(rivet, 0.0625).diameterIn).toBeCloseTo(predicted.diameterAtHalfDIn, 12);
  });

  it('bellies out in the middle, the more the lower it is driven', () => {
    const widest = (heightIn: number) => {
      const { outlineIn, diameterIn } = drivingMoment(rivet, heightIn);
      return (2 * Math.max(...outlineIn.map(([x]) => x))) / diameterIn;
    };
    expect(widest(0.19)).toBeCloseTo(1, 2);
    expect(widest(0.0625)).toBeGreaterThan(1.01);
    expect(widest(0.04)).toBeGreaterThan(widest(0.0625));
  });

  it('makes a smaller head where some metal goes into a larger hole', () => {
    // 0.0004 in³ over a shank of 0.125: 0.0326 in of it
    const less = { ...rivet, wideIn3: 0.0004 };
    expect(fullHoleHeightIn(less)).toBeCloseTo(fullHoleHeightIn(rivet) - 0.0004 / disc(0.125), 12);
    const { heightIn, diameterIn } = drivingMoment(less, 0.0625);
    const full = drivingMoment(rivet, 0.0625);
    expect(disc(diameterIn) * heightIn).toBeCloseTo(disc(full.diameterIn) * 0.0625 - 0.0004, 12);
    // while it swells it never comes out wider than the rivet's own hole
    expect(drivingMoment(less, 0.17).shankDiameterIn).toBeLessThanOrEqual(0.1285);
  });
});
