import { describe, expect, it } from 'vitest';
import { operationTime } from './operations';
import { readyProgress as progressOf, stepStream, type ReadyEvent } from './progress';
import type { ReadyStep } from './step-list';

const step = (key: string, count: number, minutes: number, holes: number[] = []): ReadyStep => ({
  key,
  said: { op: 'pilot', drill: '#40', diameterIn: 0.098 },
  count,
  unit: 'holes',
  hazard: null,
  minutes,
  holes,
  rests: {
    whole: `${key} as it is`,
    holes: new Map(holes.map((hole) => [hole, `place of ${hole}`]))
  },
  cageRests: null,
  work: []
});
const STEPS = [step('pilot', 4, 8, [1, 2, 3, 4]), step('clean', 2, 3), step('prime', 2, 5)];
let made = 0;
const tick = (of: string, hole: number | null, done = true, count = 4, rests = ''): ReadyEvent => ({
  id: `0a52f3f2-07c2-4ce2-8f52-${String((made += 1)).padStart(12, '0')}`,
  at: `2026-11-20T09:0${made % 10}:00Z`,
  kind: 'ticked',
  step: of,
  hole,
  of: count,
  done,
  rests,
  timed: null,
  by: 'Odile Marn',
  frozen: null
});
const readyProgress = (steps: ReadyStep[], events: ReadyEvent[]) =>
  progressOf(steps, stepStream.project(null, events));
const shares = (...events: ReadyEvent[]) =>
  readyProgress(STEPS, events).steps.map(({ share, done }) => (done ? 'done' : share));

describe('what is ticked off', () => {
  it('adds up by hole or by step, and takes back', () => {
    expect(shares()).toEqual([0, 0, 0]);
    expect(shares(tick('pilot', 1), tick('pilot', 3))).toEqual([0.5, 0, 0]);
    expect(shares(tick('pilot', 1), tick('pilot', 3), tick('pilot', 1, false))).toEqual([
      0.25, 0, 0
    ]);
    expect(shares(...[1, 2, 3, 4].map((hole) => tick('pilot', hole)))).toEqual(['done', 0, 0]);
    expect(shares(tick('pilot', null), tick('clean', null, true, 2))).toEqual(['done', 'done', 0]);
    expect(shares(tick('pilot', null), tick('pilot', null, false))).toEqual([0, 0, 0]);
    // a hole that has gone meanwhile counts for nothing
    expect(shares(tick('pilot', 9))).toEqual([0, 0, 0]);
  });

  it('knows what is left and what comes next', () => {
    const progress = readyProgress(STEPS, [tick('pilot', 1), tick('clean', null, true, 2)]);
    expect(progress).toMatchObject({ doneSteps: 1, next: 'pilot', allMinutes: 16 });
    // three quarters of 8, and 5
    expect(progress.leftMinutes).toBeCloseTo(11, 12);
    expect(progress.steps[1]?.last).toMatchObject({ by: 'Odile Marn' });
  });

  it('asks for another look where the joint has changed since', () => {
    const [pilot] = readyProgress(STEPS, [tick('pilot', null, true, 6)]).steps;
    expect(pilot).toMatchObject({
      done: false,
      changed: [{ what: 'count', was: 6, now: 4 }]
    });
  });

  it('counts only what still rests on what it rested on', () => {
    const of = (...events: ReadyEvent[]) => readyProgress(STEPS, events).steps[0];
    expect(of(tick('pilot', null, true, 4, 'pilot as it is'))).toMatchObject({ done: true });
    expect(of(tick('pilot', null, true, 4, 'pilot as it was'))).toMatchObject({
      done: false,
      changed: [{ what: 'unknown' }]
    });
    const moved = [
      tick('pilot', 1, true, 4, 'place of 1'),
      tick('pilot', 2, true, 4, 'where 2 was')
    ];
    expect(of(...moved)).toMatchObject({
      share: 0.25,
      changed: [{ what: 'unknown' }],
      holes: new Set([1])
    });
    // ticked again where it is now
    expect(of(...moved, tick('pilot', 2, true, 4, 'place of 2'))).toMatchObject({
      share: 0.5,
      changed: []
    });
  });
});

describe('how long one takes', () => {
  const work = (seconds: number, count: number) => ({ op: 'deburr', count, seconds }) as const;
  it('is a starting estimate, the shop’s figure, or the median of three and more recorded', () => {
    expect(operationTime('deburr', {}, [])).toMatchObject({ secondsEach: 4, from: 'starting' });
    expect(operationTime('deburr', { deburr: 6 }, [work(10, 1)])).toMatchObject({
      secondsEach: 6,
      from: 'shop'
    });
    const recorded = [
      work(100, 50),
      work(90, 10),
      work(60, 20),
      { ...work(1, 1), op: 'pilot' as const }
    ];
    // 2, 9 and 3 s each
    expect(operationTime('deburr', { deburr: 6 }, recorded)).toEqual({
      secondsEach: 3,
      from: 'recorded',
      records: 3
    });
    expect(operationTime('deburr', {}, [...recorded, work(8, 2)]).secondsEach).toBe(3.5);
  });
});
