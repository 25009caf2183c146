import { describe, expect, it } from 'vitest';
import { clockQuestion } from './clock.ts';

const NOW = Date.parse('2026-03-04T10:00:00Z');
const ask = (clock: string | null, right = false) => clockQuestion({ clock, right }, NOW);

describe('a sender’s clock', () => {
  it.each([[null], ['nonsense'], ['2026-03-04T10:01:59Z'], ['2026-03-04T11:58:01+02:00']])(
    '%s asks nothing',
    (clock) => expect(ask(clock)).toBeNull()
  );

  it('that is far off is asked about, with how far', () => {
    expect(ask('2026-03-04T09:13:00Z')).toEqual({
      clockOffMs: -47 * 60_000,
      message: expect.stringContaining('is 47 min behind the server.')
    });
    expect(ask('2026-03-04T12:05:00Z')?.message).toContain('2 h 5 min ahead of');
    expect(ask('2026-03-04T09:13:00Z', true)).toBeNull();
  });
});
