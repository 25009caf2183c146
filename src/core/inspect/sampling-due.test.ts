import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { samplingDue, type SamplingDueInput } from './sampling-due';

const ORDER = Array.from({ length: 20 }, (_, at) => at + 1);
const ask = (change: Partial<SamplingDueInput>) =>
  resultOf(
    samplingDue({
      order: ORDER,
      plan: { kind: 'first-then-every', first: 3, every: 5 },
      tighten: 2,
      checked: [],
      ...change
    })
  );
const good = (...holes: number[]) => holes.map((hole) => ({ hole, good: true }));
const bad = (...holes: number[]) => holes.map((hole) => ({ hole, good: false }));

describe('which heads are due', () => {
  holdsWorkedCases('sampling-due');

  it('are the first, every so many after them, and the last', () => {
    expect(ask({})).toMatchObject({ due: [1, 2, 3, 8, 13, 18, 20], next: 1, reason: 'plan' });
    expect(ask({ checked: good(1, 2, 3) })).toMatchObject({ next: 8, required: 7, looked: 3 });
  });

  it('lie outwards from a bad one first, until enough in a row are good', () => {
    const one = ask({ checked: [...good(1, 2, 3), ...bad(8)] });
    expect(one).toMatchObject({ due: [7, 9, 13, 18, 20], next: 7, reason: 'near-a-bad-one' });
    expect(one.open).toEqual([8]);
    // two good ones end a walk on either side
    const done = ask({ checked: [...good(1, 2, 3), ...bad(8), ...good(7, 6, 9, 10)] });
    expect(done).toMatchObject({ due: [13, 18, 20], next: 13, reason: 'plan' });
    // replaced and good again, the neighbors of what was bad are still wanted
    expect(ask({ checked: [...good(1, 2, 3), ...bad(8), ...good(8)] })).toMatchObject({
      open: [],
      next: 7
    });
  });

  it('walk past what is not driven yet', () => {
    const driven = ORDER.filter((hole) => hole !== 9);
    const found = ask({ driven, checked: bad(8) });
    expect(found.due).toEqual([1, 2, 3, 7, 10, 13, 18, 20]);
  });

  it('asks for an order without repeats and looks at driven holes of it', () => {
    const asked = { order: [4, 5, 6], plan: { kind: 'all' }, checked: [] };
    for (const [change, path] of [
      [{ order: [] }, 'order'],
      [{ order: [4, 4] }, 'order'],
      [{ checked: bad(7) }, 'checked.0.hole'],
      [{ driven: [9] }, 'driven.0'],
      [{ driven: [4], checked: good(5) }, 'checked.0.hole'],
      [{ tighten: 0 }, 'tighten'],
      [{ plan: { kind: 'first-then-every', first: 1, every: 1 } }, 'plan.every'],
      [{ checked: undefined }, 'checked']
    ] as const)
      expect(calc('sampling-due', { ...asked, ...change })).toMatchObject({
        error: { code: 'invalid-input', path }
      });
  });
});
