import { describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import type { Called } from './call.ts';
import { Outbox } from './outbox.svelte.ts';

const Move = z.object({ id: z.string(), at: z.string(), n: z.number() });
type Move = z.output<typeof Move>;
const move = (n: number): Move => ({ id: `m${n}`, at: '2026-03-04T10:00:00.000Z', n });
const settled = () => new Promise((resolve) => setTimeout(resolve, 0));

/** A server that answers in turn; afterwards it takes everything. */
function boxWith(answers: ((moves: Move[]) => Called<Move[]>)[]) {
  const posted: { moves: Move[]; headers: Record<string, string> }[] = [];
  const refused: [number, string][] = [];
  const box = new Outbox<Move, Move>('stream/1', Move, {
    post: (moves, headers) => {
      posted.push({ moves, headers });
      const answer = answers.shift() ?? ((all) => ({ reached: true, ok: true, value: all }));
      return Promise.resolve(answer(moves));
    },
    taken: () => undefined,
    refused: ({ n }, message) => refused.push([n, message])
  });
  return { box, posted, refused };
}
const no = (status: number, message: string) => () =>
  ({ reached: true, ok: false, status, message }) as const;

describe('moves on their way', () => {
  it('are sent again in their order once the server is back, each once', async () => {
    vi.useFakeTimers();
    const { box, posted } = boxWith([() => ({ reached: false })]);
    box.add(move(1));
    box.add(move(2));
    await vi.advanceTimersByTimeAsync(0);
    expect([box.away, box.waiting.length]).toEqual([true, 2]);
    await vi.advanceTimersByTimeAsync(3000);
    expect(posted.at(-1)?.moves.map(({ n }) => n)).toEqual([1, 2]);
    expect([box.away, box.waiting.length]).toEqual([false, 0]);
    vi.useRealTimers();
  });

  it('a bad one takes no good one with it', async () => {
    const { box, refused } = boxWith([
      () => ({ reached: false }),
      no(422, 'entry 1: no such hole'),
      no(422, 'no such hole')
    ]);
    box.add(move(1));
    await settled();
    box.waiting = [move(1), move(2)];
    await box.sendAll();
    await settled();
    expect(refused).toEqual([[1, 'no such hole']]);
    expect(box.waiting).toEqual([]);
    box.stop();
  });

  it.each([
    [{ reached: false }, [true, '']],
    [no(503, 'the database is away')(), [true, '']],
    [no(429, 'too often: try again in 3 s')(), [false, 'too often: try again in 3 s']],
    [no(425, 'a clock was set back')(), [false, 'a clock was set back']],
    [no(421, 'this is served elsewhere')(), [false, 'this is served elsewhere']]
  ] as const)('wait and go again after %o', async (answer, [away, refusal]) => {
    vi.useFakeTimers();
    const { box, posted, refused } = boxWith([() => answer]);
    box.add(move(1));
    await vi.advanceTimersByTimeAsync(0);
    expect([box.waiting.length, box.away, box.refusal]).toEqual([1, away, refusal]);
    await vi.advanceTimersByTimeAsync(3000);
    expect([posted.length, box.waiting.length, refused]).toEqual([2, 0, []]);
    vi.useRealTimers();
  });

  it('are kept while nobody has said who is at the bench', async () => {
    const { box } = boxWith([no(401, 'Sign in first')]);
    box.add(move(1));
    await settled();
    expect([box.waiting.length, box.refusal]).toEqual([1, 'Sign in first']);
    box.stop();
  });

  it('of a clock that is far off wait for a word on it', async () => {
    const far = () =>
      ({
        reached: true,
        ok: false,
        status: 428,
        message: '47 min behind',
        clockOffMs: -47 * 60_000
      }) as const;
    const { box, posted } = boxWith([far]);
    box.add(move(1));
    await settled();
    expect(box.clock?.message).toBe('47 min behind');
    expect(box.waiting).toHaveLength(1);
    box.settleClock('server');
    await settled();
    // stamped by a clock 47 min behind: it was 10:47
    expect(posted.at(-1)?.moves[0]?.at).toBe('2026-03-04T10:47:00.000Z');
    expect(posted.at(-1)?.headers['x-clock-right']).toBe('yes');
    expect(box.waiting).toEqual([]);
  });

  it('of a clock that is said to be right go as they are', async () => {
    const { box, posted } = boxWith([
      () => ({ reached: true, ok: false, status: 428, message: '', clockOffMs: 9e5 })
    ]);
    box.add(move(1));
    await settled();
    box.settleClock('device');
    await settled();
    expect(posted.at(-1)?.moves).toEqual([move(1)]);
  });
});
