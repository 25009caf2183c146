import type { DriveMove } from './drive-move.ts';

/** A call and the tap that follows it are this near. */
const NEAR_CALL_MS = 5 * 60_000;

/** Who is named at a rivet by another, and was not heard there then: it counts as theirs, and stays to be confirmed. */
export function namedOnly(
  { hands, person, at }: Extract<DriveMove, { kind: 'driven' }>,
  calls: ReadonlyMap<string, readonly number[]>
): string[] {
  const atMs = Date.parse(at);
  const heard = (one: string) =>
    calls.get(one)?.some((callMs) => Math.abs(callMs - atMs) <= NEAR_CALL_MS) ?? false;
  return [...new Set(hands ? [hands.gun, hands.bar] : [])].filter(
    (one) => one !== person && !heard(one)
  );
}
