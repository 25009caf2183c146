import { pino } from 'pino';

/** No more of an error's words than a person reads: some carry whole statements with everything that was in them. */
const MOST_WORDS = 500;
const MOST_STACK = 3000;

/** An error as it is logged: what it is and where it came from; never the statement, nor what was bound to it. */
export function loggedError(error: unknown): Record<string, unknown> {
  if (!(error instanceof Error)) return { type: typeof error };
  const { name, message, stack = '' } = error;
  const about = (key: string) => (key in error ? { [key]: (error as never)[key] as unknown } : {});
  // a stack begins with the message once more
  const trace = stack.slice(stack.indexOf('\n    at '));
  return {
    type: name,
    message: message.slice(0, MOST_WORDS),
    ...about('code'),
    ...about('constraint'),
    ...about('table'),
    stack: trace.slice(0, MOST_STACK)
  };
}

/** One line of JSON an event, on standard error, so that answers on standard output stay clean. */
export const log = pino(
  { level: process.env['LOG_LEVEL'] ?? 'warn', serializers: { err: loggedError } },
  pino.destination(2)
);
