import { describe, expect, it } from 'vitest';
import type { Release } from '../release/release';
import { surroundings } from './surroundings';

const hole = (number: number, xIn: number, yIn = 0.4) => ({ number, xIn, yIn, stack: 0, dash: 4 });
const layout = {
  facts: { widthIn: 6, overlapIn: 0.8, holeIn: 0.1285, stacks: [] },
  holes: [hole(1, 0.4), hole(2, 1.3), hole(3, 5.6)],
  heldOpen: [{ ...hole(4, 0.9), reason: 'latch' }]
} as unknown as Pick<Release, 'facts' | 'holes' | 'heldOpen'>;

describe('what lies around a hole', () => {
  it('is every hole and edge within nine diameters, to scale', () => {
    // 9 D of 1/8 is 1.125 in to every side: the window begins 0.725 in left of the joint
    expect(surroundings(layout, 1)).toEqual({
      widthIn: 2.25,
      heightIn: 2.25,
      hole: { number: 1, xIn: 1.125, yIn: 1.125, diameterIn: 0.1285, open: false },
      others: [
        { number: 2, xIn: 2.025, yIn: 1.125, diameterIn: 0.1285, open: false },
        { number: 4, xIn: 1.625, yIn: 1.125, diameterIn: 0.1285, open: true }
      ],
      edges: { left: 0.725, right: null, top: 0.725, bottom: expect.closeTo(1.525, 9) }
    });
    expect(surroundings(layout, 3)?.edges.right).toBeCloseTo(1.525, 9);
    expect(surroundings(layout, 9)).toBeNull();
  });
});
