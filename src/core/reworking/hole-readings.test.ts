import { describe, expect, it } from 'vitest';

import { DEFAULT_PROFILE } from '../rules/profile';

import { emptyAt, sinceOf } from './rework-state';
import { drivenInQuestion, heldBack } from './held-back';
import { decidedTogether, foundTogether, type HoleReading } from './hole-readings';

import { stepsAsked } from './rework-steps';
import {
  BEGAN,
  Bench,
  hole,
  RELEASE,
  MINUTE,
  OUT,
  room
} from '../../../tests/support/rework-bench.ts';
import { whyNot } from '../../../tests/support/why-not.ts';

describe('several readings of one empty hole', () => {
  const measure = (widestIn: number, rest: object = {}) => ({
    kind: 'measured',
    hole: 2,
    widestIn,
    seen: [],
    ...rest
  });
  const opened = () => {
    const bench = new Bench();
    bench.do(1, { ...OUT, hole: 2 });
    return bench;
  };
  const now = (bench: Bench) => bench.state.holes.get(2);

  it('a second, narrower one changes nothing: the widest governs, and the question stays', () => {
    const bench = opened();
    // 0.175 is wider than the next size's drill
    bench.do(2, measure(0.175));
    bench.do(3, measure(0.13));
    expect(now(bench)).toMatchObject({
      stage: 'ask',
      widestIn: 0.175,
      decision: { decision: 'refer' }
    });
    expect(heldBack(bench.state).get(2)).toBe('question');
  });

  it('one that asks for another size than the first leaves it undecided, until one is voided', () => {
    const bench = opened();
    const narrow = bench.do(2, measure(0.13));
    expect(now(bench)).toMatchObject({ stage: 'ready', rivet: { dash: 4 } });
    bench.do(2.5, { kind: 'step', hole: 2, step: 'deburred', done: true });
    bench.do(3, measure(0.136));
    expect(now(bench)).toMatchObject({ stage: 'ask', decision: { decision: 'next-size' } });
    bench.do(4, { kind: 'voided', hole: 2, reading: narrow, why: 'calipers not zeroed' });
    expect(now(bench)).toMatchObject({
      stage: 'ready',
      rivet: { dash: 5 },
      // what was done for the other size is none of this one's
      toDo: ['drilled', 'deburred', 'cleaned'],
      steps: [],
      readings: [{ voided: { why: 'calipers not zeroed' } }, { voided: null }]
    });
    // as wide as the one that counts
    expect(now(bench)?.widestIn).toBe(0.136);
  });

  it('what one saw and how wide another was count together', () => {
    const bench = opened();
    bench.do(2, measure(0.13, { seen: ['cracked'] }));
    bench.do(3, measure(0.136));
    expect(now(bench)).toMatchObject({
      decision: { decision: 'refer', because: 'cracked' },
      widestIn: 0.136
    });
    expect(foundTogether(now(bench)?.readings ?? [])).toEqual({
      widestIn: 0.136,
      tooDeepIn: null,
      seen: ['cracked']
    });
  });

  it('a wider one that was taken before and comes late decides all the same', () => {
    const bench = opened();
    bench.do(5, measure(0.13));
    bench.do(3, measure(0.175));
    expect(now(bench)).toMatchObject({ stage: 'ask', decision: { decision: 'refer' } });
  });

  it('without any that counts the hole is to be measured', () => {
    const bench = opened();
    const only = bench.do(2, measure(0.175));
    bench.do(3, { kind: 'voided', hole: 2, reading: only, why: 'wrong hole' });
    expect(now(bench)).toMatchObject({ stage: 'out', widestIn: null, rivet: null, readyAt: null });
    expect(heldBack(bench.state).get(2)).toBe('empty');
  });

  it('are voided once, by who read or who may, and not under a rivet', () => {
    const people = { person: '00000000-0000-4000-8000-00000000000a' };
    const subject = { ...RELEASE, inspectors: new Set(['00000000-0000-4000-8000-00000000000c']) };
    const bench = new Bench(subject);
    bench.do(1, { ...OUT, hole: 2 });
    const reading = bench.do(2, { ...measure(0.13), ...people });
    const voided = (person: string) => ({
      ...{ kind: 'voided', hole: 2, reading, why: 'burr' },
      person: `00000000-0000-4000-8000-00000000000${person}`
    });
    expect(whyNot(bench.try(3, voided('b')))).toBe('reading-of-another');
    expect(whyNot(new Bench({ ...subject, rivetIn: new Set([2]) }).try(3, voided('a')))).toBe(
      'rework-order'
    );
    const driven = new Bench({ ...subject, rivetIn: new Set([2]) });
    driven.state = bench.state;
    expect(whyNot(driven.try(3, voided('a')))).toBe('rivet-is-in');
    bench.do(3, voided('c'));
    expect(whyNot(bench.try(4, voided('a')))).toBe('rework-order');
  });

  it('are of the hole as it was left: none once it was drilled for the next size', () => {
    const bench = opened();
    bench.do(2, measure(0.136));
    expect(whyNot(bench.try(3, { kind: 'step', hole: 2, step: 'cut', done: true }))).toBe(
      'rework-order'
    );
    bench.do(3, { kind: 'step', hole: 2, step: 'drilled', done: true });
    expect(whyNot(bench.try(4, measure(0.159)))).toBe('rework-order');
    bench.do(5, { kind: 'step', hole: 2, step: 'drilled', done: false });
    bench.do(6, measure(0.1365));
    expect(now(bench)).toMatchObject({ stage: 'ready', steps: [], widestIn: 0.1365 });
  });

  it('a rivet driven on the word of the narrower one is in, and its hole is asked about', () => {
    const bench = opened();
    bench.do(2, measure(0.13));
    bench.do(4, measure(0.175));
    const hit = new Map([[2, BEGAN + 3 * MINUTE]]);
    expect(sinceOf(bench.state).get(2)).toBe(BEGAN + 2 * MINUTE);
    expect(emptyAt(bench.state, 2, BEGAN + 3 * MINUTE)).toBe(false);
    expect([...drivenInQuestion(bench.state, hit)]).toEqual([2]);
    // it comes out, or stays on an answer
    bench.do(6, { ...OUT, hole: 2 });
    expect(now(bench)).toMatchObject({ stage: 'out', outs: 2 });
  });
});

