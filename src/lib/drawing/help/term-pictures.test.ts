import { describe, expect, it } from 'vitest';
import { TERMS } from '$lib/words/terms';
import { TERM_PICTURES } from './term-pictures';

describe('drawings of the glossary', () => {
  it('are of terms that it has', () => {
    const terms = new Set(TERMS.map(({ term }) => term));
    expect(Object.keys(TERM_PICTURES).filter((term) => !terms.has(term))).toEqual([]);
  });

  it.each(Object.entries(TERM_PICTURES))('%s stays inside its frame', (_, { paths }) => {
    for (const d of paths)
      for (const [, x, y] of d.matchAll(/M(\d+) (\d+)/g)) {
        expect(Number(x)).toBeLessThanOrEqual(170);
        expect(Number(y)).toBeLessThanOrEqual(96);
      }
  });
});
