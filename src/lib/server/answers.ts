import { error, json } from '@sveltejs/kit';
import type { z } from 'zod';
import type { Answer } from '../../core/answer.ts';
import { illFormed } from '../../core/schema/well-formed.ts';
import { readInput } from '../../core/schema/read.ts';
import { SIGN_IN } from '../words/pages/sign-in.ts';
import { answerInWords } from '../words/arithmetic.ts';
import { refusalInWords } from '../words/refusals.ts';
import type { WriteLength } from '../words/writing.ts';
import type { Outcome } from './outcome.ts';

const OUTCOME_STATUS = {
  'not-found': 404,
  stale: 409,
  'not-possible': 422,
  'not-yours': 403,
  conflict: 409,
  unreadable: 422,
  busy: 503,
  clock: 425,
  'too-long': 422
} as const;

/** 200 with the value, or the refusal's status with its message. */
export const respond = <T>(outcome: Outcome<T>, length: WriteLength): Response =>
  outcome.ok
    ? json(outcome.value)
    : json(
        { reason: outcome.reason, message: outcome.inWords(length) },
        {
          status: OUTCOME_STATUS[outcome.reason],
          ...(outcome.reason === 'busy' ? { headers: { 'retry-after': '5' } } : {})
        }
      );

/**
 * The same of a file: whoever follows a link to it in a browser is shown a page, a program is answered JSON.
 *
 * @throws the framework's error, which becomes that page
 */
export function respondFile(
  outcome: Outcome<unknown> & { ok: false },
  request: Request,
  length: WriteLength
): Response {
  if (request.headers.get('accept')?.includes('text/html'))
    error(OUTCOME_STATUS[outcome.reason], outcome.inWords(length));
  return respond(outcome, length);
}

/** A calculation's answer over HTTP: 200, 400 for bad input, 422 when the rule says no. */
export const respondCalc = (answer: Answer<unknown>): Response =>
  json(answerInWords(answer), {
    status: answer.ok ? 200 : answer.error.code === 'invalid-input' ? 400 : 422
  });

/** What the adapter says of a body over its limit, before it is read whole. */
const isTooLarge = (error: unknown): boolean =>
  typeof error === 'object' && error !== null && 'status' in error && error.status === 413;
const tooLarge = () =>
  json(
    { message: 'Too many entries in one request. Send them in smaller parts.' },
    { status: 413 }
  );
const noJson = () => json({ message: 'a JSON body is expected' }, { status: 400 });

/** Reads a JSON body against a schema, or answers 400 with what was wrong and where. */
export async function readBody<S extends z.ZodType>(
  request: Request,
  schema: S,
  length: WriteLength
): Promise<{ ok: true; value: z.output<S> } | { ok: false; response: Response }> {
  let body: unknown;
  try {
    body = await request.json();
  } catch (broken) {
    return { ok: false, response: isTooLarge(broken) ? tooLarge() : noJson() };
  }
  const unread = illFormed(body);
  const read = unread
    ? { ok: false as const, error: { code: 'invalid-input' as const, ...unread } }
    : readInput(schema, body);
  if (read.ok) return read;
  const { code, path, said } = read.error;
  const error = { code, path, message: refusalInWords(said, length) };
  return { ok: false, response: json(error, { status: 400 }) };
}

/** A table as a file to keep. */
export const csvFile = (name: string, text: string): Response =>
  new Response(text, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store'
    }
  });

/** The answer to someone who must say who they are first. */
export const sayWhoFirst = (): Response =>
  json({ reason: 'who', message: SIGN_IN.sayWhoFirst }, { status: 401 });

/** The answer to someone whose role has not that right. */
export const mayNot = (message: string): Response =>
  json({ reason: 'may-not', message }, { status: 403 });
