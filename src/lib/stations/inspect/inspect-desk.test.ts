import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pageWithServer, type FakeServer } from '../../../../tests/support/fake-server.ts';
import { smallRelease } from '../../../../tests/support/small-release.ts';
import { judgeLook, type HoleLook } from '$core/inspect/hole-look.ts';
import { driveStream, NOT_DRIVEN } from '$core/driving/drive-events.ts';
import { drivingOf } from '$core/releases/release-now.ts';
import { NO_REWORK } from '$core/reworking/rework-state.ts';
import { setWhoIsHere } from '../../client/who';
import { InspectDesk } from './inspect-desk.svelte';
import type { AroundHeads } from './desk-state';

const ME = '6b1f6e0e-93ad-4d5a-9c3c-000000000001';
const NOW = Date.parse('2031-05-02T08:10:00Z');
/** Dash 5: 1.5 D by 0.5 D. */
const GOOD = { diameter: '0.234', height: '0.078' };
/** Nobody logs driving; a rivet driven at an instant is logged by `drove`. */
let around: AroundHeads;
const drove = (hole: number, ms: number): void => {
  const drive = driveStream.project(drivingOf(smallRelease(), NO_REWORK, []), [
    {
      kind: 'driven',
      hole,
      quick: null,
      batch: null,
      hands: null,
      late: '',
      id: ME,
      at: new Date(ms).toISOString(),
      by: 'Ilse',
      frozen: { partNumber: null, cold: null }
    }
  ]);
  around = { ...around, drive };
};
const TOO_LOW = { diameter: '0.29', height: '0.05' };

let server: FakeServer;
const desks: InspectDesk[] = [];
const deskOf = (): InspectDesk => {
  const desk = new InspectDesk(smallRelease(), [], () => around);
  desks.push(desk);
  return desk;
};
const settled = () => vi.advanceTimersByTimeAsync(0);
/** Typed and recorded; the server judges it as it is judged here. */
async function record(desk: InspectDesk, hole: number, typed: object): Promise<void> {
  desk.type(hole, typed);
  const judged = desk.judgedFor(hole);
  server.frozen = judged?.ok ? judged.result : null;
  desk.record(hole);
  await vi.advanceTimersByTimeAsync(1000);
}

