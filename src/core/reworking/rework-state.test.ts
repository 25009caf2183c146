import { describe, expect, it } from 'vitest';
import { smallRelease } from '../../../tests/support/small-release.ts';
import { reworkOf } from '../../../tests/support/rework-state.ts';
import {
  asReworked,
  beforeRemoval,
  emptyAt,
  emptyHoles,
  leftAsIs,
  NO_REWORK,
  sinceOf,
  type HoleRework,
  type ReworkState
} from './rework-state';

const RELEASE = smallRelease();
const state = (...holes: HoleRework[]): ReworkState => ({
  ...NO_REWORK,
  holes: new Map(holes.map((one) => [one.hole, one]))
});
const RIVET = {
  dash: 6 as const,
  partNumber: 'MS20470AD6-7',
  lengthIn: 0.4375,
  holeIn: 0.191
};
/** A new rivet of dash 6 from 2000 on, in a hole that stood empty from 1000. */
const replaced = (hole: number, told: Partial<HoleRework> = {}) =>
  reworkOf(hole, { stage: 'ready', outAt: 1000, readyAt: 2000, rivet: RIVET as never, ...told });

describe('a release with what rework has made of it', () => {
  it('has the new rivet from the instant that it is to go in, and the others as they were', () => {
    const at = (ms: number) => asReworked(RELEASE, state(replaced(3)), ms);
    expect(at(1999)).toBe(RELEASE);
    const now = at(2000);
    const hole = now.holes.find(({ number }) => number === 3);
    expect(hole?.dash).toBe(6);
    expect(now.facts.stacks[hole?.stack ?? -1]).toMatchObject(RIVET);
    // of a release made when a joint had one stack: that one, and the new one behind it
    expect(now.facts.stacks).toHaveLength(2);
    expect(now.facts.stacks[0]).toMatchObject({ dash: 5, partNumber: 'MS20470AD5-6', name: '' });
    expect(now.holes.filter(({ number }) => number !== 3)).toEqual(
      RELEASE.holes.filter(({ number }) => number !== 3)
    );
    expect(now.heldOpen).toEqual(RELEASE.heldOpen);
  });

  it('has its own stacks where it has some', () => {
    const stack = { ...RIVET, name: 'the far half', dimpledThrough: true, raisedIn: 0, wideIn3: 0 };
    const own = { ...RELEASE, facts: { ...RELEASE.facts, stacks: [stack] } };
    const { facts } = asReworked(own, state(replaced(3)));
    expect(facts.stacks).toEqual([stack, { ...stack, ...RIVET }]);
    // a hole of a stack that it has not stays as it is
    const lost = { ...own, holes: own.holes.map((hole) => ({ ...hole, stack: 4 })) };
    expect(asReworked(lost, state(replaced(3))).holes).toEqual(lost.holes);
  });

  it('has no rivet where a blind fastener went in, and is as it was before while nothing is decided', () => {
    const blind = reworkOf(3, { readyAt: 2000, blind: { fastener: 'blind, 5/32' } as never });
    const now = asReworked(RELEASE, state(blind));
    expect(now.holes.map(({ number }) => number)).not.toContain(3);
    expect(now.heldOpen.slice(-1)).toMatchObject([{ number: 3, reason: 'blind, 5/32' }]);
    expect(now.heldOpen).toHaveLength(RELEASE.heldOpen.length + 1);
    // the same size again, or nothing decided
    expect(asReworked(RELEASE, state(reworkOf(3, { readyAt: 2000 })))).toBe(RELEASE);
    // out again: what went in after the first time stands until the second is decided
    const again = reworkOf(3, { outs: 2, outAt: 3000, before: replaced(3) });
    expect(asReworked(RELEASE, state(again)).holes.find(({ number }) => number === 3)?.dash).toBe(
      6
    );
    expect(beforeRemoval(RELEASE, state(again), 3).hole?.dash).toBe(6);
    expect(beforeRemoval(RELEASE, state(replaced(3)), 3).hole?.dash).toBe(5);
    expect(beforeRemoval(RELEASE, NO_REWORK, 3).hole?.dash).toBe(5);
    expect(beforeRemoval(RELEASE, NO_REWORK, 99).hole).toBeUndefined();
  });
});

describe('a hole whose rivet came out', () => {
  it('is empty after that instant, until the next one may go in', () => {
    const was = (ms: number) => emptyAt(state(replaced(3)), 3, ms);
    expect([1000, 1001, 1999, 2000].map(was)).toEqual([false, true, true, false]);
    expect(emptyAt(state(reworkOf(3, { outAt: 1000 })), 3, 9e12)).toBe(true);
    expect(emptyAt(state(reworkOf(3)), 3, 9e12)).toBe(false);
    expect(emptyAt(NO_REWORK, 3, 9e12)).toBe(false);
  });

  it('has taps since the next one may go in, never before it, and all of them where none came out', () => {
    expect([
      ...sinceOf(state(replaced(3), reworkOf(4, { outAt: 5 }), reworkOf(5, { readyAt: 9 })))
    ]).toEqual([
      [3, 2000],
      [4, Infinity]
    ]);
  });

  it('counts as empty while it is out or asked about', () => {
    const stages = (['out', 'ask', 'ready', 'blind', 'left'] as const).map((stage, at) =>
      reworkOf(at + 1, { stage })
    );
    expect([...emptyHoles(state(...stages))]).toEqual([1, 2]);
  });

  it('stays as it is on the data holder’s word, for what was found up to then', () => {
    const answered = Date.parse('2031-05-02T09:00:00Z');
    const left = state(
      reworkOf(3, { stage: 'left', leftAt: answered }),
      reworkOf(4, { stage: 'ask', leftAt: answered }),
      reworkOf(5, { stage: 'left' })
    );
    const bad = (at: string | null) => [...leftAsIs(left, () => at)];
    expect(bad('2031-05-02T09:00:00Z')).toEqual([3]);
    expect(bad('2031-05-02T09:00:01Z')).toEqual([]);
    expect(bad(null)).toEqual([3, 5]);
  });
});
