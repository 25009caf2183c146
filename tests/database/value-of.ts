import type { Outcome } from '../../src/lib/server/outcome.ts';

/** What a service answered, where it must not refuse. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(outcome.message);
  return outcome.value;
}
