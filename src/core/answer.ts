import type { Notation } from './notation.ts';
import type { RefusalSaid } from './refusal-said.ts';
import { writeDecimal } from './units/format-length.ts';

/** One line of the arithmetic with the numbers put in, as one would write it on paper. */
export interface WorkLine {
  /** a short name of what is reckoned; nothing asks for it */
  label: string;
  formula: string | Notation;
  value: number | string | Notation;
  /** `in` and its powers are written in the reader's unit */
  unit: string;
  /** by which a page may pick it; most have none */
  key?: string;
}

/** Why there is no result: bad input, or a rule that says no. */
export interface Refusal {
  code: 'invalid-input' | 'not-possible';
  /** dotted path of the input that would have to change */
  path: string;
  said: RefusalSaid;
}

/** What every calculation gives back. An expected "no" is a result, never an exception. */
export type Answer<R> = { ok: true; result: R; work: WorkLine[] } | { ok: false; error: Refusal };

export const answer = <R>(result: R, work: WorkLine[]): Answer<R> => ({ ok: true, result, work });

/**
 * The rule says no.
 *
 * @param path dotted path of the input that would have to change
 * @param said which rule, its limit, the offending value
 */
export const notPossible = (path: string, said: RefusalSaid): { ok: false; error: Refusal } => ({
  ok: false,
  error: { code: 'not-possible', path, said }
});

/** What was given is not what is asked for. */
export const invalidInput = (path: string, said: RefusalSaid): { ok: false; error: Refusal } => ({
  ok: false,
  error: { code: 'invalid-input', path, said }
});

export const workLine = (
  label: string,
  formula: WorkLine['formula'],
  value: WorkLine['value'],
  unit = '',
  key?: string
): WorkLine => ({ label, formula, value, unit, ...(key === undefined ? {} : { key }) });

/** A number as it stands in a formula: up to six places, no padding. */
export const num = (value: number): string => writeDecimal(value, 0, 6);
