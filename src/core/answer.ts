import { z } from 'zod';
import { writeDecimal } from './units/format-length.ts';

export const WorkLine = z.strictObject({
  label: z.string(),
  formula: z.string(),
  value: z.union([z.number(), z.string()]),
  unit: z.string()
});
/** One line of the arithmetic with the numbers put in, as one would write it on paper. */
export type WorkLine = z.infer<typeof WorkLine>;

export const Refusal = z.strictObject({
  code: z.enum(['invalid-input', 'not-possible']),
  message: z.string(),
  path: z.string()
});
/** Why there is no result: bad input, or a rule that says no. */
export type Refusal = z.infer<typeof Refusal>;

/** What every calculation gives back. An expected "no" is a result, never an exception. */
export type Answer<R> = { ok: true; result: R; work: WorkLine[] } | { ok: false; error: Refusal };

export const answer = <R>(result: R, work: WorkLine[]): Answer<R> => ({ ok: true, result, work });

/**
 * The rule says no.
 *
 * @param path dotted path of the input that would have to change
 * @param message which rule, its limit, the offending value
 */
export const notPossible = (path: string, message: string): { ok: false; error: Refusal } => ({
  ok: false,
  error: { code: 'not-possible', message, path }
});

export const invalidInput = (path: string, message: string): { ok: false; error: Refusal } => ({
  ok: false,
  error: { code: 'invalid-input', message, path }
});

export const workLine = (
  label: string,
  formula: string,
  value: number | string,
  unit = ''
): WorkLine => ({ label, formula, value, unit });

/** A number as it stands in a formula: up to six places, no padding. */
export const num = (value: number): string => writeDecimal(value, 0, 6);
