import { simulatedBench, type SimulatedBench } from '../../src/core/devices/simulated-bench.ts';
import type { Cage } from '../../src/core/prepare/cage/cage.ts';
import { cageGuide, type CageGuide } from '../../src/core/prepare/cage/guide.ts';
import type { CageSetup } from '../../src/core/prepare/cage/setup.ts';
import type { TrialReading } from '../../src/core/prepare/cage/trials.ts';
import { refusal } from './words.ts';

/** A cage for dash 4: 100°, half an inch wide, pilot 1/8 by 1/4. */
export const cageOf = (change: Partial<Cage> = {}): Cage => ({
  name: 'Cage two',
  cutter: 'no. 7',
  cutterDeg: 100,
  cutterIn: 0.5,
  pilotIn: 0.125,
  pilotLengthIn: 0.25,
  ...change
});

/** Dash 4 in 0.050 with a coupon of the same, through a #30 hole. */
export const setupOf = (change: Partial<CageSetup> = {}): CageSetup => ({
  dash: 4,
  seat: 'rivet',
  sheetIn: 0.05,
  material: '2024-T3',
  skinIn: null,
  holeIn: 0.1285,
  couponIn: 0.05,
  couponMaterial: '2024-T3',
  backingIn: 0.75,
  filmIn: 0,
  filmOn: null,
  thickMeant: false,
  school: 'two-proud',
  targetIn: null,
  recheckEvery: 10,
  ...change
});

/** Trial holes from pairs of clicks and reading; the id is its place, from 1. */
export const trials = (
  ...pairs: [clicks: number, flushnessIn: number, more?: Partial<TrialReading>][]
): TrialReading[] =>
  pairs.map(([clicks, flushnessIn, more], index) => ({
    id: String(index + 1),
    clicks,
    flushnessIn,
    cameUp: false,
    ring: false,
    ...more
  }));

export function guideOf(setup: CageSetup, readings: readonly TrialReading[]): CageGuide {
  const guide = cageGuide(setup, readings);
  if (!guide.ok) throw new Error(refusal(guide.error));
  return guide.result;
}

/** Turns the cage, cuts a hole and reads it with a zeroed gauge. */
export function cutAndRead(bench: SimulatedBench, clicks: number): number {
  bench.say(`SIM TURN ${clicks}`);
  bench.say('SIM CUT');
  const [said] = bench.say('READ');
  if (said?.kind !== 'flush') throw new Error('nothing was read');
  return said.flushnessIn;
}

/** A bench with a zeroed gauge. */
export function benchOf(seed: number): SimulatedBench {
  const bench = simulatedBench(seed);
  bench.say('ZERO');
  return bench;
}
