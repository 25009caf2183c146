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
import { driveStream } from './drive-events.ts';

describe('what is sent while a release is driven', () => {
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

  it('is refused once the release is signed, and never says of itself that a release took it over', () => {
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
