import { ConnectionAcquireTimeoutError, ConnectionError } from 'sequelize';
import { answeredWithin } from './transaction.ts';
import { Unanswered } from './within.ts';

/** PostgreSQL's own words for a server that is going, coming or full: the classes 08, 53 and 57P. */
const GOING = /^(08...|53...|57P0[1-5])$/;
/** The network's words. */
const UNREACHED = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'EHOSTUNREACH']);
/** What the driver says without a code: a connection that ended under it, an answer that never came, a process that ends. */
const ENDED =
  /connection terminated|query read timeout|timeout expired|client has encountered a connection error|connection manager was closed/i;

/** Whoever asked has gone in the middle of asking: Node's own words, under the code that a lost database has too. */
export const hasLeft = (error: unknown): boolean =>
  error instanceof Error &&
  'code' in error &&
  error.code === 'ECONNRESET' &&
  error.message === 'aborted';

/** Whether an error says that the database does not answer, rather than that it was asked wrongly. */
export function isAway(error: unknown): boolean {
  if (error instanceof ConnectionError || error instanceof Unanswered) return true;
  if (!(error instanceof Error) || hasLeft(error)) return false;
  const code = 'code' in error ? String(error.code) : '';
  if (GOING.test(code) || UNREACHED.has(code) || ENDED.test(error.message)) return true;
  const inner = 'parent' in error ? error.parent : error.cause;
  return inner !== undefined && inner !== error && isAway(inner);
}

const LATELY_MS = 2000;

/** Whether it only waited for a free connection, while the database answered others: not away, busy. */
export function isBusy(error: unknown): boolean {
  if (error instanceof ConnectionAcquireTimeoutError) return answeredWithin(LATELY_MS);
  if (!(error instanceof Error)) return false;
  const inner = 'parent' in error ? error.parent : error.cause;
  return inner !== undefined && inner !== error && isBusy(inner);
}
