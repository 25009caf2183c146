import { describe, expect, it } from 'vitest';
import { depthLarger, stretches, stretchAt } from './story-strip';

describe('a long joint in lines', () => {
  it('is divided into equal lengths and a rest', () => {
    expect(stretches(61.5, 24)).toEqual([
      { fromIn: 0, toIn: 24 },
      { fromIn: 24, toIn: 48 },
      { fromIn: 48, toIn: 61.5 }
    ]);
    expect(stretches(48, 24)).toHaveLength(2);
    expect(stretches(9, 24)).toEqual([{ fromIn: 0, toIn: 9 }]);
  });

  it('has no line for a hair', () => {
    expect(stretches(48.3, 24)).toEqual([
      { fromIn: 0, toIn: 24 },
      { fromIn: 24, toIn: 48.3 }
    ]);
  });

  it('knows in which line a place lies', () => {
    const lines = stretches(61.5, 24);
    expect([0, 23.99, 24, 61.5, 70].map((xIn) => stretchAt(lines, xIn))).toEqual([0, 0, 1, 2, 2]);
  });

  it('draws the depth larger only where rows need it', () => {
    // one row of 1 in at 30 px an inch: 68 px wanted, 30 there
    expect(depthLarger(1, 1, 30)).toBeCloseTo(68 / 30, 10);
    expect(depthLarger(4, 2, 30)).toBe(1);
    // many rows: no more than 150 px
    expect(depthLarger(1, 9, 30)).toBe(5);
  });
});
