import { z } from 'zod';
import type { Answer } from '../answer.ts';
import { asHappened } from './as-happened.ts';

/** No shop logs before or after these: the year of such an instant is a broken clock’s. */
const [FIRST_YEAR, YEAR_AFTER] = ['2000', '2200'];

/** What every move brings: an id made by its sender, so that a repeat is stored once, and when it happened. */
export const MOVE_STAMP = {
  id: z.uuid('an event carries an id made by its sender'),
  at: z.iso
    .datetime({ offset: true })
    .refine(
      (at) => at >= FIRST_YEAR && at < YEAR_AFTER,
      `an event is dated between ${FIRST_YEAR} and ${YEAR_AFTER}`
    ),
  /** who did it; whoever sends it where it does not say: it may be sent late, and by another */
  person: z.uuid().optional()
};

/**
 * Where an event was logged that a new release took over: the head is the same, in the same metal, by the same rivet. Only a
 * release takes over; a move that says so of itself is refused.
 */
export const CarriedFrom = z.strictObject({
  issue: z.uuid(),
  release: z.int().min(1),
  hole: z.int().min(1)
});

export type CarriedFrom = z.output<typeof CarriedFrom>;

/** The least that a move of any stream is. */
export interface Stamped {
  id: string;
  at: string;
  kind: string;
  person?: string | undefined;
}

interface Beside<Frozen> {
  by: string;
  /** who sent it, where that was another: from the browser that whoever did it was signed in on then */
  sentBy?: string;
  frozen: Frozen;
}
/** A stored event: the move as sent, who did it, and what was frozen with it. */
export type Recorded<Move, Frozen> = Move & Beside<Frozen>;

/**
 * A move with what is kept beside it. The move itself gets it: spread into another object it lies in two pieces, and a walk over
 * thousands of events takes twice as long.
 */
export const recorded = <Move extends object, Frozen>(
  move: Move,
  beside: Beside<Frozen>
): Recorded<Move, Frozen> => Object.assign(move, beside);

/**
 * A kind of record that only grows. State is a projection of its events; nothing is true that no event says.
 *
 * Everything else about a stream (its table, its service, its route, how a browser keeps what it has not sent) is the
 * same for all and written once.
 */
export interface Stream<Subject, Move extends Stamped, Frozen, State> {
  /** in addresses, tables and the browser's store */
  name: string;
  Move: z.ZodType<Move>;
  /** what is frozen with an event */
  Frozen: z.ZodType<Frozen>;
  /**
   * Whether a move may follow on what happened before, and what is frozen with it. The browser asks before it sends,
   * the server again under its lock.
   */
  follow(subject: Subject, state: State, move: Move): Answer<Frozen>;
  /**
   * The state after some events, each once, in the order in which they happened; of one instant in the order given. `from` is
   * the state before them: none of what made it happened after them.
   */
  project(subject: Subject, events: readonly Recorded<Move, Frozen>[], from?: State): State;
}

/**
 * A stream. Its own `project` is given events as they happened, each once: devices are away, send late and send twice, and
 * none of that may change what came of it.
 */
export const defineStream = <Subject, Move extends Stamped, Frozen, State>(
  stream: Stream<Subject, Move, Frozen, State>
): Stream<Subject, Move, Frozen, State> => ({
  ...stream,
  project: (subject, events, from) => stream.project(subject, asHappened(events), from)
});

type Without<T> = T extends unknown ? Omit<T, 'id' | 'at' | 'person'> : never;
/** A move before its sender has given it an id and an instant. */
export type Unstamped<Move> = Without<Move>;
