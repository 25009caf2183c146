import { seeded } from '../../src/core/devices/random.ts';
import type { ConstrainedRowInput } from '../../src/core/layout/constrained-row.ts';

/** A row of some grid points with a few fixed holes and keep-outs. */
export function randomRow(seed: number, gridPoints: number, gridIn = 1 / 32): ConstrainedRowInput {
  const random = seeded(seed);
  const whole = (most: number) => Math.floor(random() * (most + 1));
  const minSteps = 2 + whole(4);
  return {
    startIn: 0.25,
    endIn: 0.25 + gridPoints * gridIn,
    fixedIn: Array.from(
      { length: whole(2) },
      () => 0.25 + (whole(gridPoints) + random() * 0.4) * gridIn
    ),
    keepOut: Array.from({ length: whole(3) }, () => {
      const fromIn = 0.25 + whole(gridPoints) * gridIn;
      return { fromIn, toIn: fromIn + whole(5) * gridIn };
    }),
    minPitchIn: minSteps * gridIn,
    maxPitchIn: (minSteps + 1 + whole(6)) * gridIn,
    gridIn
  };
}
