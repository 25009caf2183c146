import { roundHalfAway } from '../units/tolerance.ts';
import type { GaugeLine } from './gauge-lines.ts';
import { seeded } from './random.ts';

/** A caliper that does not exist, behind the lines that a real one would send. */
export interface SimulatedCaliper {
  /** takes one line, gives the lines it answers with */
  say(line: string): GaugeLine[];
}

/** the display steps by half a thou */
const STEP_IN = 0.0005;
const STARTING_NOISE_IN = 0.0015;
const LENGTH = /^(\d+(?:\.\d+)?) in$/;

/**
 * A simulated caliper: the same seed reads the same way.
 *
 * @param seed any whole number
 * @returns a caliper with nothing between its jaws
 */
export function simulatedCaliper(seed: number): SimulatedCaliper {
  const random = seeded(seed);
  let jawsIn: number | null = null;
  let noiseIn = STARTING_NOISE_IN;

  const error = (message: string): GaugeLine[] => [{ kind: 'error', message }];
  function press(): GaugeLine[] {
    if (jawsIn === null) return error('nothing between the jaws');
    const readIn = jawsIn + noiseIn * (2 * random() - 1);
    const widthIn = roundHalfAway(Math.max(0, readIn) / STEP_IN) * STEP_IN;
    return [{ kind: 'width', widthIn }];
  }
  return {
    say(line) {
      const [word = '', what = '', ...rest] = line.trim().split(' ');
      if (word === 'ID?') return [{ kind: 'id', name: 'caliper', simulated: true }];
      if (word === 'READ' || (word === 'SIM' && what === 'PRESS')) return press();
      const value = Number(LENGTH.exec(rest.join(' '))?.[1] ?? NaN);
      if (word !== 'SIM' || !(value >= 0 && value <= 2))
        return error(`not understood: ${line.slice(0, 40)}`);
      if (what === 'JAWS') jawsIn = value;
      else if (what === 'NOISE') noiseIn = value;
      else return error(`not understood: ${line.slice(0, 40)}`);
      return [{ kind: 'ok' }];
    }
  };
}
