import { describe, expect, it } from 'vitest';
import { asHappened } from './as-happened.ts';

const event = (id: string, at: string) => ({ id, at: `2031-05-02T${at}` });
const [first, second, third] = [
  event('a', '08:00:00Z'),
  event('b', '08:00:10Z'),
  event('c', '08:00:20Z')
] as const;
const ids = (...events: { id: string; at: string }[]) => asHappened(events).map(({ id }) => id);

describe('events as they happened', () => {
  it('stand by their instants, however they came in', () => {
    expect(ids(third, first, second)).toEqual(['a', 'b', 'c']);
    expect(ids(first, third, second)).toEqual(['a', 'b', 'c']);
  });

  it('are each there once', () => {
    expect(ids(first, second, first)).toEqual(['a', 'b']);
    expect(ids(second, second, first)).toEqual(['a', 'b']);
    expect(ids(first, first)).toEqual(['a']);
  });

  it('stand in the order given where they are of one instant', () => {
    const same = [event('y', '08:00:00Z'), event('x', '08:00:00Z')] as const;
    expect(ids(...same)).toEqual(['y', 'x']);
    expect(ids(second, ...same)).toEqual(['y', 'x', 'b']);
  });

  it('are held against each other whatever zone their clocks show', () => {
    // 09:30 there is 07:30 here
    expect(ids(first, event('e', '09:30:00+02:00'))).toEqual(['e', 'a']);
  });

  it('are left as they are where nothing is to be put right', () => {
    const given = [first, second, third];
    expect(asHappened(given)).toBe(given);
    expect(asHappened([])).toEqual([]);
  });
});
