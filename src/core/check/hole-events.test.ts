import { describe, expect, it } from 'vitest';
import type { IssuedFacts, IssuedHole } from '../issue/issue';
import { holeStates, lastShares, type HoleEvent } from './hole-events';

const event = (hole: number, diameterIn: number, verdict: 'accept' | 'drive-more'): HoleEvent => ({
  id: `00000000-0000-4000-8000-0000000000${hole}${verdict === 'accept' ? 1 : 2}`,
  kind: 'checked',
  hole,
  at: '2026-03-04T10:00:00Z',
  diameterIn,
  heightIn: 0.06,
  flags: [],
  by: 'Ilse',
  frozen: { verdict, findings: [], diameterD: diameterIn / 0.125, heightD: 0.48 }
});

describe('where the holes stand', () => {
  const states = holeStates(
    [1, 2, 3],
    [event(1, 0.16, 'drive-more'), event(2, 0.18, 'accept'), event(1, 0.19, 'accept')]
  );

  it('lets the last reading of a hole count and remembers how often it was looked at', () => {
    expect(states.get(1)).toMatchObject({ looks: 2, last: { diameterIn: 0.19 } });
    expect(states.get(3)).toEqual({ hole: 3, last: null, looks: 0 });
  });

  it('holds the latest readings against what each hole predicts', () => {
    const facts = {
      predictedIn3: 0.002,
      stacks: []
    } as unknown as IssuedFacts;
    const holes = [1, 3].map((number) => ({ number, stack: 0, gripIn: null }) as IssuedHole);
    const shares = lastShares(states, holes, facts);
    expect(shares).toHaveLength(1);
    expect(shares[0]).toBeCloseTo(((Math.PI / 4) * 0.19 ** 2 * 0.06) / 0.002, 12);
  });
});
