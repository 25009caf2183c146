import type { z } from 'zod';
import { invalidInput, type Refusal } from '../answer.ts';

type Issue = z.core.$ZodIssue;

function describe(issue: Issue): { path: PropertyKey[]; message: string } {
  if (issue.code === 'unrecognized_keys') {
    const key = issue.keys[0] ?? '';
    return { path: [...issue.path, key], message: `"${key}" is not an input here` };
  }
  if (issue.code === 'invalid_type' && issue.input === undefined)
    return { path: issue.path, message: `${String(issue.path.at(-1) ?? 'input')} is missing` };
  return { path: issue.path, message: issue.message };
}

/** Every complaint of a failed parse as `{path, message}`, paths dotted (`sheetsIn.0`). */
export const problemsOf = (error: z.ZodError): { path: string; message: string }[] =>
  error.issues.map((issue) => {
    const { path, message } = describe(issue);
    return { path: path.map(String).join('.'), message };
  });

/**
 * Parses unknown input against a schema.
 *
 * @returns the parsed value, or an `invalid-input` refusal naming the first thing wrong and where
 */
export function readInput<S extends z.ZodType>(
  schema: S,
  input: unknown
): { ok: true; value: z.output<S> } | { ok: false; error: Refusal } {
  const parsed = schema.safeParse(input, { reportInput: true });
  if (parsed.success) return { ok: true, value: parsed.data };
  const first = problemsOf(parsed.error)[0] ?? {
    path: '',
    message: 'this input was not understood'
  };
  return invalidInput(first.path, first.message);
}
