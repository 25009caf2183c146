import type { ReleasedFacts, ReleasedHole } from '../release/release.ts';
import { decideHole, type FoundHole, type HoleDecision } from './decide-hole.ts';
import { SeenInHole } from './rework-moves.ts';

/** One measuring of an empty hole, with what it came to by itself. */
export interface HoleReading extends Omit<FoundHole, 'outs'> {
  id: string;
  at: string;
  by: string;
  person: string | undefined;
  decided: HoleDecision | null;
  /** why it counts no more; null while it does */
  voided: { why: string; by: string; at: string } | null;
}

const GRAVITY: readonly HoleDecision['decision'][] = ['keep', 'next-size', 'refer'];

/** What several measurings of one hole found together: the widest, the deepest cut, all that was seen. */
export const foundTogether = (
  readings: readonly Pick<HoleReading, 'widestIn' | 'tooDeepIn' | 'seen'>[]
): Omit<FoundHole, 'outs'> => ({
  widestIn: Math.max(...readings.map(({ widestIn }) => widestIn)),
  tooDeepIn: readings.reduce<number | null>(
    (deepest, { tooDeepIn }) =>
      tooDeepIn === null ? deepest : Math.max(deepest ?? tooDeepIn, tooDeepIn),
    null
  ),
  seen: SeenInHole.options.filter((one) => readings.some(({ seen }) => seen.includes(one)))
});

/** Those that count. */
export const counted = (readings: readonly HoleReading[]): HoleReading[] =>
  readings.filter(({ voided }) => voided === null);

/**
 * What becomes of a hole that was measured, once or again: the worst of what was found decides, until somebody says why a
 * reading was false.
 *
 * @param hole as it was before its rivet came out
 * @returns null where no reading counts
 * @source rework: what was measured stays
 */
export function decidedTogether(
  facts: ReleasedFacts,
  hole: ReleasedHole | undefined,
  readings: readonly HoleReading[],
  outs: number
): HoleDecision | null {
  const live = counted(readings);
  const [only, ...more] = live;
  if (!only) return null;
  if (more.length === 0 && readings.length === 1) return only.decided;
  const together = hole ? decideHole(facts, hole, { ...foundTogether(live), outs }) : null;
  if (together?.ok) return together.result;
  return [...live]
    .map(({ decided }) => decided)
    .reduce((worst, one) =>
      one !== null &&
      (worst === null || GRAVITY.indexOf(one.decision) > GRAVITY.indexOf(worst.decision))
        ? one
        : worst
    );
}
