import { reworkOf } from '../../../tests/support/rework-state';
import { describe, expect, it } from 'vitest';
import { HoleLook } from '../check/hole-look';
import { holeStream, type HoleEvent } from '../check/hole-events';
import { drivenNow, driveStream, type DriveEvent } from '../driving/drive-events';
import { DriveMove } from '../driving/drive-move';
import type { Issue, IssuedHole } from '../issue/issue';
import { reworkStream, type ReworkEvent } from '../reworking/rework-events';
import { NO_REWORK } from '../reworking/rework-state';
import { ReworkMove } from '../reworking/rework-moves';
import { DEFAULT_PROFILE } from '../rules/profile';
import { AgainWhy, isAnotherRivet, type EarlierRelease, type SinceRelease } from './since-release';
import { takeOver } from './take-over';

const PERSON = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c01';
const BEGAN = Date.parse('2031-08-12T07:00:00Z');
const room = { edgeIn: 0.45, pitchIn: 0.9, betweenRowsIn: null, sheetsIn: [0.051, 0.064] };
const stackOf = (partNumber: string, holeIn = 0.1285) => ({
  name: '',
  dash: 4 as const,
  partNumber,
  lengthIn: 0.3125,
  holeIn,
  dimpledThrough: false,
  raisedIn: 0,
  wideIn3: 0
});
const PART = 'MS20470AD4-5';
const hole = (number: number, changes: Partial<IssuedHole> = {}): IssuedHole => ({
  number,
  row: 1,
  xIn: number * 0.9,
  yIn: 0.45,
  markIn: number * 0.9,
  stack: 0,
  dash: 4,
  gripIn: 0.115,
  room,
  ...changes
});
const FACTS: Issue['facts'] = {
  dash: 4,
  head: 'universal',
  partNumber: PART,
  gripIn: 0.115,
  lengthIn: 0.3125,
  holeIn: 0.1285,
  widthIn: 6,
  overlapIn: 0.9,
  limits: 'standard',
  limitsReference: null,
  keptClosed: null,
  blinds: [],
  throughPlastic: null,
  bound: null,
  predictedIn3: 0.0022,
  rules: DEFAULT_PROFILE,
  stacks: [stackOf(PART)]
};
const ISSUE = {
  id: '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c11',
  number: 1,
  facts: FACTS,
  holes: [1, 2, 3, 4].map((number) => hole(number)),
  heldOpen: []
};

let made = 0;
const stamp = (minutes: number) => ({
  id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
  at: new Date(BEGAN + minutes * 60_000).toISOString(),
  person: PERSON
});

/** A release as it was driven, looked at and reworked; moves by their minute. */
function earlier(
  moves: { taps?: [number, number][]; looks?: [number, number][]; rework?: [number, object][] },
  issue: EarlierRelease['issue'] = ISSUE,
  since: SinceRelease | null = null
): EarlierRelease {
  let rework = NO_REWORK;
  for (const [minutes, move] of moves.rework ?? []) {
    const parsed = ReworkMove.parse({ ...stamp(minutes), ...move });
    const may = reworkStream.follow(issue, rework, parsed);
    if (!may.ok) throw new Error(may.error.said.code);
    const event = { ...parsed, by: 'Ilse', frozen: may.result } as ReworkEvent;
    rework = reworkStream.project(issue, [event], rework);
  }
  const driving = (moves.taps ?? []).map(([minutes, at]): DriveEvent => ({
    ...DriveMove.parse({ ...stamp(minutes), kind: 'driven', hole: at, batch: null }),
    by: 'Ilse',
    frozen: { partNumber: PART, cold: null }
  }));
  const heads = (moves.looks ?? []).map(([minutes, at]): HoleEvent => ({
    ...HoleLook.parse({
      ...stamp(minutes),
      kind: 'checked',
      hole: at,
      diameterIn: 0.19,
      heightIn: 0.062,
      flags: []
    }),
    by: 'Ilse',
    frozen: {
      verdict: 'accept',
      findings: [],
      diameterD: 1.52,
      heightD: 0.496,
      cannotTell: [],
      seat: null
    }
  }));
  const drive = driveStream.project({ ...issue, batches: [], rework }, driving);
  return {
    issue,
    driving,
    rework,
    since,
    drive,
    states: holeStream.project({ ...issue, rework, ...drivenNow(drive) }, heads)
  };
}
const DRIVEN: [number, number][] = [
  [1, 1],
  [2, 2],
  [3, 3],
  [4, 4]
];

