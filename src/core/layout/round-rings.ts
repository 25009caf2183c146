import { notPossible, type Answer } from '../answer.ts';
import { atLeast, below, same, above } from '../units/tolerance.ts';
import type { Multipliers } from '../rules/multipliers.ts';
import { transversePitchIn } from './row-layout.ts';

/** Bolt circles round a hole, all with one count; alternate rings stand half a space on. Lengths in inches. */
export interface RoundRings {
  radiiIn: number[];
  count: number;
  transverseIn: number;
  /** centre to centre on the innermost and on the outermost ring */
  leastPitchIn: number;
  mostPitchIn: number;
}

/** Centre to centre of neighbours on a bolt circle: the chord, in. */
export const chordIn = (radiusIn: number, count: number): number =>
  2 * radiusIn * Math.sin(Math.PI / count);

const FEWEST_ON_A_RING = 4;
/** Distance between rings follows the pitch, which follows the radii: this settles in two or three rounds. */
const MOST_ROUNDS = 8;

/**
 * Rivets on one or more bolt circles: the needed count over all rings, grown until the outermost pitch is within
 * its limit, then with a wished pitch on to the count nearest to it.
 *
 * @param innerIn radius of the innermost ring
 * @param least rivets over all rings together
 * @returns radii, count a ring and pitches; `not-possible` when the innermost pitch is under the minimum
 * @source layout, round patch; pitch is centre to centre, so the chord
 */
export function roundRings(
  innerIn: number,
  rings: number,
  least: number,
  wish: { diameterIn: number; nearPitchIn: number | null },
  limits: Multipliers
): Answer<RoundRings> {
  const { diameterIn, nearPitchIn } = wish;
  const minIn = limits.pitchMinD * diameterIn;
  const maxIn = limits.pitchMaxD * diameterIn;
  const fewest = Math.max(FEWEST_ON_A_RING, Math.ceil(least / rings));
  let transverseIn = transversePitchIn(0, diameterIn, limits);
  let count = fewest;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const outerIn = innerIn + (rings - 1) * transverseIn;
    count = fewest;
    while (above(chordIn(outerIn, count), maxIn)) count += 1;
    const off = (tried: number) => Math.abs(chordIn(innerIn, tried) - (nearPitchIn ?? 0));
    while (
      nearPitchIn !== null &&
      atLeast(chordIn(innerIn, count + 1), minIn) &&
      below(off(count + 1), off(count))
    )
      count += 1;
    const nextIn = transversePitchIn(chordIn(innerIn, count), diameterIn, limits);
    if (rings === 1 || same(nextIn, transverseIn)) break;
    transverseIn = nextIn;
  }
  const radiiIn = Array.from({ length: rings }, (_, ring) => innerIn + ring * transverseIn);
  const leastPitchIn = chordIn(innerIn, count);
  if (below(leastPitchIn, minIn))
    return notPossible('required', {
      code: 'ring-too-full',
      count,
      ringIn: 2 * innerIn,
      pitchIn: leastPitchIn,
      pitchMinD: limits.pitchMinD,
      pitchMinIn: minIn
    });
  return {
    ok: true,
    work: [],
    result: {
      radiiIn,
      count,
      transverseIn,
      leastPitchIn,
      mostPitchIn: chordIn(radiiIn.at(-1) ?? innerIn, count)
    }
  };
}
