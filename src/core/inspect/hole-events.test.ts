import { describe, expect, it } from 'vitest';
import type { ReleasedFacts, ReleasedHole } from '../release/release';
import {
  comesTo,
  headsInD,
  holeStates,
  isDrivenSince,
  lastBadAt,
  holeStream,
  isMeasured,
  lastShares,
  verdictNow,
  type HoleEvent
} from './hole-events';
import { CheckedHead } from './hole-look';

const event = (
  hole: number,
  diameterIn: number,
  verdict: 'accept' | 'drive-more' | 'replace'
): HoleEvent => ({
  id: `00000000-0000-4000-8000-0000000000${hole}${verdict === 'accept' ? 1 : 2}`,
  kind: 'checked',
  hole,
  at: '2026-03-04T10:00:00Z',
  diameterIn,
  heightIn: 0.06,
  flags: [],
  by: 'Ilse',
  frozen: {
    verdict,
    findings: [],
    diameterD: diameterIn / 0.125,
    heightD: 0.48,
    cannotTell: [],
    seat: null
  }
});

describe('where the holes stand', () => {
  const states = () =>
    holeStates(
      [1, 2, 3],
      [event(1, 0.16, 'drive-more'), event(2, 0.18, 'accept'), event(1, 0.19, 'accept')]
    );

  it('lets the worst look govern and remembers how often it was looked at', () => {
    expect(states().get(1)).toMatchObject({
      looks: 2,
      last: { diameterIn: 0.19 },
      standing: { verdict: 'drive-more', decisive: { diameterIn: 0.16 } }
    });
    expect(states().get(3)).toMatchObject({ last: null, looks: 0, standing: null, expired: false });
  });

  it('begins anew with each blow, and leaves a look out that was false', () => {
    const at = (
      time: string,
      diameterIn: number,
      verdict: 'accept' | 'drive-more' | 'replace'
    ) => ({
      ...event(1, diameterIn, verdict),
      id: `${time} ${diameterIn}`,
      at: `2026-03-04T${time}:00Z`
    });
    const looks = [at('10:00', 0.16, 'drive-more'), at('10:10', 0.19, 'accept')];
    const now = (about: Parameters<typeof holeStates>[2], these: HoleEvent[] = looks) => {
      const state = holeStates([1], these, about).get(1);
      return state ? [verdictNow(state), isDrivenSince(state), state.counted.length] : [];
    };
    const hit = (time: string) => ({ hitAt: new Map([[1, Date.parse(`2026-03-04T${time}:00Z`)]]) });
    expect(now({})).toEqual(['drive-more', false, 2]);
    expect(now(hit('10:05'))).toEqual(['accept', false, 1]);
    // of one instant the blow came first
    expect(now(hit('10:10'))).toEqual(['accept', false, 1]);
    // driven since: it is looked at again, and what no blow mends stays in sight
    expect(now(hit('10:20'))).toEqual(['measure', true, 0]);
    expect(now(hit('10:20'), [at('10:00', 0.3, 'replace')])).toEqual(['replace', true, 0]);
    expect(now({ voided: new Set(['10:00 0.16']) })).toEqual(['accept', false, 1]);
    // where nobody logs driving whoever looks says that it was driven on
    const on = [looks[0], { ...looks[1], drivenOn: true }] as HoleEvent[];
    expect(now({}, on)).toEqual(['accept', false, 1]);
    // a logged blow is no word of anybody's
    expect(now(hit('09:50'), on)).toEqual(['drive-more', false, 2]);
  });

  it('is left on the data holder’s word until something else is found', () => {
    const good = { ...event(1, 0.19, 'accept'), at: '2026-03-04T11:00:00Z' };
    const bad = event(1, 0.3, 'replace');
    expect(lastBadAt(holeStates([1], [bad, good]).get(1))).toBe(bad.at);
    expect(lastBadAt(holeStates([1], [good]).get(1))).toBeNull();
    expect(lastBadAt(undefined)).toBeNull();
  });

  it('holds the latest readings against what each hole predicts', () => {
    const facts = {
      predictedIn3: 0.002,
      stacks: []
    } as unknown as ReleasedFacts;
    const holes = [1, 3].map((number) => ({ number, stack: 0, gripIn: null }) as ReleasedHole);
    const shares = lastShares(states(), holes, facts);
    expect(shares).toHaveLength(1);
    expect(shares[0]).toBeCloseTo(((Math.PI / 4) * 0.19 ** 2 * 0.06) / 0.002, 12);
  });
});

