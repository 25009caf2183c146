import { describe, expect, it } from 'vitest';
import { heldAgainst } from './at-its-limit.ts';
import { drivenHead } from './driven-head.ts';

const verdictOf = (diameterIn: number, heightIn: number) => {
  const reading = { dash: 3, diameterIn, heightIn, limits: 'standard' } as const;
  const judged = drivenHead({ ...heldAgainst(reading), flags: [] });
  return judged.ok ? judged.result.verdict : null;
};

describe('a reading at its limit', () => {
  // dash 3 by the standard limits: 0.38 × 0.09375 = 0.035625 high at least, 1.3 × 0.09375 = 0.121875 wide
  it('is at it where both are written alike', () => {
    expect(verdictOf(0.14, 0.0356)).toBe('accept');
    expect(verdictOf(0.1219, 0.047)).toBe(verdictOf(0.121875, 0.047));
    expect(verdictOf(0.12183, 0.047)).toBe(verdictOf(0.121875, 0.047));
  });

  it('is under it where a ten-thousandth lies between', () => {
    expect(verdictOf(0.14, 0.0355)).toBe('replace');
    const reading = { dash: 3, diameterIn: 0.14, heightIn: 0.0355, limits: 'standard' } as const;
    expect(heldAgainst(reading)).toEqual(reading);
  });
});
