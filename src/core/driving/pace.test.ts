import { describe, expect, it } from 'vitest';
import { tap, event } from '../../../tests/support/drive-log.ts';
import { paceOf, steadyPaceS } from './pace.ts';

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

  it('takes taps in the order they happened, and gaps from two seconds to three minutes', () => {
    const at = (...times: [number, string][]) =>
      paceOf(times.map(([hole, time]) => event(tap(hole, time))));
    // 10, 20 and 30 s apart, however they came in
    const mixed = at([1, '08:01:00'], [1, '08:00:00'], [3, '08:00:30'], [2, '08:00:10']);
    expect(mixed).toEqual({ perRivetS: 20, gaps: 3 });
    expect(at([1, '08:00:00'], [2, '08:00:02'])).toEqual({ perRivetS: 2, gaps: 1 });
    expect(at([1, '08:00:00'], [2, '08:00:01'])).toBeNull();
    expect(at([1, '08:00:00'], [2, '08:03:00'])).toEqual({ perRivetS: 180, gaps: 1 });
    expect(at([1, '08:00:00'], [2, '08:03:01'])).toBeNull();
    // the same rivet again is none
    expect(at([1, '08:00:00'], [1, '08:00:20'])).toBeNull();
    // of fourteen gaps the latest twelve: two of 60 s go, ten of 10 and two of 20 stay
    const seconds = [0, 60, 120, ...Array.from({ length: 10 }, (_, k) => 130 + 10 * k), 240, 260];
    const clock = (s: number) =>
      `08:${String(Math.floor(s / 60)).padStart(2, '0')}:${String(s % 60).padStart(2, '0')}`;
    expect(at(...seconds.map((s, k): [number, string] => [1 + (k % 3), clock(s)]))).toEqual({
      perRivetS: 10,
      gaps: 12
    });
  });
});