describe('the order of looks', () => {
  const at = (hours: string, diameterIn: number): HoleEvent => ({
    ...event(1, diameterIn, 'accept'),
    id: `${hours} ${diameterIn}`,
    at: `2026-03-04T${hours}:00Z`
  });
  const lastOf = (...events: HoleEvent[]) => holeStates([1], events).get(1);

  it('is that of measuring, whenever it was sent', () => {
    expect(lastOf(at('10:00', 0.16), at('09:00', 0.2))).toMatchObject({
      looks: 2,
      last: { diameterIn: 0.16 }
    });
    expect(lastOf(at('09:00', 0.2), at('10:00', 0.16))?.last).toMatchObject({ diameterIn: 0.16 });
    // of one instant the one recorded later
    expect(lastOf(at('09:00', 0.2), at('09:00', 0.16))?.last).toMatchObject({ diameterIn: 0.16 });
  });

  it('goes on from where it stood, and leaves holes of others alone', () => {
    const before = holeStates([1, 2], [at('10:00', 0.16)]);
    const after = holeStates([1, 2], [at('09:00', 0.2), { ...at('11:00', 0.3), hole: 9 }], {
      from: before
    });
    expect(after.get(1)).toMatchObject({ hole: 1, looks: 2, last: { diameterIn: 0.16 } });
    expect(after.get(2)).toMatchObject({ hole: 2, last: null, looks: 0, expired: false });
    expect([...after.keys()]).toEqual([1, 2]);
  });
});

describe('a rivet driven after its batch had expired', () => {
  const tooHard = new Set([1, 3]);
  const states = (from?: ReturnType<typeof holeStates>) =>
    holeStates([1, 2, 3], [event(1, 0.19, 'accept')], {
      ...(from ? { from } : {}),
      expired: tooHard
    });

  it('is replaced whatever its head measures, looked at or not', () => {
    const now = [...states().values()].map(verdictNow);
    expect(now).toEqual(['replace', null, 'replace']);
    for (const verdict of ['accept', 'measure', 'drive-more', 'replace'] as const)
      expect(comesTo(verdict, true)).toBe('replace');
    // the sheet is hurt too: that is more than a rivet
    expect(comesTo('refer', true)).toBe('refer');
    // a lead has decided to ask first
    expect(comesTo('accept', true, true)).toBe('refer');
    expect(comesTo('accept', false, true)).toBe('accept');
    for (const verdict of ['accept', 'measure', 'drive-more', 'replace', 'refer', null] as const)
      expect(comesTo(verdict, false)).toBe(verdict);
  });

  it('is none once it is out, though it was when one looked before', () => {
    const after = holeStates([1, 2, 3], [], { from: states() });
    expect([...after.values()].map(({ expired }) => expired)).toEqual([false, false, false]);
    expect(after.get(1)?.looks).toBe(1);
  });

  it('is told by driving to whoever projects the looks', () => {
    const facts = {
      limits: 'standard',
      predictedIn3: 0.002,
      stacks: []
    } as unknown as ReleasedFacts;
    const holes = [1, 2, 3].map((number) => ({ number }) as ReleasedHole);
    const told = holeStream.project({ facts, holes, heldOpen: [], expired: tooHard }, []);
    expect([...told.values()].map(({ expired }) => expired)).toEqual([true, false, true]);
  });
});

describe('what may follow on a release', () => {
  const asReleased = {
    facts: { limits: 'standard', predictedIn3: 0.002, stacks: [] } as unknown as ReleasedFacts,
    holes: [
      { number: 1, dash: 4 },
      { number: 2, dash: 5 }
    ] as ReleasedHole[],
    heldOpen: [{ number: 3, dash: 4, reason: 'latch' }] as (ReleasedHole & { reason: string })[]
  };
  const move = (hole: number, diameterIn: number, heightIn: number) =>
    CheckedHead.parse({
      id: '00000000-0000-4000-8000-000000000009',
      at: '2026-03-04T10:00:00Z',
      kind: 'checked',
      hole,
      diameterIn,
      heightIn,
      flags: []
    });
  const follow = (hole: number, diameterIn = 0.188, heightIn = 0.0625) =>
    holeStream.follow(asReleased, holeStates([1, 2], []), move(hole, diameterIn, heightIn));

  it('is a head of one of its riveted holes, judged by that hole’s own size', () => {
    expect(follow(1)).toMatchObject({ ok: true, result: { verdict: 'accept' } });
    // 0.188 over 5/32 is 1.2 D, 0.0625 is 0.4 D
    expect(follow(2)).toMatchObject({
      ok: true,
      result: { verdict: 'replace', findings: ['short-of-metal'] }
    });
  });

  it('is by somebody else than its driver, where the shop’s rule says so', () => {
    const ILSE = '00000000-0000-4000-8000-0000000000aa';
    const by = (person: string, checking: 'another' | 'anyone') =>
      holeStream.follow(
        {
          ...asReleased,
          facts: { ...asReleased.facts, rules: { checking } } as ReleasedFacts,
          people: new Map([[1, [ILSE]]])
        },
        holeStates([1, 2], []),
        { ...move(1, 0.188, 0.0625), person }
      );
    expect(by(ILSE, 'anyone').ok).toBe(true);
    expect(by('00000000-0000-4000-8000-0000000000bb', 'another').ok).toBe(true);
    expect(by(ILSE, 'another')).toMatchObject({
      ok: false,
      error: { said: { code: 'checks-own-work', hole: 1 } }
    });
  });

  it('is none of a hole held open, of no hole, or of a slipped figure', () => {
    expect(follow(3)).toMatchObject({
      ok: false,
      error: { path: 'hole', said: { code: 'held-open', hole: 3, reason: 'latch' } }
    });
    expect(follow(7)).toMatchObject({
      ok: false,
      error: { said: { code: 'no-such-hole', hole: 7 } }
    });
    expect(follow(1, 1.88)).toMatchObject({ ok: false, error: { path: 'diameterIn' } });
  });

  it('comes to the state of its riveted holes', () => {
    const states = holeStream.project(asReleased, [event(2, 0.2, 'accept')]);
    expect([...states].map(([hole, { looks }]) => [hole, looks])).toEqual([
      [1, 0],
      [2, 1]
    ]);
  });
});

