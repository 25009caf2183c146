import { z } from 'zod';
import { OperationKey } from './operations.ts';
import type { ReadyStep } from './step-list.ts';

/** Nobody works longer at one step without a break that the watch does not know of. */
export const LONGEST_WORK_S = 24 * 3600;

/** What a page sends when a step, or one hole of it, was ticked off or taken back. A repeat is stored once by its id. */
export const ReadyMove = z.strictObject({
  id: z.uuid('an event carries an id made by its sender'),
  at: z.iso.datetime({ offset: true }),
  step: z.string().min(1).max(60),
  /** null: the step as a whole */
  hole: z.int().min(1).nullable(),
  /** the step's count when it was ticked: a joint that has changed since is to be looked at again */
  of: z.int().min(0),
  done: z.boolean(),
  /** how long the whole step took, where someone timed it */
  timed: z
    .strictObject({
      op: OperationKey,
      count: z.int().min(1),
      seconds: z.number().positive('a time is more than nothing').max(LONGEST_WORK_S)
    })
    .nullable()
});
export type ReadyMove = z.output<typeof ReadyMove>;

export interface ReadyEvent extends ReadyMove {
  by: string;
}

/** Where one step stands. */
export interface StepProgress {
  key: string;
  done: boolean;
  /** ticked one by one */
  holes: ReadonlySet<number>;
  /** 0 to 1 */
  share: number;
  /** it was ticked off for another count: the joint has changed since */
  changed: boolean;
  last: { by: string; at: string } | null;
}

/** Ticks of one step that stand: the last one for the whole, and holes one by one. */
function standing(events: readonly ReadyEvent[]): { whole: ReadyEvent | null; holes: Set<number> } {
  let whole: ReadyEvent | null = null;
  const holes = new Set<number>();
  for (const event of events) {
    if (event.hole === null) {
      whole = event.done ? event : null;
      if (!event.done) holes.clear();
    } else if (event.done) holes.add(event.hole);
    else {
      holes.delete(event.hole);
      whole = null;
    }
  }
  return { whole, holes };
}

/** How many holes of a step are ticked off, by its events alone. */
export function tickedHoles(events: readonly ReadyEvent[]): number {
  const { whole, holes } = standing(events);
  return whole?.of ?? holes.size;
}

function progressOf(step: ReadyStep, events: readonly ReadyEvent[]): StepProgress {
  const { whole, holes } = standing(events);
  const own = new Set(step.holes.filter((hole) => holes.has(hole)));
  const changed = whole !== null && whole.of !== step.count;
  const allHoles = step.holes.length > 0 && own.size === step.holes.length;
  const done = (whole !== null && !changed) || allHoles;
  const last = events.at(-1);
  return {
    key: step.key,
    done,
    holes: own,
    share: done ? 1 : step.holes.length === 0 ? 0 : own.size / step.holes.length,
    changed: changed && !allHoles,
    last: last ? { by: last.by, at: last.at } : null
  };
}

/** What is done and what is left, in minutes by the steps' own times. */
export interface ReadyProgress {
  steps: StepProgress[];
  /** the first step that is not done; null when all are */
  next: string | null;
  doneSteps: number;
  leftMinutes: number;
  allMinutes: number;
}

/** Projects ticks onto the step list; events in the order they were recorded. */
export function readyProgress(
  steps: readonly ReadyStep[],
  events: readonly ReadyEvent[]
): ReadyProgress {
  const byStep = new Map<string, ReadyEvent[]>();
  for (const event of events) byStep.set(event.step, [...(byStep.get(event.step) ?? []), event]);
  const progress = steps.map((step) => progressOf(step, byStep.get(step.key) ?? []));
  const allMinutes = steps.reduce((sum, { minutes }) => sum + minutes, 0);
  const leftMinutes = steps.reduce(
    (sum, { minutes }, at) => sum + minutes * (1 - (progress[at]?.share ?? 0)),
    0
  );
  return {
    steps: progress,
    next: progress.find(({ done }) => !done)?.key ?? null,
    doneSteps: progress.filter(({ done }) => done).length,
    leftMinutes,
    allMinutes
  };
}
