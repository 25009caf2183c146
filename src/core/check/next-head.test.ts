import { describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE } from '../rules/profile';
import { holeStates, type HoleEvent } from './hole-events';
import type { LookVerdict } from './findings';
import { headAfter, nextHead, type HeadsToLookAt } from './next-head';

const MINUTE = 60_000;
const BEGAN = Date.parse('2031-05-02T08:00:00Z');
const at = (minutes: number) => new Date(BEGAN + minutes * MINUTE).toISOString();
let made = 0;
const look = (hole: number, minutes: number, verdict: LookVerdict): HoleEvent => ({
  id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
  kind: 'checked',
  hole,
  at: at(minutes),
  diameterIn: 0.19,
  heightIn: 0.062,
  flags: [],
  by: 'Ilse',
  frozen: { verdict, findings: [], diameterD: 1.52, heightD: 0.496, cannotTell: [] }
});
/** driven in this order, a minute apart */
const ORDER = [5, 3, 6, 2, 7, 1, 8, 4];
const HIT = new Map(ORDER.map((hole, place) => [hole, BEGAN + place * MINUTE]));
const next = (
  events: HoleEvent[],
  changes: Partial<HeadsToLookAt> = {},
  since = new Map<number, number>()
) =>
  nextHead({
    order: ORDER,
    hitAt: HIT,
    events,
    states: holeStates(ORDER, events, new Map(), since),
    left: new Set(),
    empty: new Set(),
    rules: DEFAULT_PROFILE,
    ...changes
  });

describe('the head that comes next', () => {
  it('is the first in the order driven', () => {
    expect(next([])).toMatchObject({ next: 5, reason: 'plan', required: 8, looked: 0 });
    expect(next([look(5, 20, 'accept')])).toMatchObject({ next: 3, looked: 1 });
  });

  it('is beside a bad one before it is by the plan', () => {
    const found = next([look(5, 20, 'accept'), look(7, 21, 'replace')]);
    // outwards from 7 both ways: 2 before it, then 1 after it
    expect(found).toMatchObject({ next: 2, reason: 'near-a-bad-one', near: 7, open: [7] });
  });

  it('is one that the last look did not tell, one hit since, one that is new', () => {
    expect(next([look(6, 20, 'measure')])).toMatchObject({ next: 6, reason: 'again-measure' });
    const more = new Map([...HIT, [6, BEGAN + 30 * MINUTE]]);
    expect(next([look(6, 20, 'drive-more')], { hitAt: more })).toMatchObject({
      next: 6,
      reason: 'again-driven',
      open: []
    });
    // its rivet was taken out after the look, and another driven in
    expect(
      next([look(6, 20, 'replace')], { hitAt: more }, new Map([[6, BEGAN + 25 * MINUTE]]))
    ).toMatchObject({
      next: 6,
      reason: 'again-replaced'
    });
  });

  it('is none that is not driven, except where nobody logs driving', () => {
    const first = new Map([[5, BEGAN]]);
    expect(next([], { hitAt: first }).due).toEqual([5]);
    // in which order they were driven nobody knows: along the row
    expect(next([], { hitAt: new Map() }).due).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  });

  it('is no empty hole, also where nobody logs driving', () => {
    const since = new Map([[6, Infinity]]);
    const events = [look(6, 20, 'replace')];
    const nobody = { hitAt: new Map<number, number>() };
    expect(next(events, { ...nobody, empty: new Set([6]) }, since).due).not.toContain(6);
    expect(next(events, nobody, new Map([[6, BEGAN + 25 * MINUTE]])).next).toBe(6);
  });

  it('leaves out what stays on the data holder’s word', () => {
    expect(next([look(7, 21, 'refer')], { left: new Set([7]) }).open).toEqual([]);
  });

  it('goes by the shop’s sampling', () => {
    const rules = {
      ...DEFAULT_PROFILE,
      sampling: 'first-then-every',
      sampleFirst: 2,
      sampleEvery: 3
    } as const;
    // places 0 and 1, then every third after: 4 and 7, which is the last
    expect(next([], { rules }).due).toEqual([5, 3, 7, 4]);
  });
});

describe('the head to go on to', () => {
  const any = () => true;
  const due = { next: 1, reason: 'plan', due: [1, 3, 4] } as const;
  const after = (here: number, of: object = {}, free: (hole: number) => boolean = any) =>
    headAfter({ ...due, due: [...due.due], ...of }, [1, 2, 3, 4], here, free);

  it('is the next one along, and round at the end', () => {
    expect([after(2), after(3), after(4)]).toEqual([3, 4, 1]);
    expect(after(2, {}, (hole) => hole !== 3)).toBe(4);
    expect(after(2, { next: null, due: [] })).toBeNull();
  });

  it('is what is urgent before that', () => {
    expect(after(2, { next: 1, reason: 'near-a-bad-one' })).toBe(1);
    // it is looked at just now
    expect(after(1, { next: 1, reason: 'again-measure' })).toBe(3);
  });
});
