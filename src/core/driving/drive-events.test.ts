import { describe, expect, it } from 'vitest';
import type { Unstamped } from '../events/stream.ts';
import { IssuedFacts, type IssuedHole } from '../issue/issue.ts';
import type { ReworkState } from '../reworking/rework-events.ts';
import {
  driveStream,
  expiredHoles,
  NOT_DRIVEN,
  type DriveEvent,
  type DriveMove,
  type DriveState,
  type DriveSubject,
  type HoleDriven
} from './drive-events.ts';
import { paceOf, steadyPaceS } from './pace.ts';

const BATCH = '6b1f6e0e-93ad-4d5a-9c3c-0a54c1f2a001';
const facts = (partNumber: string) =>
  IssuedFacts.parse({
    dash: 5,
    head: 'universal',
    partNumber,
    gripIn: 0.113,
    lengthIn: 0.375,
    holeIn: 0.159,
    widthIn: 7,
    overlapIn: 1,
    limits: 'standard',
    predictedIn3: null
  });
const hole = (number: number): IssuedHole => ({
  number,
  row: 1,
  xIn: number,
  yIn: 0.5,
  markIn: number,
  stack: 0,
  dash: 5,
  gripIn: 0.113,
  room: null
});
const subject = (part = 'MS20470AD5-6'): DriveSubject => ({
  facts: facts(part),
  holes: [1, 2, 3].map(hole),
  heldOpen: [{ ...hole(4), reason: 'latch pin' }],
  batches: [
    {
      id: BATCH,
      partNumber: 'MS20470DD5-6',
      lot: 'Q7',
      count: 20,
      removedAt: '2026-11-28T08:00:00Z'
    }
  ]
});
let made = 0;
const id = () => `6b1f6e0e-93ad-4d5a-9c3c-${String((made += 1)).padStart(12, '0')}`;
const tap = (number: number, at: string, more: object = {}): DriveMove =>
  driveStream.Move.parse({
    id: id(),
    at: `2026-11-28T${at}Z`,
    kind: 'driven',
    hole: number,
    ...more
  });
