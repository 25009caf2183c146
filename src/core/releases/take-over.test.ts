import { describe, expect, it } from 'vitest';
import { holeStream } from '../inspect/hole-events';
import type { Release, ReleasedHole } from '../release/release';
import { reworkStream } from '../reworking/rework-events';
import type { ReworkEvent } from '../reworking/rework-subject';
import { ReworkMove } from '../reworking/rework-moves';
import { DEFAULT_PROFILE } from '../rules/profile';
import { takeOver } from './take-over';
import {
  REPLACED,
  PERSON,
  BEGAN,
  room,
  stackOf,
  PART,
  hole,
  FACTS,
  RELEASE,
  stamp,
  earlier,
  DRIVEN
} from '../../../tests/support/earlier-release';

describe('what a new release takes over', () => {
  it('is every head in the same place, of the same rivet in the same sheets, under its new number', () => {
    const before = earlier({ taps: DRIVEN, looks: [[9, 2]] });
    // one hole more at the left: every number moves on
    const holes = [
      hole(1, { xIn: 0.45 }),
      ...RELEASE.holes.map((one) => ({ ...one, number: one.number + 1 }))
    ];
    const { since, taps, looks } = takeOver(before, { facts: FACTS, holes });
    expect(since.carried).toEqual([
      { hole: 2, was: 1, looked: false },
      { hole: 3, was: 2, looked: true },
      { hole: 4, was: 3, looked: false },
      { hole: 5, was: 4, looked: false }
    ]);
    expect(taps.map((tap) => [tap.hole, tap.carried?.hole, tap.person])).toEqual([
      [2, 1, PERSON],
      [3, 2, PERSON],
      [4, 3, PERSON],
      [5, 4, PERSON]
    ]);
    expect(looks).toMatchObject([
      { hole: 3, carried: { release: 1, hole: 2 }, frozen: { verdict: 'accept' } }
    ]);
    expect(since.again).toEqual([
      { hole: 1, was: null, why: 'new-hole', inIt: false },
      { hole: 2, was: 1, why: 'not-looked-at', inIt: true },
      { hole: 4, was: 3, why: 'not-looked-at', inIt: true },
      { hole: 5, was: 4, why: 'not-looked-at', inIt: true }
    ]);
  });

  it.each<[string, Partial<ReleasedHole>, Partial<Release['facts']>, string]>([
    ['another rivet', {}, { stacks: [stackOf('MS20470AD4-6')] }, 'another-rivet'],
    ['another hole', {}, { stacks: [stackOf(PART, 0.136)] }, 'another-hole'],
    ['another grip', { gripIn: 0.131 }, {}, 'another-grip'],
    [
      'other sheets of the same grip',
      { room: { ...room, sheetsIn: [0.064, 0.051] } },
      {},
      'other-sheets'
    ]
  ])('is no head with %s: a rivet is in it', (_, changes, facts, why) => {
    const before = earlier({ taps: DRIVEN, looks: [[9, 1]] });
    const { since, taps, looks } = takeOver(before, {
      facts: { ...FACTS, ...facts },
      holes: [hole(1, changes)]
    });
    expect(since.again).toEqual([{ hole: 1, was: 1, why, inIt: true }]);
    expect([taps, looks]).toEqual([[], []]);
    // what stands in the metal and in no plan is said
    expect(since.gone.map(({ release, hole: at }) => [release, at])).toEqual([
      [1, 2],
      [1, 3],
      [1, 4]
    ]);
  });

  it('is every look at it that nobody voided, before its last blow too: it stays due', () => {
    const looks: [number, number][] = [
      [9, 1],
      [10, 1],
      [11, 2]
    ];
    const all = takeOver(earlier({ taps: [...DRIVEN, [12, 2]], looks }), {
      facts: FACTS,
      holes: RELEASE.holes
    });
    expect(all.looks.map((look) => look.hole)).toEqual([1, 1, 2]);
    expect(all.since.carried.filter(({ looked }) => looked).map((one) => one.hole)).toEqual([1]);
    expect(all.since.again).toContainEqual({
      hole: 2,
      was: 2,
      why: 'not-looked-at',
      inIt: true
    });
    const before = earlier({ taps: DRIVEN, looks });
    const [first] = before.states.get(1)?.all ?? [];
    const rework = {
      ...before.rework,
      voidedLooks: new Map([[first?.id ?? '', { hole: 1, why: '?', by: 'Ada', at: '' }]])
    };
    const states = holeStream.project({ ...RELEASE, rework }, before.states.get(1)?.all ?? []);
    const kept = takeOver({ ...before, rework, states }, { facts: FACTS, holes: [hole(1)] });
    expect(kept.looks).toHaveLength(1);
  });

  it('is the rivet without its look where other limits hold', () => {
    const before = earlier({ taps: DRIVEN, looks: [[9, 1]] });
    const { since, taps, looks } = takeOver(before, {
      facts: { ...FACTS, limits: 'tight' },
      holes: [hole(1)]
    });
    expect([taps.length, looks.length]).toEqual([1, 0]);
    expect(since.again).toEqual([{ hole: 1, was: 1, why: 'other-limits', inIt: true }]);
  });

  it('is a flush head without its look where it may stand otherwise', () => {
    const flush = { ...FACTS, head: 'countersunk' as const };
    const before = earlier({ taps: DRIVEN, looks: [[9, 1]] }, { ...RELEASE, facts: flush });
    const looksUnder = (flushness: 'two-proud' | 'three-proud') =>
      takeOver(before, {
        facts: { ...flush, rules: { ...DEFAULT_PROFILE, flushness } },
        holes: [hole(1)]
      }).looks.length;
    expect(looksUnder('two-proud')).toBe(1);
    expect(looksUnder('three-proud')).toBe(0);
  });

  it('is a rivet of the next size where one was put in, release after release', () => {
    const before = earlier({ taps: [...DRIVEN, [12, 2]], looks: [[14, 2]], rework: REPLACED });
    const first = takeOver(before, { facts: FACTS, holes: RELEASE.holes });
    const kept = first.holes.find(({ number }) => number === 2);
    expect(kept?.dash).toBe(5);
    expect(first.facts.stacks[kept?.stack ?? 0]).toMatchObject({ dash: 5, holeIn: 0.159 });
    expect(first.since.replaced).toMatchObject([
      { hole: 2, rivet: { dash: 5 }, planned: { partNumber: PART } }
    ]);
    expect(first.looks.map((look) => look.hole)).toEqual([2]);
    const second = takeOver(
      earlier(
        { taps: DRIVEN, looks: [[20, 2]] },
        { ...RELEASE, number: 2, facts: first.facts, holes: first.holes },
        { ...first.since, changes: [] }
      ),
      { facts: FACTS, holes: RELEASE.holes }
    );
    expect(second.since.replaced).toEqual(first.since.replaced);
    expect(second.holes.find(({ number }) => number === 2)?.dash).toBe(5);
    expect(second.since.again.map(({ hole: at }) => at)).toEqual([1, 3, 4]);
  });

  it('is no replaced rivet where an edge came closer: its size was decided with the room there was', () => {
    const before = earlier({ taps: [...DRIVEN, [12, 2]], rework: REPLACED });
    const closer = hole(2, { room: { ...room, edgeIn: 0.32 } });
    const { since } = takeOver(before, { facts: FACTS, holes: [closer] });
    expect(since.again).toEqual([{ hole: 2, was: 2, why: 'less-room', inIt: true }]);
  });

  it('forgets no old rivet over a release in which nobody touched it', () => {
    const first = earlier({ taps: DRIVEN });
    // the second release wants another rivet in hole 1, and has no holes 2 to 4
    const wanted = { ...FACTS, stacks: [stackOf('MS20470AD4-6')] };
    const second = takeOver(first, { facts: wanted, holes: [hole(1)] });
    const untouched = earlier(
      {},
      { ...RELEASE, number: 2, facts: second.facts, holes: second.holes },
      { ...second.since, changes: [] }
    );
    // the third is as the second, with hole 3 back
    const third = takeOver(untouched, {
      facts: wanted,
      holes: [hole(1), hole(2, { xIn: RELEASE.holes[2]?.xIn ?? 0 })]
    });
    expect(third.since.again).toEqual([
      { hole: 1, was: 1, why: 'another-rivet', inIt: true },
      { hole: 2, was: null, why: 'old-rivet', inIt: true }
    ]);
    expect(third.since.gone.map(({ release, hole: at }) => [release, at])).toEqual([
      [1, 2],
      [1, 4]
    ]);
    // driven in the second, it is that one's
    const driven = earlier(
      { taps: [[60, 1]] },
      { ...RELEASE, number: 2, facts: second.facts, holes: second.holes },
      { ...second.since, changes: [] }
    );
    expect(takeOver(driven, { facts: wanted, holes: [hole(1)] }).since.carried).toEqual([
      { hole: 1, was: 1, looked: false }
    ]);
  });

  it('is a blind fastener only in the sheets its grip was given for', () => {
    const blind: [number, object][] = [
      [10, { kind: 'out', hole: 2, school: 'under-shank', how: 'plain' }],
      [11, { kind: 'referred', hole: 2, question: 'which fastener' }]
    ];
    const before = earlier({ taps: DRIVEN, rework: blind });
    const [asked] = [...before.rework.referrals.values()];
    const answer = {
      ...ReworkMove.parse({
        ...stamp(20),
        kind: 'answered',
        referral: asked?.id,
        answer: 'this one',
        answeredBy: 'data holder',
        authority: 'letter 3',
        then: { what: 'blind', blind: { fastener: 'blind 5', drillIn: 0.144, gripIn: 0.12 } }
      }),
      by: 'Ilse',
      frozen: null
    } as ReworkEvent;
    const settled = { ...before, rework: reworkStream.project(RELEASE, [answer], before.rework) };
    expect(takeOver(settled, { facts: FACTS, holes: [hole(2)] }).since.blind).toEqual([
      { hole: 2, fastener: 'blind 5' }
    ]);
    const thicker = takeOver(settled, { facts: FACTS, holes: [hole(2, { gripIn: 0.15 })] });
    expect(thicker.since.blind).toEqual([]);
    expect(thicker.since.again).toEqual([{ hole: 2, was: 2, why: 'other-sheets', inIt: true }]);
  });

  it('is no hole that stands empty', () => {
    const before = earlier({ taps: DRIVEN, rework: REPLACED.slice(0, 1) });
    const { since } = takeOver(before, { facts: FACTS, holes: [hole(2)] });
    expect(since.again).toEqual([{ hole: 2, was: 2, why: 'empty', inIt: false }]);
  });

  it('counts no rivet of a cold batch twice', () => {
    const before = earlier({ taps: DRIVEN });
    const tap = before.driving[0];
    if (tap?.kind === 'driven') tap.batch = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c0b';
    const { taps } = takeOver(before, { facts: FACTS, holes: [hole(1)] });
    expect(taps).toMatchObject([{ hole: 1, batch: null }]);
  });

  it('takes over every blow at the rivet that is in, with where it was logged first', () => {
    const before = earlier({
      taps: [
        [1, 1],
        [5, 1]
      ],
      looks: [[9, 1]]
    });
    const { taps, looks } = takeOver(before, { facts: FACTS, holes: [hole(1)] });
    // whoever held a tool at it did, not only the last
    expect(taps.map(({ at, batch }) => [at, batch])).toEqual([
      [new Date(BEGAN + 60_000).toISOString(), null],
      [new Date(BEGAN + 5 * 60_000).toISOString(), null]
    ]);
    expect(taps[0]?.carried).toEqual({ issue: RELEASE.id, release: 1, hole: 1 });
    // taken over once more it still says where it was driven
    const first = { issue: '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c99', release: 1, hole: 7 };
    const carried = earlier({ taps: [[1, 1]], looks: [[9, 1]] });
    const tap = carried.driving[0];
    if (tap?.kind === 'driven') tap.carried = first;
    const head = carried.states.get(1)?.last;
    if (head) head.carried = first;
    const again = takeOver(carried, { facts: FACTS, holes: [hole(1)] });
    expect(again.taps[0]?.carried).toEqual(first);
    expect(again.looks[0]?.carried).toEqual(first);
    expect(looks[0]?.carried).toEqual({ issue: RELEASE.id, release: 1, hole: 1 });
  });

  it('takes over a blow that was recorded after its inspection, with the time stated for it', () => {
    const before = earlier({ taps: [[9, 1, 3]], looks: [[5, 1]] });
    const { since, taps } = takeOver(before, { facts: FACTS, holes: [hole(1)] });
    expect(since.carried).toEqual([{ hole: 1, was: 1, looked: true }]);
    expect(taps.map(({ at, stated }) => [at, stated])).toEqual([
      [new Date(BEGAN + 9 * 60_000).toISOString(), new Date(BEGAN + 3 * 60_000).toISOString()]
    ]);
  });

  it('takes over a head that was looked at where driving was not logged', () => {
    const { since, taps, looks } = takeOver(earlier({ looks: [[9, 1]] }), {
      facts: FACTS,
      holes: [hole(1), hole(2)]
    });
    expect(since.carried).toEqual([{ hole: 1, was: 1, looked: true }]);
    expect([taps.length, looks.length]).toEqual([0, 1]);
    expect(since.again).toEqual([{ hole: 2, was: 2, why: 'not-driven', inIt: false }]);
    expect(since.gone).toEqual([]);
  });
});
