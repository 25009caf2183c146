import { describe, expect, it } from 'vitest';
import { termAnchor, termOf } from './term-of';

describe('a term on a page', () => {
  it('is found by its label, and nothing else is', () => {
    expect(termOf('Edge distance')).toMatchObject({ term: 'edge distance' });
    expect(termOf('Edge distance, left')).toBeUndefined();
    expect(termOf('constructor')).toBeUndefined();
  });

  it('has a place on the page of the glossary', () => {
    expect(termAnchor('re-check')).toBe('re-check');
    expect(termAnchor('refer to engineering')).toBe('refer-to-engineering');
  });
});
