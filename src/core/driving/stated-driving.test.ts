import { describe, expect, it } from 'vitest';
import { after, BATCH, event, refusedFor, subject, tap } from '../../../tests/support/drive-log';
import { look } from '../../../tests/support/signed-matter';
import { holeStates } from '../inspect/hole-events';
import { drivenNow } from './drive-events';

const at = (time: string) => `2026-11-28T${time}Z`;
const stated = (time: string) => ({ stated: at(time) });

describe('a rivet whose driving is logged after its inspection', () => {
  const inspected = [look(1, { at: at('09:00:00') })];
  const statesOf = (...taps: Parameters<typeof tap>[]) => {
    const { hitAt, once } = drivenNow(after(taps.map((one) => event(tap(...one)))));
    return holeStates([1], inspected, { hitAt, once }).get(1);
  };

  it('was driven when that is stated: its inspection stands', () => {
    expect(statesOf([1, '10:00:00', stated('08:50:00')])).toMatchObject({
      standing: { verdict: 'accept' },
      loggedAfter: false
    });
  });

  it('logged as it is now, it was inspected before its driving was logged: nobody drove it further', () => {
    expect(statesOf([1, '10:00:00'])).toMatchObject({ standing: null, loggedAfter: true });
    // a blow that is logged after a first one is one more
    expect(statesOf([1, '08:50:00'], [1, '10:00:00'])).toMatchObject({
      standing: null,
      loggedAfter: false
    });
  });

  it('was driven neither after it was entered, nor before the release', () => {
    expect(refusedFor(tap(1, '10:00:00', stated('10:00:01')))).toMatchObject({
      code: 'stated-after-entry'
    });
    const released = { ...subject(), releasedMs: Date.parse(at('08:00:00')) };
    expect(refusedFor(tap(1, '10:00:00', stated('07:59:00')), released)).toMatchObject({
      code: 'stated-too-early'
    });
    expect(refusedFor(tap(1, '10:00:00', stated('08:00:00')), released)).toBeNull();
  });

  it('of an icebox rivet counts by when it was entered: what is only stated is not shown', () => {
    const cold = subject('MS20470DD5-6');
    // a DD rivet is good for 20 min; it left the icebox at 08:00
    const late = tap(1, '10:00:00', { ...stated('08:05:00'), batch: BATCH });
    expect(refusedFor(late, cold)).toMatchObject({ code: 'batch-expired' });
    const reasoned = tap(1, '10:00:00', { ...stated('08:05:00'), batch: BATCH, late: 'hard day' });
    expect(event(reasoned, cold).frozen.cold).toBe('expired');
    const soon = tap(1, '08:06:00', { ...stated('08:05:00'), batch: BATCH });
    expect(event(soon, cold).frozen.cold).toBe('ok');
    // nor can it have been driven before it was out
    const before = tap(1, '08:06:00', { ...stated('07:50:00'), batch: BATCH });
    expect(refusedFor(before, cold)).toMatchObject({ code: 'before-its-batch' });
  });
});
