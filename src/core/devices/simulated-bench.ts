import { roundHalfAway } from '../units/tolerance.ts';
import type { GaugeLine } from './gauge-lines.ts';
import { seeded } from './random.ts';

/** What can go wrong at the simulated bench, on purpose. */
export const BENCH_FAULTS = ['none', 'loose-ring', 'pilot-touches', 'chips'] as const;
type BenchFault = (typeof BENCH_FAULTS)[number];

/** How one simulated cage cuts and its gauge reads; lengths in inches. */
export interface BenchNature {
  /** depth of the cut at 0 clicks */
  depthAtZeroIn: number;
  perClickIn: number;
  /** clicks that a turn back does nothing for */
  playClicks: number;
  /** the gauge's own error until it is zeroed */
  zeroErrorIn: number;
}

/** A cage and a depth gauge that do not exist, behind the lines that a real gauge would send. */
export interface SimulatedBench {
  /** takes one line, gives the lines it answers with */
  say(line: string): GaugeLine[];
  nature: BenchNature;
}

const STARTING_HEAD_IN = 0.042;
const STARTING_NOISE_IN = 0.0002;
/** the gauge tells half tenths of a thou */
const STEP_IN = 0.00005;
const LENGTH = /^([+-]?\d+(?:\.\d+)?) in$/;

const natureOf = (random: () => number): BenchNature => ({
  depthAtZeroIn: 0.022 + 0.008 * random(),
  perClickIn: 0.00095 + 0.0002 * random(),
  playClicks: 2 + Math.floor(2 * random()),
  zeroErrorIn: 0.003 * (2 * random() - 1) + 0.001
});

/**
 * A simulated bench: the same seed cuts and reads the same way.
 *
 * @param seed any whole number
 * @returns a bench that stands at 0 clicks with an unzeroed gauge and no hole cut
 */
export function simulatedBench(seed: number): SimulatedBench {
  const random = seeded(seed);
  const nature = natureOf(random);
  const swing = () => 2 * random() - 1;
  let clicks = 0;
  /** where the cutter stands: the set clicks, or deeper by up to the play after a turn back */
  let stands = 0;
  let headIn = STARTING_HEAD_IN;
  let filmIn = 0;
  let noiseIn = STARTING_NOISE_IN;
  let fault: BenchFault = 'none';
  let zeroed = false;
  let flushIn: number | null = null;

  const error = (message: string): GaugeLine[] => [{ kind: 'error', message }];
  function cut(): GaugeLine[] {
    const wandered = fault === 'loose-ring' ? 4 * swing() : 0;
    const depthIn =
      nature.depthAtZeroIn + (stands + wandered) * nature.perClickIn + noiseIn * swing();
    const stopIn = fault === 'pilot-touches' ? headIn - 0.006 : Infinity;
    const lifted = fault === 'chips' ? 0.003 * random() : 0;
    flushIn = headIn - Math.max(0, Math.min(depthIn - lifted, stopIn));
    return [{ kind: 'cut', clicks }];
  }
  function read(): GaugeLine[] {
    if (flushIn === null) return error('no hole cut yet');
    const off = zeroed ? 0 : nature.zeroErrorIn;
    const readIn = flushIn + filmIn + off + 0.25 * noiseIn * swing();
    return [{ kind: 'flush', flushnessIn: roundHalfAway(readIn / STEP_IN) * STEP_IN, zeroed }];
  }
  function turn(to: number): GaugeLine[] {
    clicks = to;
    stands = Math.min(Math.max(stands, to), to + nature.playClicks);
    return [{ kind: 'at', clicks }];
  }
  function length(text: string, least: number, most: number): number | null {
    const value = Number(LENGTH.exec(text)?.[1] ?? NaN);
    return value >= least && value <= most ? value : null;
  }
  function simulate(what: string, value: string): GaugeLine[] {
    if (what === 'CUT') return cut();
    if (what === 'TURN' && /^-?\d{1,4}$/.test(value)) return turn(Number(value));
    if (what === 'FAULT' && BENCH_FAULTS.some((one) => one === value)) {
      fault = value as BenchFault;
      return [{ kind: 'ok' }];
    }
    const given = length(value, 0, 0.2);
    if (given === null) return error(`not understood: SIM ${what} ${value}`);
    if (what === 'HEAD') headIn = given;
    else if (what === 'FILM') filmIn = given;
    else if (what === 'NOISE') noiseIn = given;
    else return error(`not understood: SIM ${what}`);
    return [{ kind: 'ok' }];
  }
  return {
    nature,
    say(line) {
      const [word = '', what = '', ...rest] = line.trim().split(' ');
      if (word === 'ID?') return [{ kind: 'id', name: 'depth gauge', simulated: true }];
      if (word === 'READ') return read();
      if (word === 'ZERO') {
        zeroed = true;
        return [{ kind: 'zeroed' }];
      }
      return word === 'SIM'
        ? simulate(what, rest.join(' '))
        : error(`not understood: ${line.slice(0, 40)}`);
    }
  };
}
