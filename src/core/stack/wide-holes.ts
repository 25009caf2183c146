import { workLine, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { above } from '../units/tolerance.ts';
import type { HeldSheet } from './layers.ts';

/** A shank swells to fill its hole in the first blows, up to this many D; a wider one it does not fill. */
export const FILLED_HOLE_D = 1.15;

/** Metal that swells into the holes of sheets that are drilled larger than the rivet's own. */
export interface WideHoles {
  volumeIn3: number;
  work: WorkLine[];
}

/**
 * What a shank loses into the larger holes of some sheets, as of a clear panel between metal: it swells there until it fills
 * the hole, or as far as a shank swells at all.
 *
 * @param sheets at the rivet; @param holeIn the rivet's own hole; @param diameterIn of its shank, in
 * @returns in³ beyond what fills the rivet's own hole, with the arithmetic of each such sheet
 * @source layout (clear panels), stack-up (volume is constant)
 */
export function wideHoles(
  sheets: readonly Pick<HeldSheet, 'name' | 'thicknessIn' | 'holeIn'>[],
  holeIn: number,
  diameterIn: number
): WideHoles {
  const mostIn = FILLED_HOLE_D * diameterIn;
  const wide = sheets.flatMap(({ name, thicknessIn, holeIn: ownIn }) => {
    if (ownIn === null || !above(ownIn, holeIn)) return [];
    const swelledIn = Math.min(ownIn, mostIn);
    const volumeIn3 = (Math.PI / 4) * (swelledIn ** 2 - holeIn ** 2) * thicknessIn;
    return [
      {
        volumeIn3,
        line: workLine(
          `metal into ${name}’s hole`,
          by`π/4·(d²−hole²)·t, d = smaller of ${len(ownIn)} and ${FILLED_HOLE_D} D: π/4 × (${len(swelledIn)}² − ${len(holeIn)}²) × ${len(thicknessIn)}`,
          volumeIn3,
          'in³'
        )
      }
    ];
  });
  return {
    volumeIn3: wide.reduce((sum, one) => sum + one.volumeIn3, 0),
    work: wide.map(({ line }) => line)
  };
}

/** No sheet is drilled larger. */
export const NO_WIDE_HOLES: WideHoles = { volumeIn3: 0, work: [] };
