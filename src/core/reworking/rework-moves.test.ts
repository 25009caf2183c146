import { describe, expect, it } from 'vitest';
import { Blind, ReworkMove } from './rework-moves.ts';

const ID = '5b1f6e0e-93ad-4d5a-9c3c-0a54c1f2a001';
const takes = (move: object) =>
  ReworkMove.safeParse({ id: ID, at: '2026-11-28T09:00:00Z', ...move }).success;
const BLIND = { fastener: 'blind rivet of the sheet', drillIn: 0.165, gripIn: 0.13 };
const ANSWER = {
  referral: ID,
  answer: 'leave it',
  answeredBy: 'Q. Ferrol',
  authority: 'letter 14',
  then: { what: 'leave' }
};

/** Every move whole, each field needed. */
const WHOLE: Record<string, object> = {
  out: { hole: 1, school: 'under-shank', how: 'plain' },
  'still-in': { hole: 1 },
  measured: { hole: 1, widestIn: 0.137, seen: ['dented'] },
  referred: { hole: null, question: 'may it stay?' },
  answered: ANSWER
};

describe('what is sent while a rivet is replaced', () => {
  it('is whole, and nothing more than it', () => {
    for (const [kind, fields] of Object.entries(WHOLE)) {
      expect(takes({ kind, ...fields }), kind).toBe(true);
      expect(takes({ kind, ...fields, sentBy: 'me' }), kind).toBe(false);
      for (const left of Object.keys(fields))
        expect(
          takes({
            kind,
            ...Object.fromEntries(Object.entries(fields).filter(([name]) => name !== left))
          }),
          `${kind} without ${left}`
        ).toBe(false);
    }
  });

  it('says something where something is asked, and what a shop can measure', () => {
    const answered = (change: object) => takes({ kind: 'answered', ...ANSWER, ...change });
    for (const field of ['answer', 'answeredBy', 'authority'])
      for (const said of ['', '   ', 'x'.repeat(601)])
        expect(answered({ [field]: said }), `${field} ${said.length}`).toBe(false);
    expect(takes({ kind: 'referred', hole: 3, question: '  ' })).toBe(false);
    expect(takes({ kind: 'out', ...WHOLE.out, note: 'x'.repeat(201) })).toBe(false);
    for (const change of [{ widestIn: 0 }, { widestIn: 2.1 }, { tooDeepIn: 0.11 }, { hole: 0 }])
      expect(takes({ kind: 'measured', ...WHOLE.measured, ...change })).toBe(false);
    expect(
      ReworkMove.parse({ id: ID, at: '2026-11-28T09:00:00Z', kind: 'out', ...WHOLE.out })
    ).toMatchObject({ note: '' });
    expect(
      ReworkMove.parse({
        id: ID,
        at: '2026-11-28T09:00:00Z',
        kind: 'answered',
        ...ANSWER,
        answer: ' leave it '
      })
    ).toMatchObject({ answer: 'leave it' });
  });

  it('leaves the hole, puts a rivet or a blind fastener in, or nothing', () => {
    const then = (what: object) => takes({ kind: 'answered', ...ANSWER, then: what });
    expect(then({ what: 'nothing' })).toBe(true);
    expect(then({ what: 'nothing', why: 'x' })).toBe(false);
    expect(then({ what: 'leave', why: 'x' })).toBe(false);
    expect(then({ what: 'rivet' })).toBe(false);
    expect(then({ what: 'blind', blind: BLIND })).toBe(true);
    expect(then({ what: 'blind' })).toBe(false);
    expect(then({ what: 'weld' })).toBe(false);
    for (const left of Object.keys(BLIND))
      expect(
        Blind.safeParse(Object.fromEntries(Object.entries(BLIND).filter(([name]) => name !== left)))
          .success,
        left
      ).toBe(false);
    expect(Blind.safeParse({ ...BLIND, fastener: ' ' }).success).toBe(false);
    expect(Blind.safeParse({ ...BLIND, drillIn: 0 }).success).toBe(false);
    expect(Blind.safeParse({ ...BLIND, gripIn: 4.5 }).success).toBe(false);
  });
});