const NO_SINCE: SinceRelease = {
  issue: 'before',
  release: 0,
  carried: [],
  again: [],
  gone: [],
  replaced: [],
  blind: [],
  changes: []
};

describe('what a new release takes over', () => {
  it('is every head in the same place, of the same rivet in the same sheets, under its new number', () => {
    const before = earlier({ taps: DRIVEN, looks: [[9, 2]] });
    // one hole more at the left: every number moves on
    const holes = [
      hole(1, { xIn: 0.45 }),
      ...ISSUE.holes.map((one) => ({ ...one, number: one.number + 1 }))
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

  it.each<[string, Partial<IssuedHole>, Partial<Issue['facts']>, string]>([
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
      holes: ISSUE.holes
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
    const states = holeStream.project({ ...ISSUE, rework }, before.states.get(1)?.all ?? []);
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
    const before = earlier({ taps: DRIVEN, looks: [[9, 1]] }, { ...ISSUE, facts: flush });
    const looksUnder = (flushness: 'two-proud' | 'three-proud') =>
      takeOver(before, {
        facts: { ...flush, rules: { ...DEFAULT_PROFILE, flushness } },
        holes: [hole(1)]
      }).looks.length;
    expect(looksUnder('two-proud')).toBe(1);
    expect(looksUnder('three-proud')).toBe(0);
  });

  const REPLACED: [number, object][] = [
    [10, { kind: 'out', hole: 2, school: 'under-shank', how: 'plain' }],
    [11, { kind: 'measured', hole: 2, widestIn: 0.137, seen: [] }]
  ];

  it('is a rivet of the next size where one was put in, release after release', () => {
    const before = earlier({ taps: [...DRIVEN, [12, 2]], looks: [[14, 2]], rework: REPLACED });
    const first = takeOver(before, { facts: FACTS, holes: ISSUE.holes });
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
        { ...ISSUE, number: 2, facts: first.facts, holes: first.holes },
        { ...first.since, changes: [] }
      ),
      { facts: FACTS, holes: ISSUE.holes }
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
      { ...ISSUE, number: 2, facts: second.facts, holes: second.holes },
      { ...second.since, changes: [] }
    );
    // the third is as the second, with hole 3 back
    const third = takeOver(untouched, {
      facts: wanted,
      holes: [hole(1), hole(2, { xIn: ISSUE.holes[2]?.xIn ?? 0 })]
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
      { ...ISSUE, number: 2, facts: second.facts, holes: second.holes },
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
    const settled = { ...before, rework: reworkStream.project(ISSUE, [answer], before.rework) };
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
    expect(taps[0]?.carried).toEqual({ issue: ISSUE.id, release: 1, hole: 1 });
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
    expect(looks[0]?.carried).toEqual({ issue: ISSUE.id, release: 1, hole: 1 });
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

  it('gives every hole of the new release back, in its order, with the facts as planned', () => {
    const before = earlier({ taps: DRIVEN });
    const holes = [hole(3), hole(1), hole(9, { xIn: 5.4 })];
    const taken = takeOver(before, { facts: FACTS, holes });
    expect(taken.holes).toEqual(holes);
    expect(taken.facts).toEqual(FACTS);
    expect(taken.since).toMatchObject({ issue: ISSUE.id, release: 1, replaced: [], blind: [] });
    expect(taken.since.gone).toEqual([
      { release: 1, hole: 2, xIn: 1.8, yIn: 0.45 },
      { release: 1, hole: 4, xIn: 3.6, yIn: 0.45 }
    ]);
  });

  it.each<[string, Partial<IssuedHole>, Partial<IssuedHole>, string | null]>([
    ['a grip unknown before', { gripIn: null }, {}, 'another-grip'],
    ['a grip unknown now', {}, { gripIn: null }, 'another-grip'],
    ['neither grip known', { gripIn: null }, { gripIn: null }, null],
    [
      'a sheet more of no thickness told',
      {},
      { room: { ...room, sheetsIn: [0.051, 0.064, 0.02] } },
      'other-sheets'
    ],
    ['a sheet fewer', {}, { room: { ...room, sheetsIn: [0.051] } }, 'other-sheets'],
    ['no room known on either side', { room: null }, { room: null }, null],
    ['no room known before', { room: null }, {}, 'other-sheets']
  ])('compares sheets: %s', (_, was, now, why) => {
    const issue = { ...ISSUE, holes: [hole(1, was)] };
    const { since } = takeOver(earlier({ taps: [[1, 1]] }, issue), {
      facts: FACTS,
      holes: [hole(1, now)]
    });
    expect(since.again.map((one) => one.why)).toEqual([why ?? 'not-looked-at']);
  });

  it('of a rivet that the far sheet is now dimpled for is another rivet', () => {
    const dimpled = { ...FACTS, stacks: [{ ...stackOf(PART), dimpledThrough: true }] };
    const { since } = takeOver(earlier({ taps: DRIVEN }), { facts: dimpled, holes: [hole(1)] });
    expect(since.again).toEqual([{ hole: 1, was: 1, why: 'another-rivet', inIt: true }]);
  });

  it.each<[string, Partial<NonNullable<IssuedHole['room']>>, boolean]>([
    ['the same room', {}, true],
    ['more room', { edgeIn: 0.5, pitchIn: 1.2 }, true],
    ['a neighbor closer', { pitchIn: 0.8 }, false],
    ['no neighbor any more', { pitchIn: null }, true],
    ['a row beside it where there was none', { betweenRowsIn: 0.6 }, false]
  ])('a replaced rivet with %s', (_, change, stays) => {
    const before = earlier({ taps: [...DRIVEN, [12, 2]], rework: REPLACED });
    const { since } = takeOver(before, {
      facts: FACTS,
      holes: [hole(2, { room: { ...room, ...change } })]
    });
    expect(since.replaced.length > 0).toBe(stays);
    expect(since.again.map(({ why }) => why)).toEqual([stays ? 'not-looked-at' : 'less-room']);
  });

  it('a replaced rivet stays planned as replaced where its hole waits for it', () => {
    const before = earlier({ taps: DRIVEN, rework: REPLACED });
    const taken = takeOver(before, { facts: FACTS, holes: [hole(2)] });
    expect(taken.since.replaced).toHaveLength(1);
    expect(taken.since.carried).toEqual([]);
    expect(taken.since.again).toEqual([{ hole: 2, was: 2, why: 'not-driven', inIt: false }]);
    // the room of a rivet that nobody replaced may be less
    const plain = takeOver(earlier({ taps: DRIVEN }), {
      facts: FACTS,
      holes: [hole(2, { room: { ...room, edgeIn: 0.3 } })]
    });
    expect(plain.since.carried.map(({ hole: at }) => at)).toEqual([2]);
  });

  it('what an answer let stay is as it was, and what is asked about is empty', () => {
    const left = earlier({ taps: DRIVEN, looks: [[9, 1]] });
    const now = {
      ...left,
      rework: {
        ...left.rework,
        holes: new Map([[1, reworkOf(1, { outs: 0, stage: 'left', leftAt: 1 })]])
      }
    };
    expect(takeOver(now, { facts: FACTS, holes: [hole(1)] }).since.carried).toEqual([
      { hole: 1, was: 1, looked: true }
    ]);
    const asked = earlier({
      taps: DRIVEN,
      rework: [
        [10, { kind: 'out', hole: 2, school: 'under-shank', how: 'plain' }],
        [11, { kind: 'measured', hole: 2, widestIn: 0.13, seen: ['cracked'] }]
      ]
    });
    expect(takeOver(asked, { facts: FACTS, holes: [hole(2)] }).since.again).toEqual([
      { hole: 2, was: 2, why: 'empty', inIt: false }
    ]);
  });

  it('holds a hole that was held open as new, and a blind fastener of the release before stays', () => {
    const issue = { ...ISSUE, holes: [hole(1)], heldOpen: [{ ...hole(2), reason: 'latch' }] };
    const next = { facts: FACTS, holes: [hole(1), hole(2)] };
    expect(takeOver(earlier({}, issue), next).since.again).toContainEqual({
      hole: 2,
      was: 2,
      why: 'new-hole',
      inIt: false
    });
    const blind = { ...NO_SINCE, blind: [{ hole: 2, fastener: 'blind 5' }] };
    expect(takeOver(earlier({}, issue, blind), next).since.blind).toEqual([
      { hole: 2, fastener: 'blind 5' }
    ]);
  });

  it('takes over a planned blind rivet that is in and good, and plans every other anew', () => {
    const blind = {
      fastener: 'NAS1398D4-2',
      drillIn: 0.1285,
      grip: { leastIn: 0.0625, mostIn: 0.125, over: true }
    };
    const open = { ...hole(2), reason: 'closed tube', blind };
    const issue = { ...ISSUE, holes: [hole(1)], heldOpen: [open] };
    const next = {
      facts: { ...FACTS, blinds: [{ hole: 2, ...blind }] },
      holes: [hole(1)],
      heldOpen: [open]
    };
    const put: [number, object][] = [[10, { kind: 'blind-in', hole: 2 }]];
    const good: [number, object][] = [...put, [11, { kind: 'blind-looked', hole: 2, found: [] }]];
    const stays = takeOver(earlier({ rework: good }, issue), next);
    expect(stays.since.blind).toEqual([{ hole: 2, fastener: 'NAS1398D4-2' }]);
    expect(stays.facts.blinds).toEqual([]);
    // and in the release after that
    const later = { ...issue, heldOpen: [{ ...hole(2), reason: 'closed tube' }] };
    const before = { ...NO_SINCE, blind: stays.since.blind };
    const again = takeOver(earlier({}, later, before), next);
    expect(again.since.blind).toEqual(stays.since.blind);
    expect(again.facts.blinds).toEqual([]);
    const unseen = takeOver(earlier({ rework: put }, issue), next);
    expect(unseen.since.blind).toEqual([]);
    expect(unseen.facts.blinds).toHaveLength(1);
    // another is planned there now
    const other = { ...open, blind: { ...blind, fastener: 'NAS1398D4-3' } };
    expect(
      takeOver(earlier({ rework: good }, issue), { ...next, heldOpen: [other] }).since.blind
    ).toEqual([]);
  });

  it('asks once more for an approved blind rivet that nobody has found good', () => {
    const answered: [number, object][] = [
      [10, { kind: 'out', hole: 2, school: 'under-shank', how: 'plain' }],
      [11, { kind: 'measured', hole: 2, widestIn: 0.17, seen: ['cracked'] }]
    ];
    const of = (...put: [number, object][]) => {
      const before = earlier({ taps: DRIVEN, rework: answered });
      const asked = ReworkMove.parse({
        ...stamp(12),
        kind: 'referred',
        hole: 2,
        question: 'what goes in?'
      });
      const told = ReworkMove.parse({
        ...stamp(13),
        kind: 'answered',
        referral: asked.id,
        answer: 'a blind one',
        answeredBy: 'the data holder',
        authority: 'letter 9',
        then: { what: 'blind', blind: { fastener: 'NAS1398D6-3', drillIn: 0.1935, gripIn: 0.1875 } }
      });
      const moves = [
        asked,
        told,
        ...put.map(([minutes, move]) => ReworkMove.parse({ ...stamp(minutes), ...move }))
      ].map((move) => ({ ...move, by: 'Ilse', frozen: null }) as ReworkEvent);
      const rework = reworkStream.project(ISSUE, moves, before.rework);
      return takeOver({ ...before, rework }, { facts: FACTS, holes: [hole(2)] });
    };
    const put: [number, object] = [14, { kind: 'blind-in', hole: 2 }];
    const good: [number, object] = [15, { kind: 'blind-looked', hole: 2, found: [] }];
    for (const taken of [of(), of(put), of(put, good)])
      expect(taken.since.blind).toEqual([{ hole: 2, fastener: 'NAS1398D6-3' }]);
    expect(of().facts.blinds).toMatchObject([{ hole: 2, fastener: 'NAS1398D6-3' }]);
    expect(of(put).facts.blinds).toHaveLength(1);
    expect(of(put, good).facts.blinds).toEqual([]);
  });

  it('an old rivet that was planned otherwise is driven over by nobody: looked at, it is this one’s', () => {
    const again = [{ hole: 1, was: 1, why: 'another-grip' as const, inIt: true }];
    const since = { ...NO_SINCE, again };
    const next = { facts: FACTS, holes: [hole(1)] };
    const why = (of: EarlierRelease) => takeOver(of, next).since.again.map((one) => one.why);
    expect(why(earlier({}, ISSUE, since))).toEqual(['another-grip']);
    expect(why(earlier({ looks: [[9, 1]] }, ISSUE, since))).toEqual([]);
    // what is only to be looked at again is no old rivet
    const limits = [{ hole: 1, was: 1, why: 'other-limits' as const, inIt: true }];
    expect(why(earlier({}, ISSUE, { ...NO_SINCE, again: limits }))).toEqual(['not-driven']);
    const empty = [{ hole: 1, was: 1, why: 'another-grip' as const, inIt: false }];
    expect(why(earlier({}, ISSUE, { ...NO_SINCE, again: empty }))).toEqual(['not-driven']);
  });

  it('tells which of these ask for another rivet', () => {
    const other = AgainWhy.options.filter((why) => !isAnotherRivet(why));
    expect(other).toEqual(['other-limits', 'not-driven', 'not-looked-at']);
  });
});
