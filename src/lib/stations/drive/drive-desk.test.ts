import { GUIDANCE_TIMES } from '$core/rules/icebox.ts';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pageWithServer, type FakeServer } from '../../../../tests/support/fake-server.ts';
import { smallRelease } from '../../../../tests/support/small-release.ts';
import type { DriveEvent } from '$core/driving/drive-events.ts';
import { STARTING_FIGURES } from '$core/prepare/shop-figures.ts';
import { reworkStream } from '$core/reworking/rework-events.ts';
import { NO_REWORK, type ReworkState } from '$core/reworking/rework-state.ts';
import { cold } from '../../client/cold.svelte';
import { setWhoIsHere } from '../../client/who';
import { DriveDesk } from './drive-desk.svelte';

const ME = '6b1f6e0e-93ad-4d5a-9c3c-000000000001';
const BATCHES = ['6b1f6e0e-93ad-4d5a-9c3c-0000000000b1', '6b1f6e0e-93ad-4d5a-9c3c-0000000000b2'];
const ALONG = Array.from({ length: 12 }, (_, at) => at + 1);
const NOW = Date.parse('2031-05-02T08:10:00Z');

let server: FakeServer;
let rework: ReworkState;
let endClocks: () => void;
const desks: DriveDesk[] = [];
const deskOf = (part?: string, events: DriveEvent[] = []): DriveDesk => {
  const desk = new DriveDesk(
    smallRelease(part),
    events,
    'Ilse',
    () => STARTING_FIGURES,
    () => rework
  );
  desks.push(desk);
  return desk;
};
/** Answers of the server have come in. */
const settled = () => vi.advanceTimersByTimeAsync(0);