const follow = (move: DriveMove, on = subject()) => driveStream.follow(on, NOT_DRIVEN, move);
const refusedFor = (move: DriveMove, on = subject()) => {
  const may = follow(move, on);
  return may.ok ? null : may.error.said;
};
const event = (move: DriveMove, on = subject()): DriveEvent => {
  const may = follow(move, on);
  if (!may.ok) throw new Error(may.error.said.code);
  return { ...move, by: 'Ada', frozen: may.result } as DriveEvent;
};
const after = (events: DriveEvent[]): DriveState => driveStream.project(subject(), events);

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
    expect(at('08:20:00', { late: 'lead agreed, to be looked at' })).toMatchObject({
      result: { cold: 'expired' }
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

describe('a rivet’s own life', () => {
  const OUT_AT = Date.parse('2026-11-28T09:00:00Z');
  /** Its rivet was taken out at nine; ready for another at `readyAt`, or empty. */
  const reworked = (readyAt: number | null): ReworkState => ({
    holes: new Map([
      [
        1,
        {
          hole: 1,
          outs: 1,
          stage: readyAt === null ? 'out' : 'ready',
          outAt: OUT_AT,
          readyAt,
          decision: null,
          widestIn: null,
          rivet: null,
          blind: null,
          leftAt: null,
          before: null
        }
      ]
    ]),
    referrals: new Map()
  });
  const [ADA, BO] = ['a', 'b'].map((last) => `6b1f6e0e-93ad-4d5a-9c3c-00000000000${last}`);
  const cold = subject('MS20470DD5-6');
  const old = () =>
    event(
      tap(1, '08:25:00', {
        batch: BATCH,
        late: 'lead agreed',
        person: ADA,
        hands: { gun: ADA, bar: BO },
        quick: 'more'
      }),
      cold
    );
  const seen = (at: string) =>
    event(
      driveStream.Move.parse({
        id: id(),
        at: `2026-11-28T${at}Z`,
        kind: 'seen',
        hole: 1,
        diameterIn: 0.2,
        plusMinusIn: 0.004,
        camera: 'rod',
        simulated: false
      })
    );
  const now = (readyAt: number | null, ...events: DriveEvent[]) =>
    driveStream.project({ ...subject(), rework: reworked(readyAt) }, events);
  const READY = OUT_AT + 600_000;

  it('begins with nothing of the one that was drilled out: no hands, batch, lateness, reasons, blows', () => {
    const fresh = event(tap(1, '09:15:00', { person: BO }));
    const { holes } = now(READY, old(), fresh);
    expect(holes.get(1)).toEqual({
      driven: true,
      at: '2026-11-28T09:15:00Z',
      hitAt: '2026-11-28T09:15:00Z',
      by: 'Ada',
      people: [BO],
      quick: null,
      batch: null,
      expired: false,
      late: '',
      times: 1,
      before: null
    });
    // whatever order both came in
    expect(now(READY, fresh, old()).holes).toEqual(holes);
    // taken back, there is no rivet to go back to
    const back = event(
      driveStream.Move.parse({ id: id(), at: '2026-11-28T09:16:00Z', kind: 'undriven', hole: 1 })
    );
    expect(now(READY, old(), fresh, back).holes.get(1)).toMatchObject({
      driven: false,
      people: [],
      expired: false,
      before: null
    });
  });

  it('is over once it is out, whether another is in yet or not', () => {
    expect(now(null, old(), seen('08:30:00')).holes.size).toBe(0);
    expect(now(null, old(), seen('08:30:00')).seen.size).toBe(0);
    expect(now(READY, old()).holes.size).toBe(0);
    // from the instant that it was ready on
    expect(now(READY, event(tap(1, '09:10:00'))).holes.get(1)?.driven).toBe(true);
    expect(now(READY, event(tap(1, '09:09:59'))).holes.size).toBe(0);
    // of other holes nothing changes
    expect(now(null, event(tap(2, '08:00:00'))).holes.get(2)?.driven).toBe(true);
    // read on from a state of before it came out
    const before = driveStream.project(subject(), [old()]);
    expect(
      driveStream.project({ ...subject(), rework: reworked(READY) }, [], before).holes.size
    ).toBe(0);
  });

  it('of a head of an earlier life the camera saw nothing that counts', () => {
    const fresh = event(tap(1, '09:15:00'));
    expect(now(READY, old(), seen('08:30:00'), fresh).seen.size).toBe(0);
    expect(now(READY, fresh, seen('09:20:00')).seen.get(1)?.diameterIn).toBe(0.2);
  });

  it('keeps batch, lateness and its reason through more blows, and goes back to them', () => {
    const more = event(tap(1, '08:26:00', { batch: BATCH, late: 'still', quick: 'good' }), cold);
    const state = after([old(), more]).holes.get(1);
    expect(state).toMatchObject({
      batch: BATCH,
      expired: true,
      late: 'still',
      times: 2,
      hitAt: '2026-11-28T08:26:00Z',
      people: [ADA, BO],
      before: { late: 'lead agreed', quick: 'more', times: 1 }
    });
    const silent = event(tap(1, '08:27:00', { batch: BATCH, late: 'yes' }), cold);
    expect(after([old(), { ...silent, late: '' } as DriveEvent]).holes.get(1)?.late).toBe(
      'lead agreed'
    );
    const looked = event(
      driveStream.Move.parse({
        id: id(),
        at: '2026-11-28T08:28:00Z',
        kind: 'looked',
        hole: 1,
        quick: 'again'
      })
    );
    // a look is no blow
    expect(after([old(), looked]).holes.get(1)).toMatchObject({
      quick: 'again',
      times: 1,
      hitAt: '2026-11-28T08:25:00Z',
      at: '2026-11-28T08:28:00Z',
      expired: true
    });
    const back = event(
      driveStream.Move.parse({ id: id(), at: '2026-11-28T08:29:00Z', kind: 'undriven', hole: 1 })
    );
    expect(after([old(), more, back]).holes.get(1)).toMatchObject({
      driven: true,
      expired: true,
      late: 'lead agreed',
      batch: BATCH,
      at: '2026-11-28T08:29:00Z',
      hitAt: '2026-11-28T08:25:00Z'
    });
    // of the one taken back nothing is left
    expect(after([old(), back]).holes.get(1)).toEqual({
      driven: false,
      at: '2026-11-28T08:29:00Z',
      hitAt: '2026-11-28T08:29:00Z',
      by: 'Ada',
      people: [],
      quick: null,
      batch: null,
      expired: false,
      late: '',
      times: 1,
      before: null
    });
    // another in after that begins anew
    const second = event(tap(1, '08:40:00'));
    expect(after([old(), back, second]).holes.get(1)).toMatchObject({
      people: [],
      expired: false,
      batch: null,
      before: null
    });
  });

  it('is none where only a look came in', () => {
    const looked = event(
      driveStream.Move.parse({
        id: id(),
        at: '2026-11-28T08:28:00Z',
        kind: 'looked',
        hole: 2,
        quick: 'good'
      })
    );
    expect(after([looked]).holes.get(2)).toMatchObject({ driven: false, times: 0, quick: 'good' });
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
      holes: new Map([
        [
          2,
          {
            hole: 2,
            outs: 1,
            stage: 'out',
            outAt: Date.parse('2026-11-28T07:00:00Z'),
            readyAt: null,
            decision: null,
            widestIn: null,
            rivet: null,
            blind: null,
            leftAt: null,
            before: null
          }
        ]
      ]),
      referrals: new Map()
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

describe('the pace', () => {
  it('is the middle gap, pauses and whole rows left out', () => {
    const taps = [
      tap(1, '08:00:00'),
      tap(2, '08:00:20'),
      tap(3, '08:00:50'),
      tap(1, '08:30:00'),
      tap(2, '08:30:24'),
      // a row logged at once
      tap(3, '08:40:00'),
      tap(1, '08:40:00')
    ].map((move) => event(move));
    // 20, 30 and 24 s
    expect(paceOf(taps)).toEqual({ perRivetS: 24, gaps: 3 });
    expect(paceOf(taps.slice(0, 1))).toBeNull();
    // what is reckoned with rests on three gaps
    expect(steadyPaceS({ perRivetS: 24, gaps: 3 })).toBe(24);
    expect(steadyPaceS({ perRivetS: 3, gaps: 2 })).toBeNull();
    expect(steadyPaceS(null)).toBeNull();
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

  it('is the last look, and of no head that was hit or taken back since', () => {
    expect(of(driven, seen(0.2), seen(0.21))).toBe(0.21);
    expect(of(driven, seen(0.2), { kind: 'looked', hole: 2, quick: 'good' })).toBe(0.2);
    expect(of(driven, seen(0.2), driven)).toBeUndefined();
    expect(of(driven, seen(0.2), driven, seen(0.22))).toBe(0.22);
    expect(of(driven, seen(0.2), { kind: 'undriven', hole: 2 })).toBeUndefined();
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

describe('what is sent while an issue is driven', () => {
  const stamp = (kind: string, more: object = {}, at = '08:00:00') => ({
    id: id(),
    at: `2026-11-28T${at}Z`,
    kind,
    ...more
  });
  const move = (kind: string, more: object = {}, at = '08:00:00') =>
    driveStream.Move.parse(stamp(kind, more, at));
  const SEEN = {
    hole: 1,
    diameterIn: 0.2,
    plusMinusIn: 0.004,
    camera: ' rod ',
    simulated: true
  };

  const ACCESS = {
    edges: { left: null, right: 1.5, top: null, bottom: null },
    upstands: [],
    headRoomIn: null,
    shopRoomIn: 3.25,
    faceDown: false,
    armsReach: true,
    closedMember: false
  };
  const PEOPLE = { gun: BATCH, bar: id() };

  it('is whole, and nothing more than it', () => {
    const whole: Record<string, object> = {
      driven: { hole: 1 },
      looked: { hole: 1, quick: 'good' },
      undriven: { hole: 1 },
      ordered: { school: 'flat', order: null },
      seen: SEEN,
      placed: { access: ACCESS },
      loaded: { part: 'MS20470AD5-6', lot: 'L4' }
    };
    for (const [kind, fields] of Object.entries(whole)) {
      const takes = (sent: object) => driveStream.Move.safeParse(stamp(kind, sent)).success;
      expect(takes(fields), kind).toBe(true);
      expect(takes({ ...fields, sentBy: 'me' }), kind).toBe(false);
      for (const left of Object.keys(fields))
        expect(
          takes(Object.fromEntries(Object.entries(fields).filter(([name]) => name !== left))),
          `${kind} without ${left}`
        ).toBe(false);
    }
    expect(move('driven', { hole: 1, hands: PEOPLE })).toMatchObject({ hands: PEOPLE });
    expect(() => move('driven', { hole: 1, hands: { gun: BATCH } })).toThrow();
  });

  it('is kept without the blanks round it', () => {
    expect(move('driven', { hole: 1, late: '  lead agreed ' })).toMatchObject({
      late: 'lead agreed',
      quick: null,
      batch: null,
      hands: null
    });
    expect(move('seen', SEEN)).toMatchObject({ camera: 'rod' });
    expect(move('loaded', { part: 'MS20470AD5-6', lot: ' L41 ' })).toMatchObject({ lot: 'L41' });
    for (const lot of ['', '  ', 'x'.repeat(61)])
      expect(() => move('loaded', { part: 'MS20470AD5-6', lot }), lot).toThrow();
    expect(() => move('driven', { hole: 1, late: 'x'.repeat(161) })).toThrow();
    expect(() => move('seen', { ...SEEN, diameterIn: 0 })).toThrow();
    expect(() => move('seen', { ...SEEN, plusMinusIn: 0 })).toThrow();
  });

  it('freezes a part number and a batch, or neither', () => {
    const { Frozen } = driveStream;
    expect(Frozen.parse({ partNumber: null, cold: null })).toEqual({
      partNumber: null,
      cold: null
    });
    for (const cold of ['ok', 'due', 'expired'])
      expect(Frozen.safeParse({ partNumber: 'MS20470DD5-6', cold }).success, cold).toBe(true);
    expect(Frozen.safeParse({ partNumber: null, cold: 'fresh' }).success).toBe(false);
    expect(Frozen.safeParse({}).success).toBe(false);
  });

  it('has no arithmetic of its own to show', () => {
    const none = { partNumber: null, cold: null };
    for (const sent of [
      move('placed', { access: ACCESS }),
      move('loaded', { part: 'MS20470AD5-6', lot: 'L4' }),
      move('ordered', { school: 'flat', order: null }),
      move('ordered', { school: 'flat', order: [3, 2, 1] }),
      move('looked', { hole: 1, quick: 'good' }),
      move('undriven', { hole: 1 }),
      move('seen', SEEN)
    ])
      expect(follow(sent), sent.kind).toEqual({ ok: true, result: none, work: [] });
    expect(follow(tap(1, '08:00:00'))).toMatchObject({ ok: true, work: [] });
  });

  it('is where the bar goes, whichever hole; the last that was told', () => {
    const [first, then] = [0.5, 0.75].map((heightIn, index) =>
      event(
        move(
          'placed',
          {
            access: {
              ...ACCESS,
              upstands: [{ id: 'a', side: 'top', insetIn: 0.25, heightIn, on: 'shop' }]
            }
          },
          `08:0${index}:00`
        )
      )
    );
    if (!first || !then) throw new Error('two were made');
    expect(after([then, first]).access).toMatchObject({
      at: '2026-11-28T08:01:00Z',
      by: 'Ada',
      access: { upstands: [{ heightIn: 0.75 }] }
    });
    expect(after([first]).holes.size).toBe(0);
  });

  it('is a lot of rivets that are driven as received, and of a part that is driven here', () => {
    expect(refusedFor(move('loaded', { part: 'MS20470AD5-7', lot: 'L4' }))).toEqual({
      code: 'part-not-driven',
      part: 'MS20470AD5-7'
    });
    expect(
      refusedFor(move('loaded', { part: 'MS20470DD5-6', lot: 'L4' }), subject('MS20470DD5-6'))
    ).toEqual({ code: 'lot-of-its-batch', part: 'MS20470DD5-6' });
    expect(after([event(move('loaded', { part: 'MS20470AD5-6', lot: 'L4' }))]).lots).toEqual(
      new Map([['MS20470AD5-6', { lot: 'L4', at: '2026-11-28T08:00:00Z', by: 'Ada' }]])
    );
  });

  it('orders each hole once, or not at all', () => {
    const order = (numbers: number[]) => move('ordered', { school: 'sequence', order: numbers });
    expect(refusedFor(order([1, 2, 3, 3]))).toEqual({
      code: 'no-whole-order',
      holes: 3,
      strange: null
    });
  });

  it('is seen by a camera only of a head that is in, and since its last blow', () => {
    const look = (at: string) => event(move('seen', SEEN, at));
    const blow = (at: string) => event(tap(1, at));
    expect(after([look('08:00:00')]).seen.size).toBe(0);
    expect(after([blow('08:00:00'), look('08:01:00'), blow('08:02:00')]).seen.size).toBe(0);
    // of one instant: it is the head that the blow left
    expect(after([blow('08:01:00'), look('08:01:00')]).seen.size).toBe(1);
  });

  it('is refused once the issue is signed, and never says of itself that a release took it over', () => {
    expect(refusedFor(tap(1, '08:00:00'), { ...subject(), signed: { by: 'Bo' } })).toEqual({
      code: 'signed',
      by: 'Bo'
    });
    const carried = { issue: BATCH, release: 1, hole: 1 };
    expect(refusedFor(tap(1, '08:00:00', { carried }))).toEqual({ code: 'carried-by-release' });
  });

  it('freezes nothing of a batch for rivets that need none', () => {
    expect(event(tap(1, '08:00:00')).frozen.cold).toBeNull();
    const cold = subject('MS20470DD5-6');
    expect(follow(tap(1, '08:12:00', { batch: BATCH }), cold)).toEqual({
      ok: true,
      result: { partNumber: 'MS20470DD5-6', cold: 'due' },
      work: []
    });
    expect(follow(tap(1, '07:50:00', { batch: BATCH, late: 'slow clock' }), cold)).toEqual({
      ok: true,
      result: { partNumber: 'MS20470DD5-6', cold: 'expired' },
      work: []
    });
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
