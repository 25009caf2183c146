import type { ConstrainedRowInput } from '../../src/core/layout/constrained-row.ts';

/** A small generator with a seed (mulberry32), so that every run sees the same rows. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

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
