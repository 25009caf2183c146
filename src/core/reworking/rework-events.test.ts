import { describe, expect, it } from 'vitest';

import type { ReworkEvent } from './rework-subject';
import { reworkStream } from './rework-events';
import { asReworked, emptyAt, leftAsIs, sinceOf } from './rework-state';

import {
  BEGAN,
  Bench,
  RELEASE,
  MINUTE,
  OUT,
  stamped
} from '../../../tests/support/rework-bench.ts';
import { whyNot } from '../../../tests/support/why-not.ts';

describe('a rivet that is taken out', () => {
  it('leaves an empty hole until it is measured, and then another rivet goes in', () => {
    const bench = new Bench();
    bench.do(10, { ...OUT, hole: 2 });
    expect(bench.stage(2)).toBe('out');
    expect(emptyAt(bench.state, 2, BEGAN + 11 * MINUTE)).toBe(true);
    expect(emptyAt(bench.state, 2, BEGAN + 9 * MINUTE)).toBe(false);
    bench.do(12, { kind: 'measured', hole: 2, widestIn: 0.136, seen: [] });
    expect(bench.stage(2)).toBe('ready');
    expect(emptyAt(bench.state, 2, BEGAN + 13 * MINUTE)).toBe(false);
    const now = asReworked(RELEASE, bench.state);
    expect(now.holes.map(({ dash }) => dash)).toEqual([4, 5, 4]);
    expect(now.facts.stacks[now.holes[1]?.stack ?? 0]).toMatchObject({
      partNumber: 'MS20470AD5-5.5',
      holeIn: 0.159
    });
    // what was looked at before belongs to the rivet that was in then
    expect(asReworked(RELEASE, bench.state, BEGAN + 9 * MINUTE).holes[1]?.dash).toBe(4);
    expect(sinceOf(bench.state).get(2)).toBe(BEGAN + 12 * MINUTE);
  });

  it('asks that a hole under its nominal size is drilled first', () => {
    const bench = new Bench();
    bench.do(1, { ...OUT, hole: 1 });
    bench.do(2, { kind: 'measured', hole: 1, widestIn: 0.126, seen: [] });
    expect(bench.state.holes.get(1)?.toDo).toEqual(['drilled', 'deburred', 'cleaned']);
    bench.do(3, { ...OUT, hole: 2 });
    bench.do(4, { kind: 'measured', hole: 2, widestIn: 0.13, seen: [] });
    expect(bench.state.holes.get(2)?.toDo).toEqual(['deburred', 'cleaned']);
  });

  it('keeps the order of the work', () => {
    const bench = new Bench();
    expect(whyNot(bench.try(1, { kind: 'measured', hole: 1, widestIn: 0.13, seen: [] }))).toBe(
      'rework-order'
    );
    expect(whyNot(bench.try(1, { kind: 'still-in', hole: 1 }))).toBe('rework-order');
    bench.do(2, { ...OUT, hole: 1 });
    expect(whyNot(bench.try(3, { ...OUT, hole: 1 }))).toBe('rework-order');
    expect(whyNot(bench.try(3, { ...OUT, hole: 4 }))).toBe('held-open');
    expect(whyNot(bench.try(3, { ...OUT, hole: 9 }))).toBe('no-such-hole');
  });

  it('takes nothing that is dated before what it follows on', () => {
    const bench = new Bench();
    bench.do(10, { ...OUT, hole: 1 });
    // else a look at the rivet that came out would count as one at the next
    expect(whyNot(bench.try(5, { kind: 'measured', hole: 1, widestIn: 0.13, seen: [] }))).toBe(
      'rework-order'
    );
    bench.do(12, { kind: 'measured', hole: 1, widestIn: 0.13, seen: [] });
    expect(whyNot(bench.try(11, { ...OUT, hole: 1 }))).toBe('rework-order');
  });

  it('goes back to what was there when it was logged by mistake', () => {
    const bench = new Bench();
    bench.do(1, { ...OUT, hole: 1 });
    bench.do(2, { kind: 'still-in', hole: 1 });
    expect(bench.state.holes.has(1)).toBe(false);
    bench.do(3, { ...OUT, hole: 1 });
    bench.do(4, { kind: 'measured', hole: 1, widestIn: 0.136, seen: [] });
    bench.do(5, { ...OUT, hole: 1 });
    bench.do(6, { kind: 'still-in', hole: 1 });
    expect(bench.state.holes.get(1)).toMatchObject({ outs: 1, stage: 'ready', rivet: { dash: 5 } });
    expect(sinceOf(bench.state).get(1)).toBe(BEGAN + 4 * MINUTE);
  });

  it('the second time is measured as the size that is in it by then; the third time it is referred', () => {
    const bench = new Bench();
    for (const [at, widestIn] of [
      [1, 0.136],
      [5, 0.1605]
    ] as const) {
      bench.do(at, { ...OUT, hole: 3 });
      bench.do(at + 1, { kind: 'measured', hole: 3, widestIn, seen: [] });
    }
    // 0.1605 keeps dash 5: its drill is 0.159
    expect(bench.state.holes.get(3)).toMatchObject({
      outs: 2,
      stage: 'ready',
      rivet: { dash: 5, holeIn: 0.1605 }
    });
    bench.do(9, { ...OUT, hole: 3 });
    // a late look at the rivet that was in between
    expect(asReworked(RELEASE, bench.state, BEGAN + 8 * MINUTE).holes[2]?.dash).toBe(5);
    bench.do(10, { kind: 'measured', hole: 3, widestIn: 0.1605, seen: [] });
    expect(bench.state.holes.get(3)).toMatchObject({
      stage: 'ask',
      decision: { because: 'third-time' }
    });
  });
});

