import { describe, expect, it } from 'vitest';
import { Bench, RELEASE, OUT } from '../../../tests/support/rework-bench.ts';
import { whyNot } from '../../../tests/support/why-not.ts';
import { askedInstead } from './held-back';

const [MINE, THEIRS, ELSEWHERE] = [1, 2, 3].map(
  (last) => `00000000-0000-4000-9000-00000000000${last}`
) as [string, string, string];
const [ADA, BO, CY] = [7, 8, 9].map((last) => `6b1f6e0e-93ad-4d5a-9c3c-00000000000${last}`) as [
  string,
  string,
  string
];
const subject = {
  ...RELEASE,
  inspectors: new Set([CY]),
  leads: new Set([CY]),
  looks: new Map([
    [MINE, { hole: 2, person: ADA, by: 'Ada' }],
    [THEIRS, { hole: 2, person: BO, by: 'Bo' }],
    [ELSEWHERE, { hole: 3, person: ADA, by: 'Ada' }]
  ])
};
const voided = (look: string, person: string) => ({
  ...{ kind: 'voided-look', hole: 2, look, why: 'wrong head' },
  person
});

describe('a look at a head', () => {
  it('is voided by whoever took it or an inspector, once, with the reason', () => {
    const bench = new Bench(subject);
    expect(whyNot(bench.try(1, voided(THEIRS, ADA)))).toBe('reading-of-another');
    bench.do(2, voided(MINE, ADA));
    expect(whyNot(bench.try(3, voided(MINE, ADA)))).toBe('rework-order');
    bench.do(4, voided(THEIRS, CY));
    expect([...bench.state.voidedLooks]).toMatchObject([
      [MINE, { hole: 2, why: 'wrong head' }],
      [THEIRS, { hole: 2 }]
    ]);
    // it takes nothing out and asks nothing
    expect([bench.state.holes.size, bench.state.referrals.size]).toEqual([0, 0]);
  });

  it('is voided where it was taken, also of a rivet that is out, and never one nobody took', () => {
    const bench = new Bench(subject);
    expect(whyNot(bench.try(1, voided(ELSEWHERE, ADA)))).toBe('rework-order');
    expect(whyNot(bench.try(1, voided(ADA, ADA)))).toBe('rework-order');
    bench.do(5, { ...OUT, hole: 2 });
    // stamped by a clock that is behind
    bench.do(4, voided(MINE, ADA));
    expect(bench.state.voidedLooks.has(MINE)).toBe(true);
  });
});

describe('a rivet that was driven too late', () => {
  it('is asked about instead of being replaced by a lead alone, until somebody has answered', () => {
    const ask = (person: string) => ({
      ...{ kind: 'referred', hole: 2, question: 'May it stay?', instead: true },
      person
    });
    const bench = new Bench(subject);
    expect(whyNot(bench.try(1, ask(ADA)))).toBe('lead-decides');
    const referral = bench.do(1, ask(CY));
    expect([...askedInstead(bench.state)]).toEqual([2]);
    bench.do(3, {
      kind: 'answered',
      referral,
      answer: 'no',
      answeredBy: 'engineer',
      authority: 'sheet 3',
      then: { what: 'nothing' }
    });
    expect([...askedInstead(bench.state)]).toEqual([]);
    // a question is no decision
    const other = new Bench(subject);
    other.do(1, { kind: 'referred', hole: 2, question: '?', person: ADA });
    expect([...askedInstead(other.state)]).toEqual([]);
  });
});
