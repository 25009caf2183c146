import { describe, expect, it } from 'vitest';
import { plateDueInDays } from '../devices/shop-plate';
import { gaugePlate } from './gauge-plate';
import { measuredSizes } from './measured-plate';

const { features } = gaugePlate([4], 'standard');
const as = (offIn: number) =>
  features.map((feature) => ({ feature, valueIn: feature.nominalIn + offIn }));

describe('a plate that is kept', () => {
  it('has its holes and notches as measured', () => {
    // D = 0.125: 1.3 D = 0.1625, 0.38 D = 0.0475, 1.75 D = 0.21875, 0.65 D = 0.08125
    const sizes = measuredSizes(as(0.001), features);
    expect(sizes).toHaveLength(1);
    expect(sizes[0]?.dash).toBe(4);
    expect(sizes[0]?.headHoleIn).toBeCloseTo(0.1635, 12);
    expect(sizes[0]?.notchIn).toBeCloseTo(0.0485, 12);
    expect(sizes[0]?.upperHoleIn).toBeCloseTo(0.21975, 12);
    expect(sizes[0]?.upperNotchIn).toBeCloseTo(0.08225, 12);
  });

  it('is none while something is not measured', () => {
    expect(measuredSizes(as(0).slice(1), features)).toEqual([]);
  });

  it('is measured again when its days are over', () => {
    const plate = { measuredAt: '2031-05-02T08:00:00Z', dueAfterDays: 30 };
    expect(plateDueInDays(plate, Date.parse('2031-05-12T08:00:00Z'))).toBe(20);
    expect(plateDueInDays(plate, Date.parse('2031-06-02T08:00:00Z'))).toBe(-1);
  });
});
