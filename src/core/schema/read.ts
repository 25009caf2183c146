import type { z } from 'zod';
import { invalidInput, type Refusal } from '../answer.ts';
import { overLong } from './over-long.ts';
import { told, type RefusalSaid } from '../refusal-said.ts';

type Issue = z.core.$ZodIssue;

/** What a field complains of, where it says so as a code. */
const coded = (issue: Issue): RefusalSaid | null => {
  const given: unknown = issue.code === 'custom' ? issue.params?.['said'] : undefined;
  return given === undefined ? null : (given as RefusalSaid);
};

function describe(issue: Issue): { path: PropertyKey[]; said: RefusalSaid } {
  const own = coded(issue);
  if (own) return { path: issue.path, said: own };
  if (issue.code === 'unrecognized_keys') {
    const key = issue.keys[0] ?? '';
    return { path: [...issue.path, key], said: told(`"${key}" is not an input here`) };
  }
  if (issue.input === undefined && MISSING_CODES.has(issue.code))
    return { path: issue.path, said: told(`${String(issue.path.at(-1) ?? 'input')} is missing`) };
  return {
    path: issue.path,
    said: told(LIBRARY_WORDS.test(issue.message) ? plainly(issue) : issue.message)
  };
}

const MISSING_CODES: ReadonlySet<string> = new Set([
  'invalid_type',
  'invalid_value',
  'invalid_union'
]);
/** The schema library's own wording, where a field brings none. */
const LIBRARY_WORDS = /^(Invalid|Too (small|big)|Unrecognized)/;

const TYPE_WORDS: Record<string, string> = {
  number: 'a number',
  int: 'a whole number',
  string: 'a text',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object with named fields'
};

function given(value: unknown): string {
  const text = JSON.stringify(value) as string | undefined;
  return text === undefined ? 'nothing' : text.length > 40 ? `${text.slice(0, 40)}…` : text;
}

/** The library's complaints in the shop's words: what is expected, and what was given. */
function plainly(issue: Issue): string {
  const was = `${given(issue.input)} was given`;
  if (issue.code === 'invalid_value')
    return `one of ${issue.values.map(String).join(', ')} is expected; ${was}`;
  if (issue.code === 'invalid_type')
    return `${TYPE_WORDS[issue.expected] ?? issue.expected} is expected; ${was}`;
  if (issue.code === 'too_small') return `at least ${String(issue.minimum)} is expected; ${was}`;
  if (issue.code === 'too_big') return `at most ${String(issue.maximum)} is allowed; ${was}`;
  return `this was not understood; ${was}`;
}

/** Nobody mends more at once. */
const MOST_PROBLEMS = 10;

/** The first complaints of a failed parse, paths dotted (`sheetsIn.0`). */
export const problemsOf = (
  error: z.ZodError,
  most = MOST_PROBLEMS
): { path: string; said: RefusalSaid }[] =>
  error.issues.slice(0, most).map((issue) => {
    const { path, said } = describe(issue);
    return { path: path.map(String).join('.'), said };
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
  const long = overLong(schema, input);
  if (long) return invalidInput(long.path.map(String).join('.'), told(long.message));
  const parsed = schema.safeParse(input, { reportInput: true });
  if (parsed.success) return { ok: true, value: parsed.data };
  const first = problemsOf(parsed.error, 1)[0] ?? {
    path: '',
    said: told('this input was not understood')
  };
  return invalidInput(first.path, first.said);
}
