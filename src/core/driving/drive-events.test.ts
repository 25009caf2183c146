import { reworkOf } from '../../../tests/support/rework-state';
import { describe, expect, it } from 'vitest';
import {
  BATCH,
  subject,
  id,
  tap,
  follow,
  refusedFor,
  event,
  after
} from '../../../tests/support/drive-log.ts';
import type { Unstamped } from '../events/stream.ts';
import type { ReworkState } from '../reworking/rework-state.ts';
import { NO_REWORK } from '../reworking/rework-state';
import { driveStream, expiredHoles, type DriveEvent, type HoleDriven } from './drive-events.ts';
import { type DriveMove } from './drive-move.ts';

describe('the log of driving', () => {
  it('freezes what was put in, and never takes a hole that is held open', () => {
    expect(event(tap(2, '08:00:00')).frozen).toEqual({ partNumber: 'MS20470AD5-6', cold: null });
    expect(refusedFor(tap(4, '08:00:00'))).toEqual({
      code: 'held-open',
      hole: 4,
      reason: 'latch pin'
    });
    expect(refusedFor(tap(9, '08:00:00'))?.code).toBe('no-such-hole');
  });

  it('counts the tap that was made last, whenever it came in', () => {
    const late = event(tap(1, '08:05:00', { quick: 'good' }));
    const early = event(tap(1, '08:01:00', { quick: 'more' }));
    expect(after([late, early]).holes.get(1)).toMatchObject({
      quick: 'good',
      stated: false,
      times: 2,
      driven: true
    });
    const back = event(
      driveStream.Move.parse({ id: id(), at: '2026-11-28T08:06:00Z', kind: 'undriven', hole: 1 })
    );
    // the one before it is still in, in whatever order the three came in
    expect(after([early, back, late]).holes.get(1)).toMatchObject({ driven: true, quick: 'more' });
    expect(after([late, back]).holes.get(1)?.driven).toBe(false);
  });

  it('takes back the last tap, not the rivet that was in before it', () => {
    const back = (at: string) =>
      event(
        driveStream.Move.parse({ id: id(), at: `2026-11-28T${at}Z`, kind: 'undriven', hole: 2 })
      );
    const more = event(tap(2, '08:00:00', { quick: 'more' }));
    const again = event(tap(2, '08:00:30', { quick: 'good' }));
    const once = after([more, again, back('08:00:40')]).holes.get(2);
    expect(once).toMatchObject({ driven: true, quick: 'more' });
    expect(after([more, again, back('08:00:40'), back('08:00:50')]).holes.get(2)).toMatchObject({
      driven: false,
      quick: null
    });
  });

  it('knows who held a tool at the rivet that is in', () => {
    const [ADA, BO, CY] = ['a', 'b', 'c'].map(
      (last) => `6b1f6e0e-93ad-4d5a-9c3c-00000000000${last}`
    );
    const first = event(tap(2, '08:00:00', { person: ADA, hands: { gun: ADA, bar: BO } }));
    const more = event(tap(2, '08:00:30', { person: CY }));
    const back = event(
      driveStream.Move.parse({ id: id(), at: '2026-11-28T08:01:00Z', kind: 'undriven', hole: 2 })
    );
    const people = (...events: DriveEvent[]) => after(events).holes.get(2)?.people;
    expect(people(first, more)).toEqual([ADA, BO, CY]);
    // sent in another order, the same hands
    expect([...(people(more, first) ?? [])].sort()).toEqual([ADA, BO, CY]);
    expect(people(first, more, back)).toEqual([ADA, BO]);
    expect(people(first, { ...back, at: '2026-11-28T08:00:10Z' })).toEqual([]);
  });

  it('is the same projected at once or piece by piece', () => {
    const events = [
      tap(1, '08:00:00'),
      tap(2, '08:00:20', { quick: 'more' }),
      tap(2, '08:00:40')
    ].map((move) => event(move));
    const [first, ...rest] = events;
    const step = driveStream.project(subject(), first ? [first] : []);
    expect(driveStream.project(subject(), rest, step)).toEqual(after(events));
  });

  it('takes an order only whole', () => {
    const order = (numbers: number[]) =>
      driveStream.Move.parse({
        id: id(),
        at: '2026-11-28T08:00:00Z',
        kind: 'ordered',
        school: 'flat',
        order: numbers
      });
    expect(follow(order([3, 1, 2])).ok).toBe(true);
    expect(refusedFor(order([3, 1]))).toEqual({ code: 'no-whole-order', holes: 3, strange: null });
    expect(refusedFor(order([3, 1, 1]))?.code).toBe('no-whole-order');
    // the hole that is held open is no rivet
    expect(refusedFor(order([3, 1, 4]))).toEqual({ code: 'no-whole-order', holes: 3, strange: 4 });
  });
});

