import { reworkOf } from '../../../tests/support/rework-state';
import { describe, expect, it } from 'vitest';
import type { ReleasedHole } from '../release/release';
import { reworkStream } from '../reworking/rework-events';
import type { ReworkEvent } from '../reworking/rework-subject';
import { ReworkMove } from '../reworking/rework-moves';
import { AgainWhy, isAnotherRivet, type EarlierRelease } from './since-release';
import { takeOver } from './take-over';
import {
  room,
  stackOf,
  PART,
  hole,
  FACTS,
  RELEASE,
  stamp,
  earlier,
  DRIVEN,
  REPLACED,
  NO_SINCE
} from '../../../tests/support/earlier-release';

describe('what a new release makes of its holes', () => {
  it('gives every hole of the new release back, in its order, with the facts as planned', () => {
    const before = earlier({ taps: DRIVEN });
    const holes = [hole(3), hole(1), hole(9, { xIn: 5.4 })];
    const taken = takeOver(before, { facts: FACTS, holes });
    expect(taken.holes).toEqual(holes);
    expect(taken.facts).toEqual(FACTS);
    expect(taken.since).toMatchObject({ issue: RELEASE.id, release: 1, replaced: [], blind: [] });
    expect(taken.since.gone).toEqual([
      { release: 1, hole: 2, xIn: 1.8, yIn: 0.45 },
      { release: 1, hole: 4, xIn: 3.6, yIn: 0.45 }
    ]);
  });

  it.each<[string, Partial<ReleasedHole>, Partial<ReleasedHole>, string | null]>([
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
    const release = { ...RELEASE, holes: [hole(1, was)] };
    const { since } = takeOver(earlier({ taps: [[1, 1]] }, release), {
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

  it.each<[string, Partial<NonNullable<ReleasedHole['room']>>, boolean]>([
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
    const release = { ...RELEASE, holes: [hole(1)], heldOpen: [{ ...hole(2), reason: 'latch' }] };
    const next = { facts: FACTS, holes: [hole(1), hole(2)] };
    expect(takeOver(earlier({}, release), next).since.again).toContainEqual({
      hole: 2,
      was: 2,
      why: 'new-hole',
      inIt: false
    });
    const blind = { ...NO_SINCE, blind: [{ hole: 2, fastener: 'blind 5' }] };
    expect(takeOver(earlier({}, release, blind), next).since.blind).toEqual([
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
    const release = { ...RELEASE, holes: [hole(1)], heldOpen: [open] };
    const next = {
      facts: { ...FACTS, blinds: [{ hole: 2, ...blind }] },
      holes: [hole(1)],
      heldOpen: [open]
    };
    const put: [number, object][] = [[10, { kind: 'blind-in', hole: 2 }]];
    const good: [number, object][] = [...put, [11, { kind: 'blind-looked', hole: 2, found: [] }]];
    const stays = takeOver(earlier({ rework: good }, release), next);
    expect(stays.since.blind).toEqual([{ hole: 2, fastener: 'NAS1398D4-2' }]);
    expect(stays.facts.blinds).toEqual([]);
    // and in the release after that
    const later = { ...release, heldOpen: [{ ...hole(2), reason: 'closed tube' }] };
    const before = { ...NO_SINCE, blind: stays.since.blind };
    const again = takeOver(earlier({}, later, before), next);
    expect(again.since.blind).toEqual(stays.since.blind);
    expect(again.facts.blinds).toEqual([]);
    const unseen = takeOver(earlier({ rework: put }, release), next);
    expect(unseen.since.blind).toEqual([]);
    expect(unseen.facts.blinds).toHaveLength(1);
    // another is planned there now
    const other = { ...open, blind: { ...blind, fastener: 'NAS1398D4-3' } };
    expect(
      takeOver(earlier({ rework: good }, release), { ...next, heldOpen: [other] }).since.blind
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
      const rework = reworkStream.project(RELEASE, moves, before.rework);
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
    expect(why(earlier({}, RELEASE, since))).toEqual(['another-grip']);
    expect(why(earlier({ looks: [[9, 1]] }, RELEASE, since))).toEqual([]);
    // what is only to be looked at again is no old rivet
    const limits = [{ hole: 1, was: 1, why: 'other-limits' as const, inIt: true }];
    expect(why(earlier({}, RELEASE, { ...NO_SINCE, again: limits }))).toEqual(['not-driven']);
    const empty = [{ hole: 1, was: 1, why: 'another-grip' as const, inIt: false }];
    expect(why(earlier({}, RELEASE, { ...NO_SINCE, again: empty }))).toEqual(['not-driven']);
  });

  it('tells which of these ask for another rivet', () => {
    const other = AgainWhy.options.filter((why) => !isAnotherRivet(why));
    expect(other).toEqual(['other-limits', 'not-driven', 'not-looked-at']);
  });
});
