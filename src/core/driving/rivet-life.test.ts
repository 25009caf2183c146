import { reworkOf } from '../../../tests/support/rework-state';
import { describe, expect, it } from 'vitest';
import { BATCH, subject, id, tap, event, after } from '../../../tests/support/drive-log.ts';
import type { ReworkState } from '../reworking/rework-state.ts';
import { driveStream, type DriveEvent } from './drive-events.ts';

describe('a rivet’s own life', () => {
  const OUT_AT = Date.parse('2026-11-28T09:00:00Z');
  /** Its rivet was taken out at nine; ready for another at `readyAt`, or empty. */
  const reworked = (readyAt: number | null): ReworkState => ({
    holes: new Map([
      [1, reworkOf(1, { stage: readyAt === null ? 'out' : 'ready', outAt: OUT_AT, readyAt })]
    ]),
    referrals: new Map(),
    voidedLooks: new Map(),
    blinds: new Map()
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
      stated: false,
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
      stated: false,
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
      stated: false,
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
      stated: false,
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
