import { describe, expect, it } from 'vitest';
import { TERMS } from './terms.ts';

describe('the glossary', () => {
  it('has each term once, in the order of the alphabet', () => {
    const terms = TERMS.map(({ term }) => term);
    expect(terms).toEqual([...new Set(terms)].sort((a, b) => a.localeCompare(b, 'en')));
    expect(terms).toContain('shop head');
  });

  it.each(TERMS.map(({ term, is }) => [term, is]))('says what %s is in plain words', (term, is) => {
    expect(is).toMatch(/^[A-Z].*\.$/);
    expect(is.split(' ').length).toBeLessThanOrEqual(24);
    expect(is.toLowerCase().startsWith(term.toLowerCase())).toBe(false);
  });
});
