import { describe, expect, it } from 'vitest';
import { whyNot } from '../../../tests/support/why-not.ts';
import { ColdMove, coldStream, type ColdEvent } from './cold-events.ts';

let made = 0;
const away = (count: number, change: object = {}): ColdMove =>
  ColdMove.parse({
    id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
    at: '2031-05-02T08:30:00Z',
    kind: 'left-over',
    count,
    how: 'scrapped',
    note: '',
    ...change
  });
const stored = (move: ColdMove): ColdEvent => ({ ...move, by: 'Ilse', frozen: null });
const BATCH = { count: 30, driven: 18 };

describe('what is left of a batch', () => {
  it('may be put away, and no more than that', () => {
    expect(whyNot(coldStream.follow(BATCH, 0, away(12)))).toBeNull();
    expect(coldStream.follow(BATCH, 0, away(13))).toMatchObject({
      error: { path: 'count', said: { code: 'not-so-many-out', count: 13, left: 12 } }
    });
    expect(whyNot(coldStream.follow(BATCH, 5, away(8)))).toBe('not-so-many-out');
    expect(whyNot(coldStream.follow(BATCH, 5, away(7)))).toBeNull();
  });

  it('adds up, each putting away once', () => {
    const [one, two] = [stored(away(3)), stored(away(4))];
    expect(coldStream.project(BATCH, [one, two])).toBe(7);
    expect(coldStream.project(BATCH, [two, one, one])).toBe(7);
    expect(coldStream.project(BATCH, [two], 3)).toBe(7);
    expect(coldStream.project(BATCH, [])).toBe(0);
  });

  it.each([
    ['count', { count: 0 }],
    ['count', { count: 1.5 }],
    ['count', { count: 100_001 }],
    ['how', { how: 'kept' }],
    ['note', { note: 'x'.repeat(121) }]
  ])('is none where its %s is wrong', (field, change) => {
    expect(whyNot(ColdMove.safeParse({ ...away(1), ...change }))).toBe(`field ${field}`);
  });
});
