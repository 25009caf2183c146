import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { MOVE_STAMP } from '../events/stream.ts';
import { firstBad, isTrusted } from './standing.ts';
import { countedOf, trialStream, Why } from './trial-stream.ts';

/** A stop that is turned until it reads 5; whatever is under 5 is good then. */
const Move = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('turn'), ...MOVE_STAMP, to: z.int() }),
  z.strictObject({ kind: z.literal('undo'), ...MOVE_STAMP, turn: z.uuid(), why: Why }),
  z.strictObject({ kind: z.literal('set'), ...MOVE_STAMP }),
  z.strictObject({ kind: z.literal('used'), ...MOVE_STAMP, reads: z.int() }),
  z.strictObject({ kind: z.literal('done'), ...MOVE_STAMP, why: Why })
]);
type Move = z.output<typeof Move>;
const STREAM = trialStream<
  number,
  Move,
  { to: number },
  null,
  { at5: number },
  number,
  { reads: number; good: boolean }
>({
  name: 'stop',
  Move,
  Found: z.strictObject({ at5: z.int() }),
  told(move) {
    switch (move.kind) {
      case 'turn':
        return { does: 'try', trial: { to: move.to } };
      case 'undo':
        return { does: 'strike', trial: move.turn, why: move.why };
      case 'set':
        return { does: 'keep', kept: null };
      case 'used':
        return { does: 'look', made: move.reads };
      case 'done':
        return { does: 'withdraw', why: move.why };
    }
  },
  mayTry: (_, __, { to }) =>
    to < 0
      ? { ok: false, error: { code: 'not-possible', path: 'to', said: { code: 'not-this-tool' } } }
      : { ok: true, result: null, work: [] },
  found(setup, state) {
    const last = countedOf(state).at(-1);
    return last?.to === setup
      ? { ok: true, result: { at5: last.to }, work: [] }
      : {
          ok: false,
          error: {
            code: 'not-possible',
            path: 'kind',
            said: { code: 'readings-not-done', here: null }
          }
        };
  },
  mayLook: () => ({ ok: true, result: null, work: [] }),
  judged: (setup, reads) => (reads === 99 ? null : { reads, good: reads <= setup })
});

const idOf = (at: number) => `00000000-0000-4000-8000-${String(at).padStart(12, '0')}`;
type Loose = Move extends infer M ? (M extends Move ? Omit<M, 'id' | 'at'> : never) : never;
type Stored = Parameters<typeof STREAM.project>[1][number];

/** One after another, a minute apart, as the server would store them; what is refused is the last entry of `no`. */
function log(...moves: Loose[]): { events: Stored[]; no: string[] } {
  const events: Stored[] = [];
  const no: string[] = [];
  moves.forEach((loose, at) => {
    const move = {
      ...loose,
      id: idOf(at + 1),
      at: `2031-04-01T08:0${at}:00.000Z`
    } as Move;
    const may = STREAM.follow(5, STREAM.project(5, events), move);
    if (may.ok) events.push({ ...move, by: 'Ilse', frozen: may.result });
    else no.push(may.error.said.code);
  });
  return { events, no };
}
const turn = (to: number): Loose => ({ kind: 'turn', to });
const used = (reads: number): Loose => ({ kind: 'used', reads });
const SET: Loose = { kind: 'set' };

describe('a setting found by trial', () => {
  it('is tried, kept with what it found, looked at, withdrawn', () => {
    const { events, no } = log(turn(3), turn(5), SET, used(4), { kind: 'done', why: 'worn' });
    expect(no).toEqual([]);
    const by = { by: 'Ilse' };
    expect(STREAM.project(5, events)).toEqual({
      trials: [
        { to: 3, id: idOf(1), at: '2031-04-01T08:00:00.000Z', ...by, struck: null },
        { to: 5, id: idOf(2), at: '2031-04-01T08:01:00.000Z', ...by, struck: null }
      ],
      found: { at5: 5, at: '2031-04-01T08:02:00.000Z', ...by },
      looks: [{ reads: 4, good: true, id: idOf(4), at: '2031-04-01T08:03:00.000Z', ...by }],
      withdrawn: { why: 'worn', at: '2031-04-01T08:04:00.000Z', ...by }
    });
  });

  it('counts no struck trial, and strikes none twice', () => {
    const strike = { kind: 'undo', turn: idOf(2), why: 'slipped' } as Loose;
    const { events, no } = log(turn(5), turn(4), SET, strike, strike, SET);
    expect(no).toEqual(['readings-not-done', 'no-such-reading']);
    const state = STREAM.project(5, events);
    expect(countedOf(state).map(({ to }) => to)).toEqual([5]);
    expect(state.trials[1]).toMatchObject({ to: 4, struck: 'slipped' });
    expect(state.found).toMatchObject({ at5: 5 });
  });

  it('takes nothing out of turn', () => {
    expect(log(turn(-1), used(3), turn(5), SET, turn(4), SET).no).toEqual([
      'not-this-tool',
      'tool-not-set',
      'tool-is-set',
      'tool-is-set'
    ]);
    const strike = { kind: 'undo', turn: idOf(1), why: 'late' } as Loose;
    expect(log(turn(5), SET, strike, { kind: 'done', why: 'worn' }, used(1)).no).toEqual([
      'tool-is-set',
      'setting-withdrawn'
    ]);
  });

  it('is the same whole, in parts and in whatever order it arrived', () => {
    const strike = { kind: 'undo', turn: idOf(1), why: 'slipped' } as Loose;
    const { events } = log(turn(4), strike, turn(5), SET, used(2), used(99), used(7));
    const whole = STREAM.project(5, events);
    expect(whole.looks.map(({ reads }) => reads)).toEqual([2, 7]);
    expect(STREAM.project(5, events.toReversed())).toEqual(whole);
    expect(STREAM.project(5, events.slice(3), STREAM.project(5, events.slice(0, 3)))).toEqual(
      whole
    );
  });

  it('is trusted once released by enough good ones, until one is bad', () => {
    const state = (...reads: number[]) =>
      STREAM.project(5, log(turn(5), SET, ...reads.map(used)).events);
    expect(isTrusted(state(), 0)).toBe(true);
    expect(isTrusted(state(1, 2), 3)).toBe(false);
    expect(isTrusted(state(1, 2, 3), 3)).toBe(true);
    expect(isTrusted(state(1, 9, 3), 3)).toBe(false);
    expect(firstBad(state(1, 2))).toBeNull();
    expect(firstBad(state(1, 9, 8))).toMatchObject({ at: 1, look: { reads: 9 } });
    expect(isTrusted(STREAM.project(5, log(turn(5)).events), 0)).toBe(false);
    expect(isTrusted({ ...state(1), withdrawn: { why: 'x', at: '', by: '' } }, 0)).toBe(false);
  });
});
