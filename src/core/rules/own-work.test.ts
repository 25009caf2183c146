import { describe, expect, it } from 'vitest';
import type { ReleasedFacts } from '../release/release.ts';
import { checksOwnWork } from './own-work.ts';

describe('whoever drove a rivet', () => {
  const rules = { checking: 'another' } as ReleasedFacts['rules'];

  it('does not judge it where the shop’s rule says so', () => {
    expect(checksOwnWork(rules, ['ada', 'bo'], 'bo')).toBe(true);
    expect(checksOwnWork(rules, ['ada'], 'bo')).toBe(false);
    expect(checksOwnWork(rules, undefined, 'bo')).toBe(false);
    expect(checksOwnWork(rules, ['ada'], undefined)).toBe(false);
    expect(
      checksOwnWork({ checking: 'anyone' } as unknown as ReleasedFacts['rules'], ['bo'], 'bo')
    ).toBe(false);
    expect(checksOwnWork(null, ['bo'], 'bo')).toBe(false);
  });
});
