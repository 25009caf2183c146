import { describe, expect, it } from 'vitest';
import type { Objection } from '$core/driving/objections.ts';
import { AskedEarlier } from './asked-earlier.svelte';
import { AskedFirst } from './asked-first.svelte';

const STEPS: Objection = { code: 'steps', done: 3, of: 12 };
const NO_WAY: Objection = { code: 'no-way', part: 'MS20470AD4-5' };

describe('what is answered before a rivet is logged', () => {
  function made() {
    const answered = new Map<string, unknown>();
    const taken = { value: true };
    const first = new AskedFirst(
      () => answered,
      (key, given) => {
        if (taken.value) answered.set(key, given);
        return taken.value;
      }
    );
    const logged: string[] = [];
    return { answered, taken, first, logged, log: () => logged.push('rivet') };
  }

  it('is nothing where all is met and the safety text was read', () => {
    const { first, log } = made();
    expect(first.ask(log)).toBe(false);
    expect(first.pending).toBeNull();
  });

  it('is the safety text, once a day, though all is met', () => {
    const { first, log, logged } = made();
    first.safetyRead = () => false;
    expect(first.ask(log)).toBe(true);
    first.answer(new Map());
    expect(logged).toEqual(['rivet']);
    expect(first.pending).toBeNull();
  });

  it('is every requirement that is not met, and the rivet is logged only after all have an answer', () => {
    const { first, answered, logged, log } = made();
    first.objections = () => [STEPS, NO_WAY];
    expect(first.ask(log)).toBe(true);
    first.answer(new Map([['steps', { answer: 'done' as const, why: '' }]]));
    // the second is still open: nothing is logged
    expect(logged).toEqual([]);
    expect(first.pending).not.toBeNull();
    first.answer(
      new Map([
        ['steps', { answer: 'done' as const, why: '' }],
        ['no-way MS20470AD4-5', { answer: 'reason' as const, why: 'lead agreed' }]
      ])
    );
    expect(logged).toEqual(['rivet']);
    expect([...answered.keys()]).toEqual(['steps', 'no-way MS20470AD4-5']);
  });

  it('logs no rivet where an answer was not taken', () => {
    const { first, taken, logged, log } = made();
    first.objections = () => [STEPS];
    taken.value = false;
    expect(first.ask(log)).toBe(true);
    first.answer(new Map([['steps', { answer: 'not-needed' as const, why: '' }]]));
    expect(logged).toEqual([]);
  });
});

describe('a rivet whose head is inspected already', () => {
  it('is asked about, once, with the earliest time of all the holes', () => {
    const earlier = new AskedEarlier(
      (hole) => hole === 3,
      (hole) => 1000 * hole
    );
    earlier.lookedAt = () => new Map([1, 2, 3].map((hole) => [hole, '2031-05-02T09:00:00Z']));
    const logged: (string | null)[] = [];
    const go = (stated: string | null) => void logged.push(stated);
    // 3 is logged, 4 not inspected
    expect(earlier.ask([3, 4], go)).toBe(false);
    expect(earlier.ask([1, 2, 3, 4], go)).toBe(true);
    expect(earlier.asked?.holes).toEqual([1, 2]);
    expect(earlier.earliestMs([1, 2])).toBe(2000);
    earlier.answer('2031-05-02T08:50:00Z');
    expect(logged).toEqual(['2031-05-02T08:50:00Z']);
    expect(earlier.asked).toBeNull();
    earlier.answer(null);
    expect(logged).toHaveLength(1);
  });
});
