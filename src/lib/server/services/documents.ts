import type { ReadDocument } from '../../../core/documents/document.ts';
import {
  ISSUE_DOCUMENT,
  JOINT_DOCUMENT,
  PROFILE_DOCUMENT
} from '../../../core/documents/documents.ts';
import { Refused, type Outcome } from '../outcome.ts';
import { refusalInWords } from '../../words/refusals.ts';
import { inInches } from '../../words/writing.ts';

export const readDefinition = JOINT_DOCUMENT.read;
export const readProfile = PROFILE_DOCUMENT.read;
export const readFacts = ISSUE_DOCUMENT.read;

const sayWhat = (what: string, { path, problem }: Extract<ReadDocument<never>, { ok: false }>) =>
  `${what} is stored in a form that cannot be read${path === '' ? '' : ` (${path})`}: ${refusalInWords(problem, inInches)}`;

/** The document, or an act taken back that says what of it cannot be read. */
export function must<T>(what: string, read: ReadDocument<T>): T {
  if (read.ok) return read.value;
  throw new Refused('unreadable', sayWhat(what, read));
}

/** What an act answers, its refusal included. */
export async function outcomeOf<T>(act: () => Promise<Outcome<T>>): Promise<Outcome<T>> {
  try {
    return await act();
  } catch (error) {
    if (error instanceof Refused) return error.outcome;
    throw error;
  }
}