beforeEach(() => {
  vi.useFakeTimers({ now: NOW });
  server = pageWithServer();
  server.frozen = { partNumber: 'MS20470AD5-6', cold: null };
  rework = NO_REWORK;
  setWhoIsHere(ME);
  endClocks = cold.run();
  vi.advanceTimersByTime(1000);
  cold.set({ serverAt: new Date(NOW).toISOString(), icebox: GUIDANCE_TIMES, batches: [] });
});
afterEach(() => {
  for (const desk of desks.splice(0)) desk.stop();
  endClocks();
  setWhoIsHere(null);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const drivenIn = ({ state }: DriveDesk): number =>
  [...state.holes.values()].filter(({ driven }) => driven).length;

describe('driving at one desk', () => {
  it('goes along the order, each tap once, and takes the last one back', async () => {
    const desk = deskOf();
    const order = [...desk.order];
    expect(order.toSorted((a, b) => a - b)).toEqual(ALONG);
    expect(desk.next).toBe(order[0]);
    expect(desk.tap('good')).toBe(true);
    vi.advanceTimersByTime(20_000);
    expect(desk.next).toBe(order[1]);
    desk.tap(null);
    await settled();
    expect(drivenIn(desk)).toBe(2);
    expect(desk.outbox.waiting).toEqual([]);
    expect(desk.last).toBe(order[1]);
    vi.advanceTimersByTime(1000);
    desk.undo();
    expect(desk.next).toBe(order[1]);
    expect(drivenIn(desk)).toBe(1);
  });

  it('what wants more stays next, and is no second rivet', () => {
    const desk = deskOf();
    const first = desk.next;
    desk.tap('more');
    expect(desk.next).toBe(first);
    vi.advanceTimersByTime(5000);
    desk.tap('good');
    expect(drivenIn(desk)).toBe(1);
    expect(desk.next).not.toBe(first);
  });

  it('logs a hole that is pointed at, and says why one that is held open gets none', () => {
    const desk = deskOf();
    desk.point(5);
    expect(desk.here).toBe(5);
    desk.tap(null);
    expect(desk.stateOf(5)?.driven).toBe(true);
    expect(desk.here).toBe(desk.next);
    desk.point(13);
    expect(desk.refused).toEqual({ code: 'held-open', hole: 13, reason: 'latch' });
    expect(desk.here).toBe(desk.next);
  });

  it('logs a row that was driven already, what is in left as it is', () => {
    const desk = deskOf();
    desk.point(2);
    desk.tap('again');
    vi.advanceTimersByTime(1000);
    desk.rowDone(1);
    expect(ALONG.filter((hole) => desk.stateOf(hole)?.driven)).toEqual(ALONG.slice(0, 6));
    // somebody looks at that one still
    expect(desk.toLook.map(([hole]) => hole)).toEqual([2]);
  });

  it('keeps what was logged while the server is away, and counts it once when it is back', async () => {
    const desk = deskOf();
    server.up = false;
    desk.tap(null);
    vi.advanceTimersByTime(20_000);
    desk.tap(null);
    await settled();
    expect([drivenIn(desk), desk.outbox.waiting.length, desk.outbox.away]).toEqual([2, 2, true]);
    server.up = true;
    await vi.advanceTimersByTimeAsync(3000);
    expect([drivenIn(desk), desk.outbox.waiting.length]).toEqual([2, 0]);
    // the answer was lost, and it was read again
    await desk.desk.read();
    expect(drivenIn(desk)).toBe(2);
    expect(server.stored).toHaveLength(2);
  });

  it('reads on from what it read last, not the whole log', async () => {
    const desk = deskOf();
    desk.tap(null);
    await settled();
    const others = (hole: number) => ({
      ...(server.stored[0] ?? {}),
      id: `6b1f6e0e-93ad-4d5a-9c3c-0000000001${String(hole).padStart(2, '0')}`,
      hole
    });
    const [first = 1] = desk.order;
    const [one = 0, two = 0] = desk.order.slice(10);
    const asked: string[] = [];
    const answer = server.answer;
    vi.stubGlobal('fetch', (path: string, init?: object) => {
      asked.push(path.split('?')[1] ?? '');
      return answer(path, init);
    });
    server.stored.unshift(others(one));
    await desk.desk.read();
    server.stored.push(others(two));
    await desk.desk.read();
    // what was sent from here stands after what was never read: the first time all of it is asked for
    expect(asked).toEqual(['', `after=${String(server.stored[1]?.['id'])}`]);
    expect([first, one, two].every((hole) => desk.state.holes.get(hole)?.driven)).toBe(true);
    expect(drivenIn(desk)).toBe(3);
  });

  it('says why the server did not take a tap', async () => {
    const desk = deskOf();
    server.refuse = { status: 422, message: 'this release was signed' };
    desk.tap(null);
    await settled();
    expect(desk.refused).toMatchObject({ text: 'this release was signed' });
    expect(drivenIn(desk)).toBe(0);
  });

  it('asks for no hole whose rivet is out, until it is ready for another', () => {
    const desk = deskOf();
    const subject = smallRelease();
    const event = (minute: number, move: object) => {
      const made = reworkStream.Move.parse({
        id: `6b1f6e0e-93ad-4d5a-9c3c-0000000001${minute}`,
        at: new Date(NOW - (40 - minute) * 60_000).toISOString(),
        ...move
      });
      const may = reworkStream.follow(subject, rework, made);
      if (!may.ok) throw new Error(may.error.said.code);
      rework = reworkStream.project(subject, [{ ...made, by: 'Ilse', frozen: may.result }], rework);
    };
    const [first = 1, second] = desk.order;
    event(10, { kind: 'out', hole: first, school: 'under-shank', how: 'plain' });
    expect(desk.heldBack.get(first)).toBe('empty');
    expect(desk.waiting).toEqual([{ number: first, why: 'empty' }]);
    expect(desk.next).toBe(second);
    event(12, { kind: 'measured', hole: first, widestIn: 0.159, seen: [] });
    expect(desk.heldBack.has(first)).toBe(false);
    expect(desk.next).toBe(first);
  });

  it('keeps an order of one’s own, and says which neighbors come too soon', () => {
    const desk = deskOf();
    desk.setOrder('flat', ALONG);
    expect(desk.byHand).toBe(true);
    expect(desk.order).toEqual(ALONG);
    expect(desk.tooSoon.length).toBeGreaterThan(0);
    desk.setOrder('flat', [1, 2]);
    expect(desk.refused).toMatchObject({ code: 'no-whole-order' });
    vi.advanceTimersByTime(1000);
    desk.setOrder('flat', null);
    expect(desk.byHand).toBe(false);
    expect(desk.tooSoon).toEqual([]);
  });
});

describe('driving cold rivets', () => {
  const PART = 'MS20470DD5-6';
  const out = (minutesAgo: readonly [number, number], left: readonly [number, number] = [6, 6]) =>
    cold.set({
      serverAt: new Date(NOW).toISOString(),
      icebox: GUIDANCE_TIMES,
      batches: BATCHES.map((id, at) => ({
        id,
        partNumber: PART,
        lot: `Q${at + 1}`,
        count: 6,
        removedAt: new Date(NOW - (minutesAgo[at] ?? 0) * 60_000).toISOString(),
        times: null,
        by: 'Ilse',
        left: left[at] ?? 0
      }))
    });

  it('needs a batch', () => {
    const desk = deskOf(PART);
    expect(desk.tap(null)).toBe(false);
    expect(desk.refused).toMatchObject({ code: 'no-batch', part: PART });
    expect(drivenIn(desk)).toBe(0);
  });

  it('takes the oldest that has not run out, or the one chosen', () => {
    out([25, 4]);
    const desk = deskOf(PART);
    expect(desk.batchFor(1)).toBe(BATCHES[1]);
    desk.batch = BATCHES[0] ?? null;
    expect(desk.batchFor(1)).toBe(BATCHES[0]);
    desk.batch = null;
    out([8, 4]);
    expect(desk.batchFor(1)).toBe(BATCHES[0]);
    // all of it is driven or put away
    out([8, 4], [0, 6]);
    expect(desk.batchFor(1)).toBe(BATCHES[1]);
  });

  it('counts a rivet gone from its batch as soon as it is logged, more blows as none', () => {
    out([3, 2]);
    server.up = false;
    const desk = deskOf(PART);
    desk.tap('more');
    vi.advanceTimersByTime(2000);
    desk.tap('good');
    vi.advanceTimersByTime(2000);
    desk.tap('good');
    expect(desk.onTheirWay).toEqual(new Map([[BATCHES[0], 2]]));
    vi.advanceTimersByTime(2000);
    desk.undo();
    expect(desk.onTheirWay).toEqual(new Map([[BATCHES[0], 1]]));
  });

  it('more blows on one that is in are of its own batch, whatever is out since', () => {
    out([3, 2]);
    const desk = deskOf(PART);
    const first = desk.next ?? 0;
    desk.tap('more');
    out([3, 2], [0, 6]);
    expect(desk.batchFor(first)).toBe(BATCHES[0]);
  });

  it('past its limit takes a written reason', () => {
    out([21, 22]);
    const desk = deskOf(PART);
    expect(desk.tap(null)).toBe(false);
    expect(desk.refused).toMatchObject({ code: 'batch-expired', limitMin: 20 });
    desk.late = '  the lead agreed  ';
    expect(desk.tap(null)).toBe(true);
    expect(desk.outbox.waiting[0]).toMatchObject({ late: 'the lead agreed', batch: BATCHES[0] });
  });

  it('shows what was stored while its page was on the way, and asks for it only then', async () => {
    const before = deskOf();
    before.tap('good');
    await settled();
    expect([drivenIn(before), before.outbox.waiting.length]).toEqual([1, 0]);
    // a page that the server read before that entry, and whose browser keeps it no longer
    const after = deskOf();
    expect(drivenIn(after)).toBe(0);
    await after.restore();
    expect(drivenIn(after)).toBe(1);
    vi.advanceTimersByTime(11_000);
    server.up = false;
    const later = deskOf();
    await later.restore();
    expect(drivenIn(later)).toBe(0);
  });

  it('learns one’s own pace from three gaps on', () => {
    const desk = deskOf();
    for (let tap = 0; tap < 4; tap += 1) {
      desk.tap('good');
      vi.advanceTimersByTime(17_000);
    }
    expect(desk.pace).toEqual({ perRivetS: 17, gaps: 3 });
    expect(cold.perRivetS).toBe(17);
  });
});
