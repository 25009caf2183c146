import type { HoleRework } from '../../src/core/reworking/rework-state.ts';

/** Where the rework of a hole stands: its rivet came out once, and nothing is known of the hole, but for what is told. */
export const reworkOf = (hole: number, told: Partial<HoleRework> = {}): HoleRework => ({
  hole,
  outs: 1,
  stage: 'out',
  outAt: null,
  readyAt: null,
  decision: null,
  widestIn: null,
  rivet: null,
  blind: null,
  readings: [],
  steps: [],
  leftAt: null,
  before: null,
  ...told
});
