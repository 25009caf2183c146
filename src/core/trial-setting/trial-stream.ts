import { z } from 'zod';
import { notPossible, type Answer } from '../answer.ts';
import { defineStream, type Recorded, type Stamped, type Stream } from '../events/stream.ts';

/** Why a trial is struck, or a setting withdrawn. */
export const Why = z
  .string()
  .trim()
  .min(1, 'enter a reason')
  .max(120, 'a reason is at most 120 characters');

/** Who did it and when. */
interface Stamp {
  at: string;
  by: string;
}

/** Where the setting of a tool stands: its trials, what they found, and every look at what it makes since. */
export interface TrialState<Trial, Found, Look extends { good: boolean }> {
  /** every trial, in order; a struck one does not count */
  trials: (Trial & Stamp & { id: string; struck: string | null })[];
  /** what was found when the trials were done */
  found: (Found & Stamp) | null;
  /** of what was made at the setting, in the order made */
  looks: (Look & Stamp & { id: string })[];
  withdrawn: (Stamp & { why: string }) | null;
}

/** The state before the first trial. */
export const untried = <Trial, Found, Look extends { good: boolean }>(): TrialState<
  Trial,
  Found,
  Look
> => ({ trials: [], found: null, looks: [], withdrawn: null });

/** What a move of a tool's own stream is, in the one vocabulary of all. */
export type TrialMove<Trial, Kept, Made> =
  | { does: 'try'; trial: Trial }
  | { does: 'strike'; trial: string; why: string }
  | { does: 'keep'; kept: Kept }
  | { does: 'look'; made: Made }
  | { does: 'withdraw'; why: string };

const NOTHING: Answer<null> = { ok: true, result: null, work: [] };

/** What is a tool's own of a setting found by trial. */
interface TrialRoom<
  Setup,
  Move extends Stamped,
  Trial,
  Kept,
  Found,
  Made,
  Look extends { good: boolean }
> {
  /** in addresses, tables and the browser's store */
  name: string;
  Move: z.ZodType<Move>;
  Found: z.ZodType<Found>;
  told(move: Move): TrialMove<Trial, Kept, Made>;
  /** whether one more trial may follow */
  mayTry(setup: Setup, state: TrialState<Trial, Found, Look>, trial: Trial): Answer<null>;
  /** what the trials that count have found; a refusal where they are not done */
  found(setup: Setup, state: TrialState<Trial, Found, Look>, kept: Kept): Answer<Found>;
  mayLook(setup: Setup, state: TrialState<Trial, Found, Look>, made: Made): Answer<null>;
  /** how what was made at the setting is judged; null where it cannot be */
  judged(setup: Setup, made: Made): Look | null;
}

/**
 * The log of a setting found by trial: trials until it is right, kept then, looked at while it is used, withdrawn when it is
 * no longer good. What is found is frozen with the event that keeps it.
 *
 * @source prepare (stop countersink) and inspect (driving tools): tried on scrap, looked at again while working
 */
export function trialStream<
  Setup,
  Move extends Stamped,
  Trial extends object,
  Kept,
  Found extends object,
  Made,
  Look extends { good: boolean }
>(
  room: TrialRoom<Setup, Move, Trial, Kept, Found, Made, Look>
): Stream<Setup, Move, Found | null, TrialState<Trial, Found, Look>> {
  type State = TrialState<Trial, Found, Look>;

  function project(
    setup: Setup,
    events: readonly Recorded<Move, Found | null>[],
    from: State = untried()
  ): State {
    const state: State = {
      ...from,
      trials: from.trials.map((trial) => ({ ...trial })),
      looks: [...from.looks]
    };
    const struck: { trial: string; why: string }[] = [];
    for (const event of events) {
      const { id, at, by } = event;
      const told = room.told(event);
      if (told.does === 'try') state.trials.push({ ...told.trial, id, at, by, struck: null });
      else if (told.does === 'strike') struck.push(told);
      else if (told.does === 'keep' && event.frozen) state.found = { ...event.frozen, at, by };
      else if (told.does === 'withdraw') state.withdrawn = { why: told.why, at, by };
      else if (told.does === 'look') {
        const look = room.judged(setup, told.made);
        if (look) state.looks.push({ ...look, id, at, by });
      }
    }
    // by whichever clock it was struck
    for (const { trial, why } of struck) {
      const one = state.trials.find(({ id }) => id === trial);
      if (one) one.struck = why;
    }
    return state;
  }

  function follow(setup: Setup, state: State, move: Move): Answer<Found | null> {
    if (state.withdrawn) return notPossible('kind', { code: 'setting-withdrawn' });
    const told = room.told(move);
    if (told.does === 'withdraw') return NOTHING;
    if (told.does === 'look')
      return state.found
        ? room.mayLook(setup, state, told.made)
        : notPossible('kind', { code: 'tool-not-set' });
    if (state.found) return notPossible('kind', { code: 'tool-is-set' });
    if (told.does === 'keep') return room.found(setup, state, told.kept);
    if (told.does === 'try') return room.mayTry(setup, state, told.trial);
    return countedOf(state).some(({ id }) => id === told.trial)
      ? NOTHING
      : notPossible('trial', { code: 'no-such-reading' });
  }

  return defineStream({
    name: room.name,
    Move: room.Move,
    Frozen: room.Found.nullable(),
    follow,
    project
  });
}

/** The trials that count. */
export const countedOf = <Trial extends { struck: string | null }>({
  trials
}: {
  trials: readonly Trial[];
}): Trial[] => trials.filter(({ struck }) => struck === null);