describe('cold rivets in the log', () => {
  const cold = subject('MS20470DD5-6');
  it('need a batch of their own part number', () => {
    expect(refusedFor(tap(1, '08:05:00'), cold)?.code).toBe('no-batch');
    const other = subject('MS20470DD5-7');
    expect(refusedFor(tap(1, '08:05:00', { batch: BATCH }), other)).toEqual({
      code: 'batch-of-another',
      hole: 1,
      part: 'MS20470DD5-7',
      batch: 'MS20470DD5-6'
    });
  });

  it('are due at 10 min and refused from 20 min, unless a reason is written', () => {
    const at = (time: string, more: object = {}) =>
      follow(tap(1, time, { batch: BATCH, ...more }), cold);
    expect(at('08:09:59')).toMatchObject({ result: { cold: 'ok' } });
    expect(at('08:10:00')).toMatchObject({ result: { cold: 'due' } });
    expect(refusedFor(tap(1, '08:20:00', { batch: BATCH }), cold)).toEqual({
      code: 'batch-expired',
      hole: 1,
      lot: 'Q7',
      limitMin: 20
    });
    expect(at('08:20:00', { late: 'lead agreed, to be inspected' })).toMatchObject({
      result: { cold: 'expired' }
    });
  });

  it('stand by the times that their batch was taken out under', () => {
    const times = { dueMinutes: 4, limitMinutes: 12, data: '', rule: 'Shop, version 3' };
    const own = { ...cold, batches: cold.batches.map((batch) => ({ ...batch, times })) };
    const at = (time: string) => follow(tap(1, time, { batch: BATCH }), own);
    expect(at('08:03:59')).toMatchObject({ result: { cold: 'ok' } });
    expect(at('08:04:00')).toMatchObject({ result: { cold: 'due' } });
    expect(refusedFor(tap(1, '08:12:00', { batch: BATCH }), own)).toMatchObject({
      code: 'batch-expired',
      limitMin: 12
    });
  });

  it('of a clock that was set back are not as fresh as at their removal', () => {
    const at = (time: string, more: object = {}) =>
      follow(tap(1, time, { batch: BATCH, ...more }), cold);
    // clocks of one shop differ by so much
    expect(at('07:58:00')).toMatchObject({ result: { cold: 'ok' } });
    expect(refusedFor(tap(1, '07:57:59', { batch: BATCH }), cold)).toEqual({
      code: 'before-its-batch',
      hole: 1,
      lot: 'Q7',
      beforeMin: 2
    });
    expect(at('07:15:00', { late: 'logged by a wrong clock' })).toMatchObject({
      result: { cold: 'expired' }
    });
  });

  it('mark a hole for inspection where the batch had expired', () => {
    const driven = event(tap(1, '08:25:00', { batch: BATCH, late: 'lead agreed' }), cold);
    expect(after([driven]).holes.get(1)).toMatchObject({ expired: true, late: 'lead agreed' });
  });
});

describe('what may follow in the log of driving', () => {
  const moved = (loose: object) =>
    driveStream.Move.parse({ id: id(), at: '2026-11-28T08:00:00Z', ...loose });
  const carried = { issue: BATCH, release: 1, hole: 1 };

  it('is nothing once it is signed', () => {
    const signed = { ...subject(), signed: { by: 'Tomas' } };
    expect(refusedFor(tap(1, '08:00:00'), signed)).toEqual({ code: 'signed', by: 'Tomas' });
  });

  it('is no tap that says of itself that it was taken over', () => {
    expect(refusedFor(tap(1, '08:00:00', { carried }))?.code).toBe('carried-by-release');
  });

  it('is a lot of a part that is driven here as received', () => {
    expect(follow(moved({ kind: 'loaded', part: 'MS20470AD5-6', lot: 'K' })).ok).toBe(true);
    expect(refusedFor(moved({ kind: 'loaded', part: 'MS20470AD4-6', lot: 'K' }))).toEqual({
      code: 'part-not-driven',
      part: 'MS20470AD4-6'
    });
    const cold = subject('MS20470DD5-6');
    expect(refusedFor(moved({ kind: 'loaded', part: 'MS20470DD5-6', lot: 'K' }), cold)).toEqual({
      code: 'lot-of-its-batch',
      part: 'MS20470DD5-6'
    });
  });

  it('is no tap into a hole that stands empty', () => {
    const rework: ReworkState = {
      holes: new Map([[2, reworkOf(2, { outAt: Date.parse('2026-11-28T07:00:00Z') })]]),
      referrals: new Map(),
      voidedLooks: new Map(),
      blinds: new Map()
    };
    expect(refusedFor(tap(2, '08:00:00'), { ...subject(), rework })).toEqual({
      code: 'hole-not-ready',
      hole: 2
    });
    // before it came out there was a rivet
    expect(refusedFor(tap(2, '06:59:00'), { ...subject(), rework })).toBeNull();
  });

  it('is the order of a school again, the access, a lot: each as it was told last', () => {
    const told = [
      moved({ kind: 'ordered', school: 'sequence', order: [1, 2, 3] }),
      moved({ kind: 'ordered', school: 'flat', order: null }),
      moved({ kind: 'loaded', part: 'MS20470AD5-6', lot: 'K' }),
      moved({ kind: 'loaded', part: 'MS20470AD5-6', lot: 'L' })
    ].map((move) => event(move));
    const state = after(told);
    expect(state.order).toMatchObject({ school: 'flat', order: null });
    expect(state.lots.get('MS20470AD5-6')).toMatchObject({ lot: 'L', by: 'Ada' });
    expect(told[0]?.frozen).toEqual({ partNumber: null, cold: null });
  });
});

