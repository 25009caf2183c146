import type { z } from 'zod';
import type { RefusalSaid } from '$core/refusal-said.ts';
import { THICKEST_SHEET_IN } from '$core/schema/fields.ts';
import { problemsOf } from '$core/schema/read.ts';

/** What is wrong with a field; `instead` is a text that would work, offered as one tap. */
export interface FieldProblem {
  said: RefusalSaid;
  instead: string | null;
}

/** A thickness that is asked about, and may well be meant. */
export const maybeMeant = ({ said }: FieldProblem): boolean =>
  said.code === 'slipped-sheet' && said.must === 'over' && said.limitIn === THICKEST_SHEET_IN;

/** The first thing wrong, with nothing to put in its place. */
export function firstProblem(error: z.ZodError): FieldProblem | undefined {
  const [first] = problemsOf(error);
  return first && { said: first.said, instead: null };
}
