import { expect, it } from 'vitest';
import { Once } from './once.ts';

it('one act keeps its id until it is answered; another is another', () => {
  const once = new Once<number>();
  let made = 0;
  const make = () => (made += 1);
  expect([once.of({ bin: 'a', count: 5 }, make), once.of({ bin: 'a', count: 5 }, make)]).toEqual([
    1, 1
  ]);
  expect(once.of({ bin: 'a', count: 6 }, make)).toBe(2);
  once.answered({ reached: false });
  once.answered({ reached: true, ok: false, status: 503, message: 'the database is away' });
  expect(once.of({ bin: 'a', count: 6 }, make)).toBe(2);
  once.answered({ reached: true, ok: true, value: null });
  expect(once.of({ bin: 'a', count: 6 }, make)).toBe(3);
});
