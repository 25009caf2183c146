import { describe, expect, it } from 'vitest';
import {
  drove,
  look,
  matter,
  NOTHING_DUE,
  rework,
  seen
} from '../../../tests/support/signed-matter';
import { NOT_DRIVEN } from '../driving/drive-events';
import { NO_REWORK } from '../reworking/rework-state';
import { countRelease, holeMarks } from './release-count';

const bad = { verdict: 'replace', findings: ['cracked'], diameterD: 1.5, heightD: 0.5 } as const;
const cracked = (hole: number) =>
  look(hole, { frozen: { ...bad, findings: ['cracked'], cannotTell: [], seat: null } });
const out = { ...NO_REWORK, holes: new Map([[2, rework(2, 'out')]]) };

describe('what a release comes to', () => {
  it('is complete where all is driven, inspected and good', () => {
    expect(countRelease(matter())).toMatchObject({
      holes: 3,
      driven: 3,
      inspected: 3,
      marks: { accept: 3, 'to-do': 0 },
      complete: true
    });
  });

  it('takes each hole for one thing: driven, inspected before that was logged, empty or not driven', () => {
    const of = { drive: drove(1), rework: out, states: seen(look(1), look(3)) };
    expect(countRelease(matter(of))).toMatchObject({
      driven: 1,
      unlogged: [3],
      empty: [2],
      notDriven: [],
      inspected: 2,
      marks: { accept: 2, out: 1 },
      complete: false
    });
    expect(countRelease(matter({ ...of, states: seen(look(1)) })).notDriven).toEqual([3]);
  });

  it('takes every rivet for driven where nobody logs driving, and says that nobody does', () => {
    expect(countRelease(matter({ drive: NOT_DRIVEN, states: seen() }))).toMatchObject({
      logged: false,
      driven: 0,
      unlogged: [1, 2, 3],
      notDriven: []
    });
  });

  it('knows that driving is logged when the only rivet logged was removed', () => {
    const drive = { ...NOT_DRIVEN, blows: new Map([[2, 1]]) };
    expect(countRelease(matter({ drive, rework: out, states: seen() }))).toMatchObject({
      logged: true,
      notDriven: [1, 3],
      empty: [2]
    });
  });

  it('takes a tap that was taken back for none', () => {
    const drive = { ...NOT_DRIVEN, blows: new Map([[2, 0]]) };
    expect(countRelease(matter({ drive })).logged).toBe(false);
  });

  it('counts a bad head as inspected and never as done, unless engineering left it', () => {
    const states = seen(look(1), cracked(2), look(3));
    const due = { ...NOTHING_DUE, open: [2] };
    expect(countRelease(matter({ states, due }))).toMatchObject({
      inspected: 3,
      bad: [2],
      marks: { accept: 2, replace: 1 },
      complete: false
    });
    expect(holeMarks(matter({ states, left: new Set([2]) })).get(2)).toBe('left');
    // of what nobody has looked at, nobody can have decided
    expect(holeMarks(matter({ states: seen(), left: new Set([2]) })).get(2)).toBe('to-do');
  });
});
