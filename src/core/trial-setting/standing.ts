import type { TrialState } from './trial-stream.ts';

type Looked = Pick<TrialState<object, object, { good: boolean }>, 'found' | 'looks' | 'withdrawn'>;

/**
 * The first look that was not good, with its place. A good one later does not mend what was made between: once bad, the
 * tool is set anew.
 */
export function firstBad<Look extends { good: boolean }>({
  looks
}: {
  looks: readonly Look[];
}): { at: number; look: Look } | null {
  const at = looks.findIndex(({ good }) => !good);
  const look = looks[at];
  return look ? { at, look } : null;
}

/** Found, not withdrawn, released by so many good ones, and nothing bad since. */
export const isTrusted = (state: Looked, firstToBeGood: number): boolean =>
  state.found !== null &&
  state.withdrawn === null &&
  state.looks.length >= firstToBeGood &&
  firstBad(state) === null;
