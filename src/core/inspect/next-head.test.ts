import { describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE } from '../rules/profile';
import { holeStates, type HoleEvent, type RivetsNow } from './hole-events';
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
  frozen: {
    verdict,
    findings: [],
    diameterD: 1.52,
    heightD: 0.496,
    cannotTell: verdict === 'measure' ? ['within-uncertainty'] : [],
    seat: null
  }
});
/** driven in this order, a minute apart */
const ORDER = [5, 3, 6, 2, 7, 1, 8, 4];
const HIT = new Map(ORDER.map((hole, place) => [hole, BEGAN + place * MINUTE]));
const next = (
  events: HoleEvent[],
  changes: Partial<HeadsToLookAt> = {},
  now: Partial<RivetsNow> = {}
) =>
  nextHead({
    order: ORDER,
    hitAt: HIT,
    logged: (changes.hitAt ?? HIT).size > 0,
    events,
    states: holeStates(ORDER, events, { hitAt: changes.hitAt ?? HIT, ...now }),
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

  it('is never in an empty hole, and never counted as looked at where it is due', () => {
    // 2 was bad and came out; its neighbor 6 is next, not the hole
    const events = [look(2, 20, 'replace')];
    const out = new Map([[2, Infinity]]);
    const found = next(events, { empty: new Set([2, 6]) }, { since: out });
    expect(found).toMatchObject({ next: 7, reason: 'near-a-bad-one', near: 2 });
    expect(found.due).not.toContain(6);
    expect(found.due).not.toContain(2);
    // a shop that samples: 4 is wanted by nobody, was bad, came out and was driven anew
    const rules = { ...DEFAULT_PROFILE, sampling: 'first-then-every', tighten: 1 } as never;
    const anew = next(
      [look(4, 20, 'replace')],
      { rules, hitAt: new Map([...HIT, [4, BEGAN + 30 * MINUTE]]) },
      { since: new Map([[4, BEGAN + 25 * MINUTE]]) }
    );
    expect(anew.due).toContain(4);
    expect(anew.looked).toBe(0);
  });

  it('is beside a bad one before it is by the plan', () => {
    const found = next([look(5, 20, 'accept'), look(7, 21, 'replace')]);
    // outwards from 7 both ways: 2 before it, then 1 after it
    expect(found).toMatchObject({ next: 2, reason: 'near-a-bad-one', near: 7, open: [7] });
  });

  it('is bad where its batch had expired, though it measures good or nobody looked; its neighbors come next', () => {
    const events = [look(5, 20, 'accept'), look(7, 21, 'accept')];
    const states = holeStates(ORDER, events, { expired: new Set([7, 4]) });
    expect(next(events, { states })).toMatchObject({
      next: 2,
      reason: 'near-a-bad-one',
      near: 7,
      open: [7, 4]
    });
    // on the data holder’s word it stays
    expect(next(events, { states, left: new Set([7, 4]) }).open).toEqual([]);
    // more blows make no softer metal
    const hitAt = new Map([...HIT, [7, BEGAN + 30 * MINUTE]]);
    expect(next(events, { states, hitAt }).open).toEqual([7, 4]);
    // as long as nobody logs its new rivet there is nothing of the old one
    expect(next(events).open).toEqual([]);
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
      next(
        [look(6, 20, 'replace')],
        { hitAt: more },
        { since: new Map([[6, BEGAN + 25 * MINUTE]]) }
      )
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
    expect(next(events, { ...nobody, empty: new Set([6]) }, { since }).due).not.toContain(6);
    expect(next(events, nobody, { since: new Map([[6, BEGAN + 25 * MINUTE]]) }).next).toBe(6);
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

describe('the count of heads', () => {
  it('is of what the plan asks for, in the order driven, with its arithmetic', () => {
    const found = next([look(5, 20, 'accept'), look(3, 21, 'accept')]);
    expect(found).toMatchObject({ required: 8, looked: 2, near: null, open: [] });
    expect(found.due).toEqual([6, 2, 7, 1, 8, 4]);
    expect(found.order).toEqual(ORDER);
    expect(found.work.length).toBeGreaterThan(0);
  });

  it('is of nothing where there is nothing to look at', () => {
    expect(next([], { order: [], states: new Map() })).toMatchObject({
      next: null,
      reason: null,
      near: null,
      due: [],
      required: 0,
      looked: 0,
      open: [],
      work: []
    });
  });

  it('leaves out heads of holes that are not there, and what a look did not tell', () => {
    expect(next([look(99, 20, 'replace')])).toMatchObject({ reason: 'plan', open: [], looked: 0 });
    // it is due again, and as long as nobody knows it counts neither as good nor as bad
    const untold = next([look(6, 20, 'measure')]);
    expect(untold.due).toEqual([6, 5, 3, 2, 7, 1, 8, 4]);
    expect(untold).toMatchObject({ looked: 0, open: [] });
  });

  it('takes back what was looked at and is due again, each once', () => {
    const more = new Map([...HIT, [6, BEGAN + 30 * MINUTE]]);
    const found = next([look(6, 20, 'accept'), look(5, 21, 'accept')], { hitAt: more });
    expect(found).toMatchObject({ next: 6, reason: 'again-driven', looked: 1 });
    expect(found.due).toEqual([6, 3, 2, 7, 1, 8, 4]);
    // looked at after the last blow, in the same instant too
    expect(next([look(6, 30, 'accept')], { hitAt: more })).toMatchObject({ looked: 1, next: 5 });
  });

  it('puts what is due again in the order driven', () => {
    const found = next([look(8, 20, 'measure'), look(3, 21, 'measure'), look(5, 22, 'accept')]);
    expect(found.due.slice(0, 2)).toEqual([3, 8]);
    expect(found.next).toBe(3);
  });

  it('has open what is bad as it stands: not what is left, due again, or not told', () => {
    const bad = [look(7, 20, 'refer'), look(2, 21, 'drive-more'), look(1, 22, 'replace')];
    expect(next(bad).open).toEqual([2, 7, 1]);
    expect(next(bad, { left: new Set([7]) }).open).toEqual([2, 1]);
    const more = new Map([...HIT, [2, BEGAN + 30 * MINUTE]]);
    expect(next(bad, { hitAt: more }).open).toEqual([7, 1]);
    // the worst look governs, also one that came before a good one
    expect(next([...bad, look(7, 23, 'accept')]).open).toEqual([2, 7, 1]);
    expect(next([look(4, 20, 'measure')]).open).toEqual([]);
  });

  it('is the same in whatever order looks came in, and forgets one that was false', () => {
    const [bad, good] = [look(7, 20, 'replace'), look(7, 25, 'accept')];
    expect(next([good, bad]).open).toEqual([7]);
    expect(next([bad, good]).open).toEqual([7]);
    const voided = { voided: new Set([bad.id]) };
    expect(next([bad, good], {}, voided)).toMatchObject({ open: [], looked: 1 });
    // with it all is gone that was known of the head: it is looked at again, and nothing is near a bad one
    expect(next([bad], {}, voided)).toMatchObject({ next: 7, reason: 'again-measure', open: [] });
  });

  it('wants a head as long as its inspection is not complete, by the plan alone, and says what is missing', () => {
    const asked = new Map(ORDER.map((hole) => [hole, ['shop', 'manufactured', 'sheet'] as const]));
    const half = next([look(5, 20, 'accept'), look(4, 21, 'accept')], {}, { asked });
    // one that nobody has looked at comes first: the other side is often done later
    expect(half).toMatchObject({ next: 3, reason: 'plan', missing: [], looked: 0 });
    expect(half.due).toEqual([5, 3, 6, 2, 7, 1, 8, 4]);
    const rest: HoleEvent = {
      ...look(5, 22, 'measure'),
      kind: 'eyed',
      clean: ['manufactured', 'sheet']
    } as HoleEvent;
    expect(next([look(5, 20, 'accept'), rest], {}, { asked })).toMatchObject({
      next: 3,
      missing: [],
      looked: 1
    });
    // where the plan does not want it nothing is due: whoever signs is told
    const rules = {
      ...DEFAULT_PROFILE,
      sampling: 'first-then-every',
      sampleFirst: 1,
      sampleEvery: 7
    } as const;
    expect(next([look(6, 20, 'accept')], { rules }, { asked }).due).not.toContain(6);
    // and a head that is half looked at ends no walk from a bad one; the other side of it comes later
    const near = next([look(7, 20, 'replace'), look(2, 21, 'accept')], {}, { asked });
    expect([near.next, near.reason, near.due.includes(2)]).toEqual([1, 'near-a-bad-one', true]);
    const halves = [5, 3, 6, 2, 1, 8, 4].map((hole, at) => look(hole, 22 + at, 'accept'));
    expect(next([look(7, 20, 'replace'), ...halves], {}, { asked })).toMatchObject({
      next: 2,
      reason: 'near-a-bad-one',
      missing: ['manufactured', 'sheet']
    });
  });

  it('names the bad head that is nearest along the order driven', () => {
    const good = [5, 3, 2].map((hole, place) => look(hole, 20 + place, 'accept'));
    const found = next([...good, look(7, 30, 'replace'), look(4, 31, 'replace')]);
    expect(found).toMatchObject({ reason: 'near-a-bad-one' });
    expect(found.next === null ? null : [found.next, found.near]).toEqual([6, 7]);
    const all = [5, 3, 6, 2, 1].map((hole, place) => look(hole, 20 + place, 'accept'));
    // 8 lies beside 4, two places from 7
    const last = next([...all, look(7, 30, 'replace'), look(4, 31, 'replace')]);
    expect([last.next, last.near]).toEqual([8, 4]);
  });

  it('a hole whose rivet is out is due again only once another is in', () => {
    const since = new Map([[6, BEGAN + 25 * MINUTE]]);
    const events = [look(6, 20, 'replace')];
    const out = new Map(HIT);
    out.delete(6);
    expect(next(events, { hitAt: out }, { since }).due).not.toContain(6);
    expect(next(events, { left: new Set([6]) }, { since }).next).not.toBe(6);
  });

  it('of a release without its rules is every head', () => {
    expect(next([], { rules: null })).toMatchObject({ required: 8 });
    const few = {
      ...DEFAULT_PROFILE,
      sampling: 'first-then-every',
      sampleFirst: 1,
      sampleEvery: 4
    };
    expect(next([], { rules: few as never }).required).toBeLessThan(8);
  });

  it('where nobody logs driving a head that was looked at is one that was driven', () => {
    const nobody = { hitAt: new Map<number, number>() };
    expect(next([look(3, 20, 'accept')], nobody)).toMatchObject({ looked: 1, next: 1 });
    expect(next([look(3, 20, 'accept')], nobody).order).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    // logged of one hole only: another is there because it was looked at
    const one = { hitAt: new Map([[5, BEGAN]]) };
    expect(next([look(8, 20, 'replace')], one)).toMatchObject({ open: [8] });
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
