import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { STEPS_AT_ONCE } from '../../../core/plan/plan-cost.ts';
import { done, refused, type Outcome } from '../outcome.ts';
import * as tasks from './tasks.ts';

type Tasks = typeof tasks;
type Given<K extends keyof Tasks> = Parameters<Tasks[K]>[0];
type Made<K extends keyof Tasks> = Awaited<ReturnType<Tasks[K]>>;

/** Nobody waits longer for a plan, its waiting in the queue included. */
const DEADLINE_MS = Number(process.env['ZANJADOR_PLAN_DEADLINE_MS'] ?? 20_000);
/** More than this at work and waiting would not be done in time anyway. */
const MOST_AT_ONCE = 16;
/** Threads are ended when there was nothing to do for so long. */
const IDLE_MS = 60_000;

/** The compiled tasks; where they are not told, as while developing, everything is done here. */
const filename = process.env['ZANJADOR_TASKS'];
let pool: Piscina | null = null;
/** Tasks given to the threads and not back yet: the pool's own limit lets more of those with a deadline in. */
let atWork = 0;

function threads(at: string): Piscina {
  pool ??= new Piscina({
    filename: at,
    minThreads: 0,
    // one core stays free for everyone else
    maxThreads: Math.max(1, availableParallelism() - 1),
    idleTimeout: IDLE_MS
  });
  return pool;
}

const tooLong = (): Outcome<never> =>
  refused(
    'too-long',
    `planning this takes longer than ${Math.round(DEADLINE_MS / 1000)} s: fewer holes, divisions or obstacles would help, or a moment with less to do`
  );

/**
 * Does a task: a small one at once, a large one in a thread of its own, so that nobody else waits for it.
 *
 * @param cost in steps of a plan (`planCost`)
 * @returns refused as `busy` where too many wait, as `too-long` after the deadline
 */
export async function inThread<K extends keyof Tasks>(
  task: K,
  given: Given<K>,
  cost: number
): Promise<Outcome<Made<K>>> {
  if (filename === undefined || cost <= STEPS_AT_ONCE) {
    const act = tasks[task] as (given: Given<K>) => Made<K> | Promise<Made<K>>;
    return done(await act(given));
  }
  if (atWork >= MOST_AT_ONCE)
    return refused('busy', 'other plans are being made: try again in a moment');
  atWork += 1;
  try {
    const signal = AbortSignal.timeout(DEADLINE_MS);
    return done((await threads(filename).run(given, { name: task, signal })) as Made<K>);
  } catch (error) {
    if (error instanceof Error && error.name === 'AbortError') return tooLong();
    throw error;
  } finally {
    atWork -= 1;
  }
}

/** Ends the threads, for a server that closes. */
export const endThreads = async (): Promise<void> => {
  await pool?.destroy();
  pool = null;
};
