import { describe, expect, it } from 'vitest';
import { benchOf, cutAndRead } from '../../../tests/support/cages';
import { readGaugeLine, writeGaugeLine, type GaugeLine } from './gauge-lines';
import { seeded, seedOf } from './random';
import { simulatedBench } from './simulated-bench';

describe('the lines of a depth gauge', () => {
  it.each<[string, GaugeLine]>([
    ['FLUSH +0.0042 in', { kind: 'flush', flushnessIn: 0.0042, zeroed: true }],
    ['FLUSH -0.00105 in NOT-ZEROED', { kind: 'flush', flushnessIn: -0.00105, zeroed: false }],
    ['WIDTH 0.1890 in', { kind: 'width', widthIn: 0.189 }],
    ['ZEROED', { kind: 'zeroed' }],
    ['OK', { kind: 'ok' }],
    ['AT -3', { kind: 'at', clicks: -3 }],
    ['CUT 17', { kind: 'cut', clicks: 17 }],
    ['ID depth gauge SIMULATED', { kind: 'id', name: 'depth gauge', simulated: true }],
    ['ID bench dial 4', { kind: 'id', name: 'bench dial 4', simulated: false }],
    ['ERROR no hole cut yet', { kind: 'error', message: 'no hole cut yet' }]
  ])('%s', (text, said) => {
    expect(readGaugeLine(text)).toEqual(said);
    expect(writeGaugeLine(said)).toBe(text);
  });

  it('may be in millimetres, with an end of line', () => {
    expect(readGaugeLine('FLUSH -0.0508 mm\r\n')).toMatchObject({ flushnessIn: -0.002 });
  });

  it.each([
    '',
    'FLUSH',
    'FLUSH 1e3 in',
    'FLUSH 0.1',
    'FLUSH 0.1 ft',
    'WIDTH -0.1 in',
    'WIDTH 0.1',
    'AT 1.5',
    'HELLO',
    'x'.repeat(500)
  ])('nothing is read into %j', (text) => {
    expect(readGaugeLine(text)).toBeNull();
  });
});

describe('the simulated bench', () => {
  it('is the same for the same seed, and another for another', () => {
    const cuts = (seed: number) => [0, 6, 12].map((clicks) => cutAndRead(benchOf(seed), clicks));
    expect(cuts(7)).toEqual(cuts(7));
    expect(cuts(7)).not.toEqual(cuts(8));
    expect(seedOf('a')).not.toBe(seedOf('b'));
    expect(seeded(1)()).toBe(seeded(1)());
  });

  it('cuts deeper by its own step for each click', () => {
    for (let seed = 1; seed <= 50; seed++) {
      const bench = benchOf(seed);
      const step = (cutAndRead(bench, 0) - cutAndRead(bench, 10)) / 10;
      // twice the noise of two cuts and two readings, over ten clicks
      expect(Math.abs(step - bench.nature.perClickIn)).toBeLessThan(0.00006);
    }
  });

  it('cuts too deep after a turn back, by its play, until one comes up from further back', () => {
    const bench = benchOf(3);
    bench.say('SIM NOISE 0 in');
    const up = cutAndRead(bench, 10);
    cutAndRead(bench, 14);
    const { perClickIn, playClicks } = bench.nature;
    expect(up - cutAndRead(bench, 10)).toBeCloseTo(playClicks * perClickIn, 4);
    bench.say('SIM TURN 5');
    expect(cutAndRead(bench, 10)).toBeCloseTo(up, 4);
  });

  it('reads its own zero error until it is zeroed, and film as height', () => {
    const bench = simulatedBench(11);
    bench.say('SIM NOISE 0 in');
    expect(bench.say('READ')).toEqual([{ kind: 'error', message: 'no hole cut yet' }]);
    bench.say('SIM CUT');
    const [before] = bench.say('READ');
    expect(before).toMatchObject({ kind: 'flush', zeroed: false });
    expect(bench.say('ZERO')).toEqual([{ kind: 'zeroed' }]);
    const [after] = bench.say('READ');
    bench.say('SIM FILM 0.0015 in');
    const [film] = bench.say('READ');
    if (before?.kind !== 'flush' || after?.kind !== 'flush' || film?.kind !== 'flush')
      throw new Error('three readings were expected');
    expect(before.flushnessIn - after.flushnessIn).toBeCloseTo(bench.nature.zeroErrorIn, 4);
    expect(film.flushnessIn - after.flushnessIn).toBeCloseTo(0.0015, 4);
  });

  it('answers what it does not understand with an error', () => {
    const bench = benchOf(1);
    expect(bench.say('ID?')).toEqual([{ kind: 'id', name: 'depth gauge', simulated: true }]);
    for (const line of ['', 'HELLO', 'SIM', 'SIM TURN x', 'SIM HEAD 9 in', 'SIM FAULT fire'])
      expect(bench.say(line)[0]?.kind, line).toBe('error');
    expect(bench.say('SIM HEAD 0.055 in')).toEqual([{ kind: 'ok' }]);
  });
});
