import { describe, expect, it } from 'vitest';
import { squeezeForce } from './driving-figures.ts';

describe('the force that a rivet is squeezed with', () => {
  it('is the table’s for AD, an order of size', () => {
    expect(([3, 4, 5, 6, 8] as const).map((dash) => squeezeForce(dash, 'AD'))).toEqual(
      [1000, 2000, 3500, 5000, 8500].map((lb) => ({ lb, estimated: false }))
    );
  });

  it('goes by driven shear strength for the harder ones, and says that it is estimated', () => {
    // 3500 × 41/30, 38/30 and 43/30
    expect(squeezeForce(5, 'DD')).toEqual({ lb: (3500 * 41) / 30, estimated: true });
    expect(squeezeForce(5, 'D')?.lb).toBeCloseTo(4433.33, 2);
    expect(squeezeForce(4, 'E')?.lb).toBeCloseTo(2866.67, 2);
  });

  it('is not given for others', () => {
    expect([squeezeForce(3, 'A'), squeezeForce(3, 'B')]).toEqual([null, null]);
  });
});
