import { FRESH, type HoleRework } from '../../src/core/reworking/rework-state.ts';

/** Where the rework of a hole stands: its rivet came out once, and nothing is known of the hole, but for what is told. */
export const reworkOf = (hole: number, told: Partial<HoleRework> = {}): HoleRework => ({
  ...FRESH,
  hole,
  outs: 1,
  ...told
});
