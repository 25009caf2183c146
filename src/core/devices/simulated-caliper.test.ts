import { describe, expect, it } from 'vitest';
import { simulatedCaliper } from './simulated-caliper';

describe('the simulated caliper', () => {
  it('reads what lies between its jaws, about, in steps of its display', () => {
    const caliper = simulatedCaliper(7);
    expect(caliper.say('ID?')).toEqual([{ kind: 'id', name: 'caliper', simulated: true }]);
    expect(caliper.say('SIM PRESS')).toEqual([
      { kind: 'error', message: 'nothing between the jaws' }
    ]);
    caliper.say('SIM JAWS 0.2344 in');
    for (let press = 0; press < 50; press++) {
      const [said] = caliper.say('SIM PRESS');
      if (said?.kind !== 'width') throw new Error('no reading');
      expect(Math.abs(said.widthIn - 0.2344)).toBeLessThanOrEqual(0.0015 + 0.00025 + 1e-9);
      expect((said.widthIn / 0.0005) % 1).toBeCloseTo(0, 6);
    }
  });

  it('is exact where nothing scatters, and the same for the same seed', () => {
    const read = (seed: number) => {
      const caliper = simulatedCaliper(seed);
      caliper.say('SIM JAWS 0.1875 in');
      return caliper.say('READ');
    };
    expect(read(3)).toEqual(read(3));
    const exact = simulatedCaliper(3);
    exact.say('SIM NOISE 0 in');
    exact.say('SIM JAWS 0.1875 in');
    expect(exact.say('SIM PRESS')).toEqual([{ kind: 'width', widthIn: 0.1875 }]);
  });

  it.each(['SIM JAWS', 'SIM JAWS 9 in', 'SIM JAWS 3 mm', 'SIM TURN 4', 'JAWS 0.1 in', ''])(
    'does not understand %j',
    (line) => {
      expect(simulatedCaliper(1).say(line)[0]?.kind).toBe('error');
    }
  );
});