describe('a question to the data holder', () => {
  const answer = (referral: string, then: object) => ({
    kind: 'answered',
    referral,
    answer: 'as drawn',
    answeredBy: 'engineer',
    authority: 'sheet QR-3',
    then
  });

  it('is not answered before it was put; of older logs an answer dated so counts all the same', () => {
    const bench = new Bench();
    const asked = bench.do(5, { kind: 'referred', hole: null, question: 'Which primer?' });
    expect(whyNot(bench.try(4, answer(asked, { what: 'nothing' })))).toBe('rework-order');
    const events = [
      { ...stamped(5, { kind: 'referred', hole: null, question: '?' }), by: 'Ilse', frozen: null }
    ] as ReworkEvent[];
    const early = stamped(4, answer(events[0]?.id ?? '', { what: 'nothing' }));
    const state = reworkStream.project(RELEASE, [
      ...events,
      { ...early, by: 'Ilse', frozen: null } as ReworkEvent
    ]);
    expect(state.referrals.get(events[0]?.id ?? '')?.answered?.id).toBe(early.id);
  });

  it('is answered once, and an empty hole takes what the answer says', () => {
    const bench = new Bench();
    bench.do(1, { ...OUT, hole: 1 });
    bench.do(2, { kind: 'measured', hole: 1, widestIn: 0.13, seen: ['cracked'] });
    const asked = bench.do(3, {
      kind: 'referred',
      hole: 1,
      question: 'A crack 0.02 long. Stop drill?'
    });
    expect(whyNot(bench.try(4, answer(asked, { what: 'leave' })))).toBe('rework-order');
    const blind = {
      fastener: 'blind rivet of the data holder’s list',
      drillIn: 0.164,
      gripIn: 0.125
    };
    bench.do(5, answer(asked, { what: 'blind', blind }));
    expect(bench.stage(1)).toBe('blind');
    const now = asReworked(RELEASE, bench.state);
    expect(now.holes.map(({ number }) => number)).toEqual([2, 3]);
    expect(now.heldOpen.at(-1)).toMatchObject({ number: 1, reason: blind.fastener });
    expect(bench.try(6, answer(asked, { what: 'nothing' }))).toMatchObject({
      ok: false,
      error: { said: { code: 'answered-already' } }
    });
  });

  it('may let a head stay that is in; it puts no rivet where one is', () => {
    const bench = new Bench();
    const asked = bench.do(1, { kind: 'referred', hole: 2, question: 'Bar dent beside it?' });
    const rivet = { dash: 5, partNumber: 'MS20470AD5-6', lengthIn: 0.375, holeIn: 0.159 };
    expect(whyNot(bench.try(2, answer(asked, { what: 'rivet', dash: 5, rivet })))).toBe(
      'rework-order'
    );
    bench.do(3, answer(asked, { what: 'leave' }));
    expect(bench.stage(2)).toBe('left');
    expect(asReworked(RELEASE, bench.state)).toBe(RELEASE);
    // the answer was to what had been seen by then, not to what is found after
    const left = (lastAt: number) =>
      leftAsIs(bench.state, () => new Date(BEGAN + lastAt * MINUTE).toISOString()).has(2);
    expect([left(2), left(4)]).toEqual([true, false]);
    // taken out after all, it is as any other
    bench.do(4, { ...OUT, hole: 2 });
    expect(bench.stage(2)).toBe('out');
  });

  it('puts in only a rivet that is what its number says, and makes a head', () => {
    const bench = new Bench();
    bench.do(1, { ...OUT, hole: 1 });
    const asked = bench.do(2, { kind: 'referred', hole: 1, question: 'Two sizes up?' });
    const rivet = { dash: 6, partNumber: 'MS20470AD6-6', lengthIn: 0.375, holeIn: 0.191 };
    const put = (changes: object, dash = 6) =>
      bench.try(4, answer(asked, { what: 'rivet', dash, rivet: { ...rivet, ...changes } })).ok;
    // nobody knows yet how wide the hole is
    expect(bench.try(3, answer(asked, { what: 'rivet', dash: 6, rivet }))).toMatchObject({
      error: { said: { code: 'hole-not-ready', hole: 1 } }
    });
    bench.do(3, { kind: 'measured', hole: 1, widestIn: 0.171, seen: ['cracked'] });
    for (const wrong of [
      { partNumber: 'MS20426AD6-6' },
      { partNumber: 'MS20470AD5-6' },
      { lengthIn: 0.4375 },
      { holeIn: 0.18 },
      // a sixteenth: shorter than the sheets are thick
      { partNumber: 'MS20470AD6-2', lengthIn: 0.125, holeIn: 0.18 }
    ])
      expect(put(wrong), JSON.stringify(wrong)).toBe(false);
    expect(put({})).toBe(true);
    expect(asReworked(RELEASE, bench.state).holes[0]?.dash).toBe(6);
  });

  it('makes no hole narrower than it was measured, and no fastener shorter than the sheets', () => {
    const bench = new Bench();
    bench.do(1, { ...OUT, hole: 1 });
    bench.do(2, { kind: 'measured', hole: 1, widestIn: 0.171, seen: ['cracked'] });
    const asked = bench.do(3, { kind: 'referred', hole: 1, question: 'A crack, and 0.171 wide.' });
    const put = (then: object) => bench.try(4, answer(asked, then));
    const blind = { fastener: 'blind, list 4', drillIn: 0.164, gripIn: 0.125 };
    expect(put({ what: 'blind', blind })).toMatchObject({
      error: { said: { code: 'hole-is-wider', holeIn: 0.164, widestIn: 0.171 } }
    });
    expect(put({ what: 'blind', blind: { ...blind, drillIn: 0.191, gripIn: 0.06 } })).toMatchObject(
      { error: { said: { code: 'blind-too-short' } } }
    );
    const rivet = { dash: 5, partNumber: 'MS20470AD5-6', lengthIn: 0.375, holeIn: 0.159 };
    expect(put({ what: 'rivet', dash: 5, rivet })).toMatchObject({
      error: { said: { code: 'hole-is-wider' } }
    });
    // the data holder may let a rivet fill a wide hole: it is that hole all the same
    expect(put({ what: 'rivet', dash: 5, rivet: { ...rivet, holeIn: 0.171 } }).ok).toBe(true);
  });

  it('is none that nobody put, and none of a signed release', () => {
    expect(
      whyNot(
        new Bench().try(1, answer('00000000-0000-4000-8000-00000000ffff', { what: 'nothing' }))
      )
    ).toBe('no-such-referral');
    const signed = new Bench({ ...RELEASE, signed: { by: 'Tomas' } });
    expect(signed.try(1, { ...OUT, hole: 1 })).toMatchObject({
      ok: false,
      error: { said: { code: 'signed', by: 'Tomas' } }
    });
  });
});
