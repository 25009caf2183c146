import { describe, expect, it } from 'vitest';
import { asRanges } from './ranges';

describe('numbers as one writes them', () => {
  it.each([
    [[], ''],
    [[4], '4'],
    [[1, 2, 3], '1–3'],
    [[1, 2, 3, 7, 9, 10], '1–3, 7, 9–10']
  ])('%j', (numbers, text) => {
    expect(asRanges(numbers)).toBe(text);
  });
});