describe('a hole that is asked about', () => {
  it('is held back, and it alone, until it is answered', () => {
    const bench = new Bench();
    const asked = bench.do(5, { kind: 'referred', hole: 2, question: 'Edge is near: drive it?' });
    bench.do(6, { kind: 'referred', hole: null, question: 'Which primer?' });
    expect([...heldBack(bench.state)]).toEqual([[2, 'question']]);
    // before it was asked, and while it was open
    const hits = (minutes: number) => new Map([[2, BEGAN + minutes * MINUTE]]);
    expect([...drivenInQuestion(bench.state, hits(4))]).toEqual([]);
    expect([...drivenInQuestion(bench.state, hits(7))]).toEqual([2]);
    bench.do(9, {
      ...{ kind: 'answered', referral: asked, answer: 'yes', answeredBy: 'engineer' },
      ...{ authority: 'sheet QR-3', then: { what: 'nothing' } }
    });
    expect([...heldBack(bench.state)]).toEqual([]);
    expect([...drivenInQuestion(bench.state, hits(7))]).toEqual([2]);
    expect([...drivenInQuestion(bench.state, hits(10))]).toEqual([]);
  });
});

describe('steps before a new rivet', () => {
  const FLUSH = { head: 'countersunk', rules: DEFAULT_PROFILE } as const;
  const LARGER = { dash: 4 as const, partNumber: 'MS20426AD4-5', lengthIn: 0.3125, holeIn: 0.1285 };
  const asked = (sheetsIn: number[], rivet: typeof LARGER | null, dash: 3 | 4 = 3) =>
    stepsAsked(FLUSH, { dash, room: { ...room, sheetsIn } }, rivet);

  it('are what the hole needs for its new rivet, a countersink only where its head lies in one', () => {
    expect(asked([0.063, 0.05], LARGER)).toEqual(['drilled', 'deburred', 'cut', 'cleaned']);
    expect(asked([0.025, 0.032], LARGER)).toEqual(['drilled', 'deburred', 'dimpled', 'cleaned']);
    // the same size: nothing is drilled or let in anew
    expect(asked([0.063, 0.05], LARGER, 4)).toEqual(['deburred', 'cleaned']);
    expect(stepsAsked({ ...FLUSH, head: 'universal' }, hole(1), LARGER)).toEqual([
      'deburred',
      'cleaned'
    ]);
    expect(asked([0.063, 0.05], null)).toEqual([]);
  });
});

