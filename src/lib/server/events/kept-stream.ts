import type { Stamped, Stream } from '../../../core/events/stream.ts';
import type { Database } from '../db/connect.ts';
import type { EventTable } from './table.ts';

/** How the clocks of a log stand: what time it is, and when the entry counts that was stored last; ms since 1970. */
export interface LogClock {
  nowMs: number;
  lastMs: number;
}

/** A subject as it stands now. */
export interface Opened<Subject, State> {
  subject: Subject;
  state: State;
  /** since when it has been there, ms since 1970, where that is known: nothing happened to it before */
  sinceMs?: number;
  /** how the clocks of its log stand, where that was asked with the rest */
  clock?: LogClock;
}

/** A stream with its table, and how the server finds what its events happen to. */
export interface KeptStream<Subject, Move extends Stamped, Frozen, State> {
  stream: Stream<Subject, Move, Frozen, State>;
  table: EventTable;
  /** said where there is no such subject */
  missing: string;
  /**
   * `locked`: what may follow depends on what happened before, so `open` holds the subject's row until the end.
   * `free`: it depends on the subject alone, which never changes.
   */
  order: 'locked' | 'free';
  /** a move is its sender's own: none is sent for another */
  ownHand?: boolean;
  /** null where there is no such subject */
  open(database: Database, subjectId: string): Promise<Opened<Subject, State> | null>;
  /** Which subject each move goes to, where its sender need not know that; null where there is none. */
  subjectsOf?(database: Database, moves: readonly Move[]): Promise<(string | null)[]>;
  /** Keeps beside the events what the lists read, within the same act. */
  keep?(database: Database, subjectId: string, state: State): Promise<void>;
}

/** Ties the types together. */
export const keptStream = <Subject, Move extends Stamped, Frozen, State>(
  kept: KeptStream<Subject, Move, Frozen, State>
): KeptStream<Subject, Move, Frozen, State> => kept;

/** A stream whatever its types: what a registry holds. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- each use goes through one stream's own schema
export type AnyKeptStream = KeptStream<any, any, any, any>;
