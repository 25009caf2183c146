import type { ZodError } from 'zod';
import type { Refusal } from '../../src/core/answer.ts';
import type { Reason } from '../../src/lib/server/outcome.ts';

/** What says no, each in its own shape: a calculation, a service, a schema, a reader of files. */
type Said =
  | { ok: true }
  | { ok: false; error: Pick<Refusal, 'code' | 'said'> }
  | { ok: false; reason: Reason }
  | { ok: false; message: string }
  | { success: true }
  | { success: false; error: ZodError };

/**
 * Why something was refused: the code of a rule, the reason of a service, the field that a schema complains of. A test that
 * asks only whether it was refused also passes when it is refused for something else.
 *
 * @returns null where nothing was refused
 */
export function whyNot(answer: Said): string | null {
  if ('success' in answer)
    return answer.success ? null : `field ${answer.error.issues[0]?.path.join('.') ?? ''}`;
  if (answer.ok) return null;
  if ('error' in answer) return answer.error.said.code;
  return 'reason' in answer ? answer.reason : answer.message;
}
