import { describe, expect, it } from 'vitest';
import { cageOf } from '../../../../tests/support/cages';
import { problemsOf } from '../../schema/read';
import { Cage } from './cage';

const problems = (change: object) => {
  const read = Cage.safeParse({ ...cageOf(), ...change });
  return read.success ? [] : problemsOf(read.error).map(({ path }) => path);
};

describe('a cage as typed', () => {
  it('is read with its names trimmed and its lengths in any unit', () => {
    expect(Cage.parse({ ...cageOf(), name: '  Cage two ', cutterIn: '1/2' })).toEqual(cageOf());
    for (const cutterDeg of [100, 110, 120]) expect(problems({ cutterDeg })).toEqual([]);
  });

  it.each([
    [{ name: '   ' }, 'name'],
    [{ name: 'x'.repeat(41) }, 'name'],
    [{ cutter: '' }, 'cutter'],
    [{ cutterDeg: 90 }, 'cutterDeg'],
    [{ cutterIn: '0.09' }, 'cutterIn'],
    [{ cutterIn: '1.6' }, 'cutterIn'],
    [{ pilotIn: '0.04' }, 'pilotIn'],
    [{ pilotIn: '0.51' }, 'pilotIn'],
    [{ pilotLengthIn: '0.02' }, 'pilotLengthIn'],
    [{ pilotLengthIn: '2.1' }, 'pilotLengthIn']
  ])('refuses %j', (change, path) => {
    expect(problems(change)).toEqual([path]);
  });
});
