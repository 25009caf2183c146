import { z } from 'zod';
import { defineStream, MOVE_STAMP, type Recorded } from '../events/stream.ts';
import { OperationKey } from './operations.ts';
import { changedBetween, type ChangedSaid } from './rests-changed.ts';
import type { ReadyStep } from './step-list.ts';

/** Nobody works longer at one step without a break that the watch does not know of. */
export const LONGEST_WORK_S = 24 * 3600;

/** What a page sends when a step, or one hole of it, was ticked off or taken back. A repeat is stored once by its id. */
export const ReadyMove = z.strictObject({
  ...MOVE_STAMP,
  kind: z.literal('ticked'),
  step: z.string().min(1).max(60),
  /** null: the step as a whole */
  hole: z.int().min(1).nullable(),
  /** the step's count when it was ticked: a joint that has changed since is to be looked at again */
  of: z.int().min(0),
  done: z.boolean(),
  /** fingerprint of what it rested on when it was ticked; ticks from before there were any have none */
  rests: z.string().max(100).optional(),
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

export type ReadyEvent = Recorded<ReadyMove, null>;

/** Where one step stands. */
export interface StepProgress {
  key: string;
  done: boolean;
  /** ticked one by one */
  holes: ReadonlySet<number>;
  /** 0 to 1 */
  share: number;
  /** something was ticked off that is no longer as it was: what has changed since; empty where nothing has */
  changed: readonly ChangedSaid[];
  last: { by: string; at: string } | null;
}

/** Ticks of one step that stand: the last one for the whole, and holes one by one. */
export interface Standing {
  whole: ReadyEvent | null;
  /** holes ticked one by one, each with its fingerprint */
  holes: ReadonlyMap<number, string>;
  last: ReadyEvent | null;
}

const NOTHING_TICKED: Standing = { whole: null, holes: new Map(), last: null };

function standing(events: readonly ReadyEvent[], from: Standing = NOTHING_TICKED): Standing {
  let { whole } = from;
  const holes = new Map(from.holes);
  for (const event of events) {
    if (event.hole === null) {
      whole = event.done ? event : null;
      if (!event.done) holes.clear();
    } else if (event.done) holes.set(event.hole, event.rests ?? '');
    else {
      holes.delete(event.hole);
      whole = null;
    }
  }
  return { whole, holes, last: events.at(-1) ?? from.last };
}

/** Where every step stands that was ever ticked, by its key. */
export type StepStandings = ReadonlyMap<string, Standing>;

/** Ticks before driving. Any may follow on any: what a step is worth is judged against the joint as it is now. */
export const stepStream = defineStream<unknown, ReadyMove, null, StepStandings>({
  name: 'step',
  Move: ReadyMove,
  Frozen: z.null(),
  follow: () => ({ ok: true, result: null, work: [] }),
  project: (_, events, from) => standingsOf(events, from)
});

function standingsOf(
  events: readonly ReadyEvent[],
  from: StepStandings = new Map()
): StepStandings {
  const byStep = new Map<string, ReadyEvent[]>();
  for (const event of events) {
    const own = byStep.get(event.step);
    if (own) own.push(event);
    else byStep.set(event.step, [event]);
  }
  const standings = new Map(from);
  for (const [step, own] of byStep) standings.set(step, standing(own, from.get(step)));
  return standings;
}

/** How many holes of a step are ticked off, by its ticks alone. */
export function tickedHoles({ whole, holes }: Standing = NOTHING_TICKED): number {
  return whole?.of ?? holes.size;
}

/** Ticks from before there were fingerprints are judged by what else is known of them. */
const holdsStill = (ticked: string, now: string | undefined): boolean =>
  ticked === '' || ticked === now;

/** What of a step has changed since it was ticked off as a whole. */
function changesOf(
  { of: was, rests = '' }: ReadyEvent,
  { count: now, rests: { whole } }: ReadyStep
) {
  const count: ChangedSaid[] = was === now ? [] : [{ what: 'count', was, now }];
  return holdsStill(rests, whole) ? count : [...count, ...changedBetween(rests, whole)];
}

const eachOnce = (all: readonly ChangedSaid[]): ChangedSaid[] =>
  all.filter(({ what }, at) => all.findIndex((other) => other.what === what) === at);

function progressOf(step: ReadyStep, stands: Standing = NOTHING_TICKED): StepProgress {
  const { whole, holes, last } = stands;
  const ticked = step.holes.filter((hole) => holes.has(hole));
  const own = new Set(
    ticked.filter((hole) => holdsStill(holes.get(hole) ?? '', step.rests.holes.get(hole)))
  );
  const wholeChanged = whole === null ? [] : changesOf(whole, step);
  const allHoles = step.holes.length > 0 && own.size === step.holes.length;
  const done = (whole !== null && wholeChanged.length === 0) || allHoles;
  return {
    key: step.key,
    done,
    holes: own,
    share: done ? 1 : step.holes.length === 0 ? 0 : own.size / step.holes.length,
    changed: done
      ? []
      : eachOnce([
          ...wholeChanged,
          ...ticked
            .filter((hole) => !own.has(hole))
            .flatMap((hole) =>
              changedBetween(holes.get(hole) ?? '', step.rests.holes.get(hole) ?? '')
            )
        ]),
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

/** What the ticks of a joint say of its steps as they are now. */
export function readyProgress(
  steps: readonly ReadyStep[],
  standings: StepStandings
): ReadyProgress {
  const progress = steps.map((step) => progressOf(step, standings.get(step.key)));
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
