import { describe, expect, it } from 'vitest';
import { onTheirWay, takeOutAdvice } from './cold-plan.ts';
import type { DriveMove } from './drive-move.ts';

describe('how many to take out of the cold', () => {
  it('is what is driven until they are due, and no more than are open', () => {
    // DD is due after 10 min: 600 / 37 = 16.2
    const dd = takeOutAdvice('DD', 37, 40);
    expect(dd).toMatchObject({ ok: true, result: { count: 16, dueMinutes: 10 } });
    expect(dd.ok && dd.work.map(({ value }) => value)).toEqual([16, 16]);
    expect(takeOutAdvice('DD', 37, 9)).toMatchObject({ result: { count: 9 } });
    // D after 60: 3600 / 45 = 80
    expect(takeOutAdvice('D', 45, 300)).toMatchObject({ result: { count: 80 } });
    expect(takeOutAdvice('DD', 601, 9)).toMatchObject({ result: { count: 0 } });
  });

  it('goes by the shop’s own times where it has some', () => {
    // 5 min at 37 s: 300 / 37 = 8.1
    const own = { dueMinutes: 5, limitMinutes: 12 };
    expect(takeOutAdvice('DD', 37, 40, 0, own)).toMatchObject({
      result: { count: 8, dueMinutes: 5 }
    });
    expect(takeOutAdvice('AD', 37, 40, 0, own).ok).toBe(false);
  });

  it('counts those that are out: they are driven first', () => {
    expect(takeOutAdvice('DD', 37, 40, 7)).toMatchObject({ result: { count: 9 } });
    expect(takeOutAdvice('DD', 37, 9, 7)).toMatchObject({ result: { count: 2 } });
    expect(takeOutAdvice('DD', 37, 9, 12)).toMatchObject({ result: { count: 0 } });
    const advice = takeOutAdvice('DD', 37, 9, 7);
    expect(advice.ok && advice.work.at(-1)?.formula).toContain('less 7 that are out');
  });

  it('is no question for what is driven as received', () => {
    expect(takeOutAdvice('AD', 30, 9)).toMatchObject({
      ok: false,
      error: { said: { code: 'not-driven-cold', alloy: 'AD' } }
    });
  });
});

describe('rivets on their way to the server', () => {
  const move = (kind: 'driven' | 'undriven', hole: number, batch: string | null = 'a') =>
    ({ kind, hole, ...(kind === 'driven' ? { batch } : {}) }) as DriveMove;
  const none = () => false;

  it('are gone from their batch, each once, and back where a tap was taken back', () => {
    const moves = [move('driven', 1), move('driven', 2), move('driven', 2), move('driven', 3, 'b')];
    expect(onTheirWay(moves, none)).toEqual(
      new Map([
        ['a', 2],
        ['b', 1]
      ])
    );
    expect(onTheirWay([...moves, move('undriven', 1)], none).get('a')).toBe(1);
    expect(onTheirWay([move('driven', 1, null)], none).size).toBe(0);
  });

  it('are none where the rivet was in before: more blows', () => {
    expect(onTheirWay([move('driven', 1)], (hole) => hole === 1).size).toBe(0);
  });
});
