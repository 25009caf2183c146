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
});