describe('what the camera saw', () => {
  const events = (...moves: Unstamped<DriveMove>[]): DriveEvent[] =>
    moves.map(
      (move, at) =>
        ({
          ...move,
          id: `seen ${at}`,
          at: `2031-02-03T10:${String(10 + at)}:00Z`,
          by: 'Odile',
          frozen: { partNumber: null, cold: null }
        }) as DriveEvent
    );
  const driven: Unstamped<DriveMove> = {
    kind: 'driven',
    hole: 2,
    quick: null,
    batch: null,
    hands: null,
    late: ''
  };
  const seen = (diameterIn: number): Unstamped<DriveMove> => ({
    kind: 'seen',
    hole: 2,
    diameterIn,
    plusMinusIn: 0.006,
    camera: 'rod',
    simulated: true
  });
  const of = (...moves: Unstamped<DriveMove>[]) =>
    driveStream.project(subject(), events(...moves)).seen.get(2)?.diameterIn;

  it('is the gravest look, whichever came last; an unsure one gives way to one that is sure', () => {
    // dash 5: 0.2031 to 0.2734 in, each to 0.006
    const [sure, unsure, wide, narrow] = [0.235, 0.27, 0.29, 0.19];
    expect(of(driven, seen(wide), seen(sure))).toBe(wide);
    expect(of(driven, seen(sure), seen(narrow), seen(sure))).toBe(narrow);
    expect(of(driven, seen(sure), seen(unsure))).toBe(sure);
    expect(of(driven, seen(unsure), seen(sure))).toBe(sure);
    expect(of(driven, seen(wide), driven, seen(sure))).toBe(sure);
  });

  it('is of no head that was hit or taken back since, and of equals the last', () => {
    expect(of(driven, seen(0.2), seen(0.21))).toBe(0.21);
    expect(of(driven, seen(0.2), { kind: 'looked', hole: 2, quick: 'good' })).toBe(0.2);
    expect(of(driven, seen(0.2), driven)).toBeUndefined();
    expect(of(driven, seen(0.2), driven, seen(0.22))).toBe(0.22);
    expect(of(driven, seen(0.2), { kind: 'undriven', hole: 2 })).toBeUndefined();
  });

  it('is not one that was voided: the next gravest stands', () => {
    const moves = events(driven, seen(0.29), seen(0.235));
    const [, wide] = moves;
    const voidedLooks = new Map([
      [wide?.id ?? '', { hole: 2, why: 'a shadow', by: 'Ada', at: '2031-02-03T12:00:00Z' }]
    ]);
    const rework = { ...NO_REWORK, voidedLooks };
    const now = driveStream.project({ ...subject(), rework }, moves).seen.get(2);
    expect(now?.diameterIn).toBe(0.235);
    expect(now?.id).toBe(moves[2]?.id);
  });

  it('is of a hole that gets a rivet', () => {
    const may = (hole: number) =>
      driveStream.follow(subject(), driveStream.project(subject(), []), {
        ...seen(0.2),
        hole,
        id: '11111111-1111-4111-8111-111111111111',
        at: '2031-02-03T10:00:00Z'
      } as DriveMove);
    expect(may(2).ok).toBe(true);
    expect(may(999)).toMatchObject({ error: { said: { code: 'no-such-hole' } } });
  });
});

describe('rivets that were too hard', () => {
  it('are those that are in and whose batch had expired at one of their hits', () => {
    const hole = (changes: Partial<HoleDriven>): HoleDriven => ({
      driven: true,
      at: '2026-11-28T08:00:00Z',
      hitAt: '2026-11-28T08:00:00Z',
      by: 'Ada',
      people: [],
      quick: null,
      batch: BATCH,
      expired: true,
      late: 'lead agreed',
      stated: false,
      times: 1,
      before: null,
      ...changes
    });
    const holes = new Map([
      [1, hole({})],
      [2, hole({ expired: false })],
      [3, hole({ driven: false })]
    ]);
    expect(expiredHoles({ holes })).toEqual(new Set([1]));
  });
});
