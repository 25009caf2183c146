import type { Refusal } from '../../core/answer.ts';
import { told } from '../../core/refusal-said.ts';
import { refusalInWords } from '../words/refusals.ts';
import { inInches, type WriteLength } from '../words/writing.ts';

/** Why a service says no. */
export type Reason =
  | 'not-found'
  | 'stale'
  | 'not-possible'
  | 'not-yours'
  | 'conflict'
  | 'unreadable'
  | 'busy'
  | 'clock'
  | 'too-long';

/** Why, in words: those with lengths are written in the unit of whoever asks. */
export type Why = string | ((length: WriteLength) => string);

/** What a service answers: the value, or a refusal that a route turns into a status. `message` is in inches. */
export type Outcome<T> =
  | { ok: true; value: T }
  | { ok: false; reason: Reason; message: string; inWords: (length: WriteLength) => string };

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });

export function refused(reason: Reason, why: Why): Outcome<never> {
  const inWords = typeof why === 'string' ? () => why : why;
  return { ok: false, reason, message: inWords(inInches), inWords };
}

/** A rule of core says no. */
export const because =
  ({ said }: Pick<Refusal, 'said'>): Why =>
  (length) =>
    refusalInWords(said, length);

/** Thrown to take back an act that was refused part way. */
export class Refused extends Error {
  constructor(
    readonly reason: Reason,
    readonly why: Why
  ) {
    super(typeof why === 'string' ? why : why(inInches));
  }
  get outcome(): Outcome<never> {
    return refused(this.reason, this.why);
  }
}

/** Where a joint's fields cannot be read and none says why. */
export const FIELD_MISSING: Pick<Refusal, 'said'> = { said: told('a field is missing') };
