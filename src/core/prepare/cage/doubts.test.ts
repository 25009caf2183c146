import { describe, expect, it } from 'vitest';
import { benchOf, cutAndRead, guideOf, setupOf, trials } from '../../../../tests/support/cages';
import {
  contradicts,
  doubtsOf,
  explaining,
  FALSE_READINGS,
  type Doubt,
  type DoubtKind
} from './doubts';
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

  it('say how far apart, how steep, and which holes', () => {
    const of = (...pairs: Parameters<typeof trials>) =>
      doubtsOf(readTrials(trials(...pairs), 0).groups);
    expect(of([4, 0.008], [4, 0.0065])).toEqual([
      {
        kind: 'uneven',
        clicks: 4,
        apartIn: expect.closeTo(0.0015, 12) as number,
        clickIn: 0.001,
        readings: ['1', '2']
      }
    ]);
    // 0.0008 over 8 clicks
    expect(of([0, 0.012], [4, 0.0116], [8, 0.0112])).toEqual([
      {
        kind: 'no-deeper',
        clicks: 8,
        slopeIn: expect.closeTo(0.0001, 12) as number,
        readings: ['1', '2', '3']
      }
    ]);
    expect(of([10, 0.012], [14, 0.002])).toEqual([
      { kind: 'too-steep', slopeIn: expect.closeTo(0.0025, 12) as number, readings: ['1', '2'] }
    ]);
    expect(of([0, 0.012], [4, 0.008, { ring: true }])[0]).toEqual({
      kind: 'ring',
      readings: ['2']
    });
  });

  it('need three clicks for a slope and three holes for a line', () => {
    // nothing deeper over two clicks is noise, over three it is not
    expect(kinds(trials([4, 0.008], [6, 0.008]))).toEqual([]);
    expect(kinds(trials([4, 0.008], [7, 0.008]))).toEqual(['no-deeper']);
    expect(kinds(trials([4, 0.012], [6, 0.004]))).toEqual([]);
    expect(kinds(trials([4, 0.012], [7, 0.004]))).toEqual(['too-steep']);
  });

  it('leave out what was reached by turning back, and say so', () => {
    const back = trials([8, 0.004], [6, 0.009]);
    expect(doubtsOf(readTrials(back, 0).groups)).toEqual([
      { kind: 'from-deep', clicks: [6], readings: ['2'] }
    ]);
  });

  it('are explained by what would cause them, and by nothing where there are none', () => {
    expect(explaining([])).toEqual([]);
    const of = (kind: DoubtKind) => explaining([{ kind } as Doubt]);
    expect(of('ring')).toEqual(['deep']);
    for (const [key, kinds] of Object.entries(FALSE_READINGS))
      for (const kind of ['uneven', 'off-line', 'no-deeper', 'too-steep', 'ring'] as DoubtKind[])
        expect(of(kind).includes(key as never), `${key} ${kind}`).toBe(
          (kinds as readonly DoubtKind[]).includes(kind)
        );
  });

  it('contradict a setting where the line does not hold', () => {
    const of = (kind: DoubtKind) => contradicts([{ kind } as Doubt]);
    expect((['off-line', 'no-deeper', 'too-steep'] as const).map(of)).toEqual([true, true, true]);
    expect((['uneven', 'ring', 'from-deep'] as const).map(of)).toEqual([false, false, false]);
    expect(contradicts([])).toBe(false);
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