describe('what several readings come to', () => {
  const reading = (told: Partial<HoleReading> = {}): HoleReading => ({
    ...{ id: 'r', at: '2031-05-02T08:00:00Z', by: 'Ada', person: undefined },
    ...{ widestIn: 0.13, tooDeepIn: null, seen: [], decided: null, voided: null },
    ...told
  });
  const VOIDED = { why: 'burr', by: 'Ada', at: '2031-05-02T09:00:00Z' };
  const decided = (decision: 'keep' | 'next-size' | 'refer') =>
    ({ decision, mark: decision }) as unknown as HoleReading['decided'];
  /** of a hole that is none of the release's: only what each came to by itself can count */
  const worst = (...readings: HoleReading[]) =>
    decidedTogether(RELEASE.facts, undefined, readings, 1)?.decision ?? null;

  it('is the gravest of them, in whatever order they came', () => {
    const [keep, next, refer] = (['keep', 'next-size', 'refer'] as const).map((one) =>
      reading({ decided: decided(one) })
    );
    if (!keep || !next || !refer) throw new Error('three were made');
    expect(worst(keep, next)).toBe('next-size');
    expect(worst(next, keep)).toBe('next-size');
    expect(worst(next, refer, keep)).toBe('refer');
    expect(worst(refer, next)).toBe('refer');
    expect(worst(reading(), keep)).toBe('keep');
    expect(worst(keep, reading())).toBe('keep');
    expect(worst(reading(), reading())).toBeNull();
    // of equals the first
    const same = reading({ decided: { ...decided('keep'), second: true } as never });
    expect(decidedTogether(RELEASE.facts, undefined, [keep, same], 1)).toBe(keep.decided);
  });

  it('is of those that count', () => {
    const [keep, refer] = [
      reading({ decided: decided('keep') }),
      reading({ decided: decided('refer'), voided: VOIDED })
    ];
    expect(worst(refer, keep)).toBe('keep');
    expect(worst(refer)).toBeNull();
    expect(worst()).toBeNull();
    expect(worst(reading({ decided: decided('refer') }))).toBe('refer');
  });

  it('decides anew by the figures where another reading was voided, and once by what it was', () => {
    const at = RELEASE.holes.find(({ number }) => number === 2);
    const wide = reading({ widestIn: 0.175, decided: decided('keep') });
    // alone it stays as it was decided then
    expect(decidedTogether(RELEASE.facts, at, [wide], 1)?.decision).toBe('keep');
    const with0 = [wide, reading({ voided: VOIDED })];
    expect(decidedTogether(RELEASE.facts, at, with0, 1)?.decision).toBe('refer');
    expect(decidedTogether(RELEASE.facts, at, [wide, reading()], 1)?.decision).toBe('refer');
  });

  it('has the deepest cut, where any was measured', () => {
    const deep = (...cuts: (number | null)[]) =>
      foundTogether(cuts.map((tooDeepIn) => reading({ tooDeepIn }))).tooDeepIn;
    expect([deep(null), deep(0.002, null), deep(null, 0.002)]).toEqual([null, 0.002, 0.002]);
    expect([deep(0.001, 0.004), deep(0.004, 0.001)]).toEqual([0.004, 0.004]);
    // shallower than it should be is a reading too
    expect(deep(-0.003, -0.001)).toBe(-0.001);
  });
});