beforeEach(() => {
  vi.useFakeTimers({ now: NOW });
  server = pageWithServer();
  around = {
    rework: NO_REWORK,
    drive: NOT_DRIVEN,
    order: smallRelease().holes.map(({ number }) => number)
  };
  setWhoIsHere(ME);
});
afterEach(() => {
  for (const desk of desks.splice(0)) desk.stop();
  setWhoIsHere(null);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('looking at heads at one desk', () => {
  it('counts a head once the server has judged it, and not before', async () => {
    const desk = deskOf();
    server.up = false;
    await record(desk, 1, GOOD);
    expect(desk.isOnItsWay(1)).toBe(true);
    expect(desk.states.get(1)?.last).toBeNull();
    expect(desk.state).toEqual({ kind: 'waiting' });
    server.up = true;
    await vi.advanceTimersByTimeAsync(3000);
    expect(desk.states.get(1)?.last?.frozen.verdict).toBe('accept');
    expect(desk.state).toEqual({ kind: 'idle' });
    expect(desk.waitingToSend).toBe(0);
  });

  it('records nothing that is half typed or cannot be read', async () => {
    const desk = deskOf();
    for (const typed of [
      { diameter: '0.234', height: '' },
      { diameter: 'wide', height: '0.078' }
    ]) {
      await record(desk, 1, typed);
      expect(server.stored).toEqual([]);
    }
    expect(desk.problemsFor(1).diameter).not.toBeNull();
    expect(desk.problemsFor(2)).toEqual({ diameter: null, height: null });
  });

  it('keeps what is typed at one hole while another is looked at, and lets go of it once recorded', async () => {
    const desk = deskOf();
    desk.type(1, { diameter: '0.23' });
    desk.type(2, GOOD);
    expect(desk.typedFor(1)).toMatchObject({ diameter: '0.23', height: '' });
    await record(desk, 2, {});
    expect(desk.typedFor(2)).toMatchObject({ diameter: '', height: '' });
    expect(desk.typedFor(1)).toMatchObject({ diameter: '0.23' });
  });

  it('gives back what was typed where the server refuses it, with the reason', async () => {
    const desk = deskOf();
    server.refuse = { status: 422, message: 'you drove it' };
    await record(desk, 1, GOOD);
    expect(desk.typedFor(1)).toMatchObject(GOOD);
    expect(desk.state).toMatchObject({ kind: 'refused', hole: 1, said: { text: 'you drove it' } });
    // what was typed there since is newer
    server.refuse = { status: 422, message: 'no' };
    desk.type(2, GOOD);
    desk.record(2);
    desk.type(2, { diameter: '0.24' });
    await settled();
    expect(desk.typedFor(2)).toMatchObject({ diameter: '0.24', height: '' });
  });

  it('stays practice through a refusal, also of a look that was typed before this page was loaded', async () => {
    const desk = deskOf();
    server.refuse = { status: 422, message: 'you drove it' };
    // as the page finds it waiting: nobody here knows what was typed
    desk.desk.add({
      ...{ kind: 'checked', hole: 1, diameterIn: 0.234, heightIn: 0.078, flags: [] },
      ...{ how: 'print', plusMinus: { diameterIn: 0.001, heightIn: 0.001 }, simulated: true }
    });
    await vi.advanceTimersByTimeAsync(1000);
    expect(desk.typedFor(1)).toMatchObject({
      ...GOOD,
      ...{ how: 'print', plusMinus: '0.001', simulated: true }
    });
  });

  it('asks for a height that fits the sheet’s flat before it is recorded, where the stack is dimpled', async () => {
    const dimpled = smallRelease('MS20426AD5-6');
    dimpled.facts.head = 'countersunk';
    dimpled.facts.stacks = [
      {
        ...{ name: '', dash: 5, partNumber: 'MS20426AD5-6', lengthIn: 0.375, holeIn: 0.159 },
        ...{ dimpledThrough: true, raisedIn: 0, wideIn3: 0 }
      }
    ];
    const desk = new InspectDesk(dimpled, [], () => around);
    desks.push(desk);
    // 0.133 from the flat is 0.078 from the dimple: the head of dash 5 is 0.055 high
    await record(desk, 1, { diameter: '0.234', height: '0.133' });
    expect(desk.datumAsked(1)?.dimpleIn).toBeCloseTo(0.078, 12);
    expect(server.stored).toEqual([]);
    await record(desk, 1, { fromDimple: true });
    expect(server.stored[0]).toMatchObject({ heightIn: 0.133 });
    // another figure is asked about anew
    await record(desk, 2, { diameter: '0.234', height: '0.133' });
    desk.type(2, { height: '0.134' });
    expect(desk.datumAsked(2)).not.toBeNull();
  });

  it('asks of a reading that holds more metal than there is, before it is recorded and of each anew', async () => {
    const release = smallRelease();
    release.facts.predictedIn3 = 0.0035;
    const desk = new InspectDesk(release, [], () => around);
    desks.push(desk);
    // π/4 · 0.35² · 0.11 is three times what there is
    await record(desk, 1, { diameter: '0.35', height: '0.11' });
    expect(desk.metalAsked(1)).toBeGreaterThan(2);
    expect(server.stored).toEqual([]);
    desk.type(1, { asRead: true });
    desk.type(1, { height: '0.12' });
    expect(desk.metalAsked(1)).toBeGreaterThan(2);
    await record(desk, 1, { asRead: true });
    expect(server.stored[0]).toMatchObject({ diameterIn: 0.35, heightIn: 0.12 });
    // an ordinary one is asked nothing
    desk.type(2, GOOD);
    expect(desk.metalAsked(2)).toBeNull();
  });

  it('asks for a look where a head passes on a condition, and sends that it was looked at', async () => {
    const desk = deskOf();
    // 1.86 D wide and not low: good if it sits straight and the sheets are flat
    desk.type(1, { diameter: '0.2906', height: '0.07' });
    expect(desk.looksLeft(1)).toEqual(['straight', 'flat']);
    desk.record(1);
    expect(desk.waitingToSend).toBe(0);
    desk.look(1, 'straight', true);
    desk.look(1, 'flat', true);
    expect(desk.looksLeft(1)).toEqual([]);
    await record(desk, 1, { looked: ['straight', 'flat'] });
    expect(server.stored[0]).toMatchObject({ looked: ['straight', 'flat'] });
    // another figure asks anew
    desk.type(2, { diameter: '0.2906', height: '0.07', looked: ['straight', 'flat'] });
    desk.type(2, { diameter: '0.2900' });
    expect(desk.looksLeft(2)).toEqual(['straight', 'flat']);
  });

  it('judges what is typed by the same rule that the server asks', () => {
    const desk = deskOf();
    desk.type(3, TOO_LOW);
    const look = desk.lookFor(3);
    const [hole] = smallRelease().holes.filter(({ number }) => number === 3);
    const told = { id: ME, at: new Date(NOW).toISOString(), ...look } as HoleLook;
    expect(desk.judgedFor(3)).toEqual(hole && judgeLook(told, smallRelease().facts, hole));
    expect(desk.judgedFor(3)).toMatchObject({ result: { verdict: 'replace' } });
    expect(desk.judgedFor(99)).toBeNull();
  });

  it('by the gauge plate of the shop, of the size that has it', () => {
    const desk = deskOf();
    desk.way = 'plate';
    desk.type(1, { fitsOver: false, touchesSheet: false });
    expect(desk.lookFor(1)).toBeNull();
    const size = {
      dash: 5 as const,
      headHoleIn: 0.2035,
      notchIn: 0.06,
      upperHoleIn: null,
      upperNotchIn: null
    };
    const plate = (id: string, name: string, dash: 4 | 5) => ({
      id,
      name,
      sizes: [{ ...size, dash }]
    });
    desk.plates = () =>
      [plate('a', 'plate 1', 4), plate('b', 'plate 2', 5), plate('c', 'plate 3', 5)] as never;
    expect(desk.plateFor(5)?.name).toBe('plate 2');
    desk.plateChosen = 'c';
    expect(desk.plateFor(5)?.name).toBe('plate 3');
    // the one chosen has not this size
    desk.plateChosen = 'a';
    expect(desk.plateFor(5)?.name).toBe('plate 2');
    expect(desk.judgedFor(1)).toMatchObject({ result: { verdict: 'accept' } });
  });

  it('goes on to the neighbors of a bad one, also while it is on its way', async () => {
    const desk = deskOf();
    expect(desk.due.due).toHaveLength(12);
    await record(desk, 1, GOOD);
    expect(desk.nextToDo(1)).toBe(2);
    server.up = false;
    desk.type(6, TOO_LOW);
    desk.record(6);
    await settled();
    expect(desk.isOnItsWay(6)).toBe(true);
    expect(desk.nextToDo(6)).toBe(5);
  });

  it('tells a row that is short of metal from one head that is', async () => {
    const desk = deskOf();
    for (const hole of [1, 2, 3, 4]) await record(desk, hole, GOOD);
    expect(desk.rowsApart).toEqual([]);
    expect(desk.recordedFor(1)?.reading).toMatchObject({ diameterIn: 0.234, heightIn: 0.078 });
    expect(desk.recordedFor(9)).toBeNull();
    expect(desk.reportFor(5)).toBeNull();
    desk.type(5, GOOD);
    expect(desk.reportFor(5)?.report.judged).toMatchObject({ result: { verdict: 'accept' } });
  });

  it('has one look of a head that is sent twice', async () => {
    const desk = deskOf();
    await record(desk, 1, GOOD);
    await desk.desk.read();
    expect(desk.states.get(1)?.looks).toBe(1);
    expect(desk.events).toHaveLength(1);
  });

  it('adds looks up, lets the worst govern, and says so before it is recorded', async () => {
    const desk = deskOf();
    desk.type(1, GOOD);
    expect(desk.expectedFor(1)).toMatchObject({
      verdict: 'not-complete',
      missing: ['manufactured', 'sheet']
    });
    await record(desk, 1, GOOD);
    expect(desk.verdictOf(1)).toBe('not-complete');
    expect(desk.recordClean([1], ['manufactured', 'sheet'])).toBe(1);
    server.frozen = { verdict: 'measure', findings: [], diameterD: null, heightD: null };
    await vi.advanceTimersByTimeAsync(1000);
    expect(desk.verdictOf(1)).toBe('accept');
    await record(desk, 1, TOO_LOW);
    expect(desk.verdictOf(1)).toBe('replace');
    desk.type(1, GOOD);
    expect(desk.expectedFor(1)?.verdict).toBe('replace');
    // nobody logs driving: whoever looks says that it was driven on
    expect(desk.asksDrivenOn(1)).toBe(true);
    desk.type(1, { drivenOn: true });
    expect(desk.expectedFor(1)?.verdict).toBe('not-complete');
    drove(1, NOW - 60_000);
    expect(desk.asksDrivenOn(1)).toBe(false);
  });

  it('looks from the far side at what is in: no empty hole, and nothing that is not driven yet', () => {
    const desk = deskOf();
    const all = desk.release.holes.map(({ number }) => number);
    expect(desk.inMetal()).toEqual(all);
    drove(2, NOW);
    expect(desk.inMetal()).toEqual([2]);
  });
});
