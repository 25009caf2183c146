import { describe, expect, it } from 'vitest';
import { benchOf, cutAndRead, guideOf, setupOf, trials } from '../../../../tests/support/cages';
import { doubtsOf, FALSE_READINGS, type DoubtKind } from './doubts';
import { readTrials, type TrialReading } from './trials';

const kinds = (readings: TrialReading[]) =>
  doubtsOf(readTrials(readings, 0).groups).map(({ kind }) => kind);

describe('readings that do not fit', () => {
  it('are none while they lie on a line', () => {
    expect(kinds(trials([0, 0.012], [4, 0.008], [8, 0.0042], [10, 0.0021]))).toEqual([]);
    expect(kinds(trials([0, 0.012]))).toEqual([]);
  });

  it('are named with the holes they point at', () => {
    expect(kinds(trials([4, 0.008], [4, 0.0065]))).toEqual(['uneven']);
    // exactly a click apart is still even
    expect(kinds(trials([4, 0.008], [4, 0.007]))).toEqual([]);
    expect(kinds(trials([0, 0.012], [4, 0.0115], [8, 0.0112]))).toEqual(['no-deeper']);
    expect(kinds(trials([0, 0.012], [4, 0.002]))).toEqual(['too-steep']);
    const off = doubtsOf(
      readTrials(trials([0, 0.012], [2, 0.01], [4, 0.0115], [6, 0.006], [8, 0.004]), 0).groups
    );
    expect(off).toMatchObject([{ kind: 'off-line', readings: ['3'] }]);
  });

  it('each have a cause on the list', () => {
    const explained = new Set<DoubtKind>(Object.values(FALSE_READINGS).flat());
    const all: DoubtKind[] = ['uneven', 'off-line', 'no-deeper', 'too-steep', 'ring'];
    expect(all.filter((kind) => !explained.has(kind))).toEqual([]);
  });
});

describe('what is wrong at a bench is noticed', () => {
  const cut = (seed: number, fault: string, settings: number[]) => {
    const bench = benchOf(seed);
    bench.say(`SIM FAULT ${fault}`);
    return settings.map((clicks, index): TrialReading => ({
      id: String(index),
      clicks,
      flushnessIn: cutAndRead(bench, clicks),
      cameUp: false,
      ring: false
    }));
  };
  const SETTINGS = [0, 4, 8, 8, 8, 12];
  const share = (fault: string) => {
    const seeds = Array.from({ length: 100 }, (_, seed) => seed + 1);
    return seeds.filter((seed) => kinds(cut(seed, fault, SETTINGS)).length > 0).length;
  };

  it('a loose lock ring, nearly always; a sound cage never', () => {
    expect(share('loose-ring')).toBeGreaterThan(90);
    expect(share('chips')).toBeGreaterThan(60);
    expect(share('none')).toBe(0);
  });

  it('a pilot on the bench: the cut goes no deeper', () => {
    const readings = cut(5, 'pilot-touches', [20, 24, 28]);
    expect(kinds(readings)).toEqual(['no-deeper']);
    const guide = guideOf(setupOf(), readings);
    expect(guide.doubts.map(({ kind }) => kind)).toEqual(['no-deeper']);
  });
});
