import { describe, expect, it } from 'vitest';
import { possibleVerdicts } from './uncertain-head';

/** Dash 4: D = 0.125, so standard limits are 0.1625 to 0.21875 wide, 0.0475 to 0.08125 high. */
const of = (diameterIn: number, heightIn: number, off: [number, number]) =>
  [
    ...possibleVerdicts({
      dash: 4,
      limits: 'standard',
      diameterIn,
      heightIn,
      plusMinus: { diameterIn: off[0], heightIn: off[1] }
    })
  ].sort();

describe('a reading that is only known so closely', () => {
  it('has one verdict where every limit is out of its reach', () => {
    expect(of(0.19, 0.062, [0.005, 0.005])).toEqual(['accept']);
  });

  it('has several where it straddles one', () => {
    // 0.165 ± 0.005 may be under 0.1625, still high: to be driven more
    expect(of(0.165, 0.07, [0.005, 0])).toEqual(['accept', 'drive-more']);
    expect(of(0.19, 0.05, [0, 0.005])).toEqual(['accept', 'replace']);
  });

  it('finds a limit between its two ends, though both ends are bad', () => {
    // from 0.14 to 0.26: too narrow at one end, over 2 D at the other, good between
    expect(of(0.2, 0.07, [0.06, 0])).toContain('accept');
  });

  it('counts the limit itself as good', () => {
    expect(of(0.1725, 0.062, [0.01, 0])).toEqual(['accept']);
  });
});
