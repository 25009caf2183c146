import { describe, expect, it } from 'vitest';
import { Bench, RELEASE, OUT } from '../../../tests/support/rework-bench.ts';
import { whyNot } from '../../../tests/support/why-not.ts';
import { DEFAULT_PROFILE } from '../rules/profile.ts';
import { blindOnRecord, blindStanding } from './blind-rivets.ts';
import { asReworked, type Layout } from './rework-state.ts';

const [open] = RELEASE.heldOpen;
const BLIND = {
  fastener: 'NAS1398D4-2',
  drillIn: 0.1285,
  grip: { leastIn: 0.0625, mostIn: 0.125, over: true }
};
const planned = (checking: 'anyone' | 'another') => ({
  ...RELEASE,
  facts: { ...RELEASE.facts, rules: { ...DEFAULT_PROFILE, checking } },
  heldOpen: open ? [{ ...open, blind: BLIND }] : []
});
const ILSE = '10000000-0000-4000-8000-000000000001';
const ODA = '10000000-0000-4000-8000-000000000002';
const standing = (bench: Bench) =>
  blindStanding(bench.state.blinds.get(4), bench.subject.facts as typeof RELEASE.facts);

describe('a blind rivet in an open hole', () => {
  it('goes in only where one is planned, once, and is looked at while it is in', () => {
    expect(whyNot(new Bench().try(1, { kind: 'blind-in', hole: 4 }))).toBe('no-blind');
    const bench = new Bench(planned('anyone'));
    expect(whyNot(bench.try(1, { kind: 'blind-in', hole: 1 }))).toBe('no-blind');
    expect(whyNot(bench.try(1, { kind: 'blind-looked', hole: 4, found: [] }))).toBe('rework-order');
    expect(standing(bench)).toBe('not-in');
    bench.do(2, { kind: 'blind-in', hole: 4, lot: 'BL-7', person: ILSE });
    expect(whyNot(bench.try(3, { kind: 'blind-in', hole: 4 }))).toBe('rework-order');
    expect(standing(bench)).toBe('not-inspected');
    // nothing is found of it before it was in
    expect(whyNot(bench.try(1, { kind: 'blind-looked', hole: 4, found: [] }))).toBe('rework-order');
    bench.do(4, { kind: 'blind-looked', hole: 4, found: [], person: ILSE });
    expect(standing(bench)).toBe('good');
    expect(blindOnRecord(BLIND, bench.state.blinds.get(4), RELEASE.facts)).toMatchObject({
      ...BLIND,
      lot: 'BL-7',
      putInBy: 'Ilse',
      standing: 'good',
      inspectedBy: ['Ilse']
    });
  });

  it('stays bad until it is out, whatever a later look says', () => {
    const bench = new Bench(planned('anyone'));
    bench.do(1, { kind: 'blind-in', hole: 4 });
    bench.do(2, { kind: 'blind-looked', hole: 4, found: ['stem-high'] });
    bench.do(3, { kind: 'blind-looked', hole: 4, found: [] });
    expect(standing(bench)).toBe('bad');
    bench.do(4, { kind: 'blind-out', hole: 4, why: 'stem high' });
    expect(standing(bench)).toBe('not-in');
    bench.do(5, { kind: 'blind-in', hole: 4 });
    expect(standing(bench)).toBe('not-inspected');
  });

  it('is not made good by who put it in, where the shop wants another', () => {
    const bench = new Bench(planned('another'));
    bench.do(1, { kind: 'blind-in', hole: 4, person: ILSE });
    const look = { kind: 'blind-looked', hole: 4, found: [] };
    expect(whyNot(bench.try(2, { ...look, person: ILSE }))).toBe('checks-own-work');
    bench.do(3, { ...look, person: ODA });
    expect(standing(bench)).toBe('good');
    // something wrong is taken from anybody
    bench.do(4, { ...look, found: ['ring'], person: ILSE });
    expect(standing(bench)).toBe('bad');
  });

  it('by an answer is the same: it goes in after the answer, and is looked at', () => {
    const bench = new Bench();
    bench.do(1, { ...OUT, hole: 2 });
    bench.do(2, { kind: 'measured', hole: 2, widestIn: 0.17, seen: ['cracked'] });
    const referral = bench.do(3, { kind: 'referred', hole: 2, question: 'what goes in?' });
    expect(whyNot(bench.try(4, { kind: 'blind-in', hole: 2 }))).toBe('no-blind');
    bench.do(5, {
      kind: 'answered',
      referral,
      answer: 'a blind one',
      answeredBy: 'the data holder',
      authority: 'letter 9',
      then: { what: 'blind', blind: { fastener: 'NAS1398D6-3', drillIn: 0.1935, gripIn: 0.1875 } }
    });
    const answered = asReworked<Layout>(RELEASE, bench.state).heldOpen.find(
      ({ number }) => number === 2
    );
    expect(answered?.blind).toEqual({
      fastener: 'NAS1398D6-3',
      drillIn: 0.1935,
      grip: { leastIn: 0, mostIn: 0.1875, over: false }
    });
    bench.do(6, { kind: 'blind-in', hole: 2 });
    expect(bench.state.blinds.get(2)).toMatchObject({ by: 'Ilse', looks: [] });
  });
});
