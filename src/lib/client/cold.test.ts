import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pageWithServer, type FakeServer } from '../../../tests/support/fake-server.ts';
import { GUIDANCE_TIMES } from '$core/rules/icebox.ts';
import type { ColdBatchView } from '$lib/cold-view';
import { ASSUMED_PER_RIVET_S, cold } from './cold.svelte.ts';

const NOW = Date.parse('2031-05-02T08:00:00Z');
const MINUTE = 60_000;
const ID = '6b1f6e0e-93ad-4d5a-9c3c-0000000000b1';
const at = (ms: number) => new Date(ms).toISOString();
const batch = (minutesAgo: number, change: Partial<ColdBatchView> = {}): ColdBatchView => ({
  id: ID,
  partNumber: 'MS20470DD5-6',
  lot: 'Q7',
  count: 24,
  removedAt: at(NOW - minutesAgo * MINUTE),
  times: null,
  by: 'Ilse',
  left: 24,
  ...change
});
const view = (batches: ColdBatchView[], serverMs = Date.now()) => ({
  serverAt: at(serverMs),
  icebox: GUIDANCE_TIMES,
  batches
});
const [states] = [() => cold.running.map(({ now }) => now.state)];

let server: FakeServer;
let end: () => void;
const onTick = () => vi.advanceTimersByTimeAsync(1000);

beforeEach(async () => {
  vi.useFakeTimers({ now: NOW });
  server = pageWithServer();
  cold.set(view([]));
  cold.setOnTheirWay(new Map());
  end = cold.run();
  await onTick();
});
afterEach(() => {
  end();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('clocks of batches out of the cold', () => {
  it.each([
    ['MS20470DD5-6', 9, 'ok'],
    ['MS20470DD5-6', 10, 'due'],
    ['MS20470DD5-6', 20, 'expired'],
    ['MS20470D5-6', 59, 'ok'],
    ['MS20470D5-6', 60, 'expired']
  ] as const)('%s, %i min out, is %s', async (partNumber, minutes, state) => {
    cold.set(view([batch(minutes, { partNumber })]));
    await onTick();
    expect(states()).toEqual([state]);
  });

  it('run by the times that a batch was taken out under', async () => {
    const times = {
      dueMinutes: 5,
      limitMinutes: 30,
      data: 'process sheet 12',
      rule: 'Shop, version 2'
    };
    for (const [minutes, state] of [
      [4, 'ok'],
      [5, 'due'],
      [29, 'due'],
      [30, 'expired']
    ] as const) {
      cold.set(view([batch(minutes, { times })]));
      await onTick();
      expect(states(), `${minutes} min`).toEqual([state]);
    }
  });

  it('run on the server’s time, whatever this device’s clock says', async () => {
    // the server is 15 min ahead: what came out by its clock 5 min ago is 5 min out
    cold.set(view([batch(-10)], NOW + 15 * MINUTE));
    await onTick();
    expect(states()).toEqual(['ok']);
    expect(cold.running[0]?.untold).toBe(false);
    expect(Math.round(cold.deviceOffS)).toBe(-15 * 60 + 1);
  });

  it('tell nothing where a clock was set back since: then it counts as out too long', async () => {
    cold.set(view([batch(-3)]));
    await onTick();
    expect(cold.running[0]).toMatchObject({ untold: true, now: { state: 'expired' }, canDrive: 0 });
    // clocks of one shop differ by two minutes
    cold.set(view([batch(-1)]));
    expect(cold.running[0]).toMatchObject({ untold: false, now: { state: 'ok' } });
  });

  it('say how many can still be driven at one’s pace, never more than are left', async () => {
    cold.set(view([batch(5)]));
    await onTick();
    expect(cold.perRivetS).toBeNull();
    // a second less than fifteen minutes to the limit
    expect(cold.running[0]?.canDrive).toBe(Math.floor((15 * 60 - 2) / ASSUMED_PER_RIVET_S));
    cold.setPace(30);
    expect(cold.running[0]?.canDrive).toBe(24);
    cold.setPace(90);
    expect(cold.running[0]?.canDrive).toBe(9);
    cold.setOnTheirWay(new Map([[ID, 20]]));
    expect(cold.running[0]).toMatchObject({ left: 4, canDrive: 4 });
  });

  it('are there no more once nothing is left, or half an hour past the limit', async () => {
    cold.set(view([batch(5, { left: 0 })]));
    await onTick();
    expect(cold.running).toEqual([]);
    cold.set(view([batch(49)]));
    expect(states()).toEqual(['expired']);
    cold.set(view([batch(51)]));
    expect(cold.running).toEqual([]);
    // what is driven as received has no clock
    cold.set(view([batch(1, { partNumber: 'MS20470AD5-6' })]));
    expect(cold.running).toEqual([]);
  });

  it('go on while the server is away, and are read again every twenty seconds', async () => {
    server.cold = view([batch(9)]);
    await cold.refresh();
    expect(states()).toEqual(['ok']);
    server.up = false;
    await vi.advanceTimersByTimeAsync(2 * MINUTE);
    expect(states()).toEqual(['due']);
    server.up = true;
    server.cold = view([batch(9, { left: 3 })]);
    await vi.advanceTimersByTimeAsync(21_000);
    expect(cold.running[0]?.left).toBe(3);
  });

  it('an answer that was overtaken by a later one says nothing any more', async () => {
    server.cold = view([batch(2, { left: 9 })]);
    const letGo = server.hold();
    const early = cold.refresh();
    server.cold = view([batch(2, { left: 5 })]);
    const late = cold.refresh();
    letGo();
    await Promise.all([early, late]);
    expect(cold.batches[0]?.left).toBe(5);
  });

  it('a page told twice is told once: its instant would be an old one', async () => {
    const made = view([batch(5)]);
    cold.set(made);
    await vi.advanceTimersByTimeAsync(10 * MINUTE);
    server.up = false;
    cold.set(made);
    await onTick();
    expect(states()).toEqual(['due']);
  });
});

describe('taking rivets out of the cold', () => {
  it('is done once, however often it is pressed before the answer came', async () => {
    server.up = false;
    expect(await cold.takeOut(ID, 12, null)).toMatch(/^No answer from the server/);
    server.up = true;
    server.cold = view([batch(0, { left: 12 })]);
    expect(await cold.takeOut(ID, 12, null)).toBe('');
    expect(await cold.takeOut(ID, 12, null)).toBe('');
    const ids = server.said.map((one) => (one as { id: string }).id);
    // the first try never came in; the next two are two takings
    expect(ids).toHaveLength(2);
    expect(new Set(ids).size).toBe(2);
    expect(cold.batches[0]?.left).toBe(12);
  });

  it('says why it was refused', async () => {
    server.refuse = { status: 422, message: '61 cannot go out' };
    expect(await cold.takeOut(ID, 61, null)).toBe('61 cannot go out');
  });
});

describe('what this browser remembers', () => {
  it('is one’s pace, and whether a clock may be heard', () => {
    cold.setPace(33);
    cold.allowSound(true);
    cold.perRivetS = null;
    cold.sound = false;
    end();
    end = cold.run();
    expect([cold.perRivetS, cold.sound]).toEqual([33, true]);
  });
});
