import type { Outcome } from '../src/lib/server/outcome.ts';

/** The value of what must not be refused: the demo data is ours. */
export function must<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(`demo data: ${outcome.message}`);
  return outcome.value;
}