describe('a head that passes on a condition', () => {
  const release = {
    facts: { limits: 'standard' },
    holes: [{ number: 4, dash: 5 }],
    heldOpen: []
  } as unknown as Parameters<typeof holeStream.follow>[0];
  // over 5/32 it is 1.93 D wide and 0.50 D high: a little long
  const long = {
    id: '00000000-0000-4000-8000-000000000009',
    at: '2026-03-04T10:00:00Z',
    kind: 'checked',
    hole: 4,
    diameterIn: 0.302,
    heightIn: 0.078,
    flags: []
  } as const;
  const follow = (change: object) =>
    holeStream.follow(release, new Map(), CheckedHead.parse({ ...long, ...change }));

  it.each([
    [{}, false],
    [{ looked: [] }, false],
    [{ looked: ['straight'] }, false],
    [{ looked: ['flat'] }, false],
    [{ looked: ['straight', 'straight'] }, false],
    [{ looked: ['flat', 'straight'] }, true],
    // a plain good one asks nothing, one that must come out neither
    [{ diameterIn: 0.234 }, true],
    [{ diameterIn: 0.33 }, true]
  ])('is recorded once it was inspected: %j', (change, expected) => {
    const answer = follow(change);
    expect(answer.ok).toBe(expected);
    if (!answer.ok)
      expect(answer.error).toMatchObject({ path: 'looked', said: { code: 'look-first', hole: 4 } });
  });
});

describe('heads as charts show them', () => {
  const gauged = (diameterD: number | null, heightD: number | null): HoleEvent => ({
    ...event(2, 0.19, 'accept'),
    kind: 'gauged',
    plate: { name: 'brass', headHoleIn: 0.2, notchIn: 0.06, upperHoleIn: null, upperNotchIn: null },
    fitsOver: true,
    touchesSheet: true,
    upperFits: null,
    upperTouches: null,
    person: 'tomas',
    frozen: { verdict: 'accept', findings: [], diameterD, heightD, cannotTell: [], seat: null }
  });

  it('are those with both figures, each with whose they are', () => {
    const measured = event(1, 0.19, 'drive-more');
    expect(headsInD([measured, gauged(1.5, null), gauged(null, 0.5), gauged(null, null)])).toEqual([
      {
        id: measured.id,
        hole: 1,
        by: 'Ilse',
        person: undefined,
        at: '2026-03-04T10:00:00Z',
        verdict: 'drive-more',
        diameterD: 1.52,
        heightD: 0.48
      }
    ]);
    expect(headsInD([gauged(1.5, 0.5)])).toMatchObject([{ hole: 2, person: 'tomas' }]);
  });

  it('were measured only where figures were taken', () => {
    expect(isMeasured(event(1, 0.19, 'accept'))).toBe(true);
    expect(isMeasured(gauged(null, null))).toBe(false);
    // of a plate, and of a hole that predicts nothing, there is no share
    const facts = { predictedIn3: null, stacks: [] } as unknown as ReleasedFacts;
    const holes = [1, 2, 9].map((number) => ({ number, stack: 0, gripIn: null }) as ReleasedHole);
    const states = holeStates([1, 2], [event(1, 0.19, 'accept'), gauged(1.5, 0.5)]);
    expect(lastShares(states, holes, facts)).toEqual([]);
    expect(
      lastShares(states, holes, { predictedIn3: 0.002, stacks: [] } as unknown as ReleasedFacts)
    ).toHaveLength(1);
  });

  it('are of the rivet that is in from the instant on that it could go in', () => {
    const at = Date.parse('2026-03-04T10:00:00Z');
    const lastOf = (since: number) =>
      holeStates([1], [event(1, 0.19, 'accept')], { since: new Map([[1, since]]) }).get(1);
    expect(lastOf(at)?.last?.hole).toBe(1);
    expect(lastOf(at + 1)).toMatchObject({ last: null, looks: 1 });
  });
});
