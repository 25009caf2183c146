import { describe, expect, it } from 'vitest';
import type { Release } from '../release/release';
import { DEFAULT_PROFILE } from '../rules/profile';
import { expectedLooks } from './expected-looks';
import { HoleLook } from './hole-look';

const facts = { limits: 'standard', head: 'universal', rules: DEFAULT_PROFILE };
const holes = [7, 8].map((number) => ({ number, dash: 4 }));
const release = { facts, holes } as unknown as Pick<Release, 'facts' | 'holes'>;
const look = (hole: number, diameterIn: number, more: object = {}): HoleLook =>
  HoleLook.parse({
    id: `00000000-0000-4000-8000-00000000000${hole}`,
    at: '2031-05-02T08:00:00Z',
    kind: 'checked',
    hole,
    diameterIn,
    heightIn: 0.062,
    flags: [],
    ...more
  });

describe('looks on their way', () => {
  it('are judged as they will be', () => {
    const looks = [look(7, 0.19), look(8, 0.25, { heightIn: 0.041 })];
    expect(expectedLooks(looks, release).map(({ hole, frozen }) => [hole, frozen.verdict])).toEqual(
      [
        [7, 'accept'],
        [8, 'replace']
      ]
    );
  });

  it('are left out where they will be refused: a hole that is not there, a head without flushness', () => {
    const flush = { by: 'number', offIn: 0 };
    expect(expectedLooks([look(9, 0.19), look(7, 0.19, { flush })], release)).toEqual([]);
  });
});
