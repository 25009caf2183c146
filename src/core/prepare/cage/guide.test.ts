import { describe, expect, it } from 'vitest';
import { benchOf, cutAndRead, guideOf, setupOf, trials } from '../../../../tests/support/cages';
import { cageGuide, predictAt } from './guide';
import type { TrialReading } from './trials';
import { guideInWords, inInches, notation } from '../../../../tests/support/words';

const SETUP = setupOf();
const told = (...pairs: Parameters<typeof trials>) => guideOf(SETUP, trials(...pairs));

describe('what to do next with a cage', () => {
  it('begins well shallow, or where it stood last time', () => {
    expect(guideOf(SETUP, [])).toMatchObject({ said: { state: 'first' }, nextClicks: null });
    const again = cageGuide(SETUP, [], 17);
    expect(again.ok && again.result).toMatchObject({ said: { state: 'first' }, nextClicks: 17 });
  });

  it('goes half way while a click is assumed, then by what was measured', () => {
    // 0.0115 is 10.5 clicks from 0.001: ⌊0.5 × 10.5⌋ = 5
    expect(told([3, 0.0115])).toMatchObject({
      said: { state: 'deeper' },
      nextClicks: 8,
      changeClicks: 5
    });
    // 7 clicks went 0.0077 deeper, 0.0011 each: (0.0038 − 0.001) / 0.0011 = 2.54 → 2
    const next = told([3, 0.0115], [10, 0.0038]);
    expect(next).toMatchObject({ said: { state: 'deeper' }, nextClicks: 12 });
    expect(next.line).toMatchObject({ confidence: 'measured' });
    expect(next.predictedIn).toBeCloseTo(0.0038 - 2 * 0.0011, 9);
  });

  it('wants three holes that agree', () => {
    expect(told([9, 0.0015])).toMatchObject({
      said: { state: 'more-holes' },
      nextClicks: 9,
      holesToGo: 2
    });
    expect(told([9, 0.0015], [9, 0.0011])).toMatchObject({
      said: { state: 'more-holes' },
      holesToGo: 1
    });
    expect(told([9, 0.0015], [9, 0.0011], [9, 0.0013])).toMatchObject({
      said: { state: 'set' },
      nextClicks: 9,
      holesToGo: 0
    });
  });

  it('goes by the deepest hole of a setting, whichever came last', () => {
    const shallowLast = told([9, 0.0036], [9, 0.0041]);
    const deepLast = told([9, 0.0041], [9, 0.0036]);
    // half of (0.0036 − 0.001) / 0.001 = 2.6 → 1
    expect(shallowLast).toMatchObject({ said: { state: 'deeper' }, nextClicks: 10 });
    expect(deepLast.nextClicks).toBe(shallowLast.nextClicks);
  });

  it('moves one click on where the proudest hole is outside and the deepest may still go down', () => {
    expect(told([9, 0.0016], [9, 0.0023])).toMatchObject({
      said: { state: 'deeper' },
      nextClicks: 10
    });
    expect(told([9, 0.0014], [9, 0.0023])).toMatchObject({
      said: { state: 'deeper' },
      nextClicks: 10
    });
    // one click more would bring 0.0008 to −0.0002
    const setup = setupOf({ school: 'two-proud' });
    expect(
      cageGuide({ ...setup, sheetIn: 0.0415, couponIn: 0.0415 }, trials([9, 0.0012], [9, 0.0021]))
    ).toMatchObject({
      ok: true,
      result: { said: { state: 'stuck' }, changeClicks: 0, nextClicks: null }
    });
  });

  it('holds still when holes of one setting differ by more than a click', () => {
    expect(told([9, 0.0041], [9, 0.0025])).toMatchObject({
      said: { state: 'uneven' },
      nextClicks: null
    });
  });

  it('says how to come back from too deep', () => {
    // 0.001 − (−0.0012) = 2.2 thou: three clicks back, from five further
    const back = told([9, 0.004], [14, -0.0012]);
    expect(back).toMatchObject({
      said: { state: 'too-deep' },
      nextClicks: 11,
      backOffTo: 6
    });
    const ring = told([9, 0.0015, { ring: true }]);
    expect(ring).toMatchObject({ said: { state: 'too-deep' }, nextClicks: 8 });
    expect(ring.doubts.map(({ kind }) => kind)).toEqual(['ring']);
  });

  it('does not count a setting reached by turning back, until one comes up to it', () => {
    const turned = told([9, 0.004], [14, -0.0012], [11, -0.0011]);
    expect(turned).toMatchObject({ said: { state: 'from-deep' }, nextClicks: 11, backOffTo: 6 });
    expect(turned.doubts.map(({ kind }) => kind)).toContain('from-deep');
    // going on from there is still on the wrong side of the play
    expect(told([14, -0.0012], [11, -0.0011], [12, -0.0012]).said.state).toBe('from-deep');
    expect(told([14, -0.0012], [11, -0.0011], [11, 0.0018, { cameUp: true }])).toMatchObject({
      said: { state: 'more-holes' },
      nextClicks: 11,
      deepestClicks: 11
    });
    expect(turned.deepestClicks).toBe(14);
  });

  it('does not keep what agrees with itself but not with the holes before', () => {
    // from 24 clicks on the pilot stands on the bench: four clicks more changed nothing
    const stopped = trials([20, 0.0055], [24, 0.0015], [28, 0.0016], [28, 0.0014], [28, 0.0015]);
    expect(guideOf(SETUP, stopped)).toMatchObject({
      said: { state: 'unfit' },
      doubts: [{ kind: 'no-deeper' }]
    });
    // a false reading struck, it may be kept
    const chip = trials([6, 0.0115], [10, 0.0115], [15, 0.0016], [15, 0.0014], [15, 0.0015]);
    expect(guideOf(SETUP, chip)).toMatchObject({
      said: { state: 'unfit' },
      doubts: [{ kind: 'off-line', readings: expect.arrayContaining(['2']) as unknown }]
    });
    expect(
      guideOf(
        SETUP,
        chip.filter(({ id }) => id !== '2')
      ).said.state
    ).toBe('set');
    expect(guideInWords(told([20, 0.0085], [24, 0.0083]), inInches).why).toMatch(
      /do not fit: find out why first/
    );
  });

  it('reckons with film by when it was on, and not at all where nobody said', () => {
    const read = trials([9, 0.003], [9, 0.0028], [9, 0.003]);
    const cutOnly = setupOf({ filmIn: 0.0015, filmOn: { cut: true, read: false, work: false } });
    const film = guideOf(cutOnly, read);
    expect(film).toMatchObject({ said: { state: 'set' } });
    expect(film.groups[0]?.deepestIn).toBeCloseTo(0.0013, 9);
    // cut, read and worked with film on: the head stands prouder by its thickness once it is peeled
    const all = { ...cutOnly, filmOn: { cut: true, read: true, work: true } };
    expect(guideOf(all, read).groups[0]?.deepestIn).toBeCloseTo(0.0043, 9);
    expect(guideOf(all, read).said.state).toBe('deeper');
    expect(cageGuide({ ...cutOnly, filmOn: null }, read)).toMatchObject({
      ok: false,
      error: { said: { code: 'film-unsaid' } }
    });
  });

  it('never goes back to a setting that was too deep, however the last hole reads', () => {
    // 10 was too deep; come up to 9 again, the proudest hole is outside: not to 10
    const again = told([9, 0.0016], [10, -0.0005], [9, 0.0016, { cameUp: true }], [9, 0.0023]);
    expect(again).toMatchObject({ said: { state: 'stuck', clicks: 9 }, nextClicks: null });
    // 8 was too deep; 12 reads good and is not to be believed: shallower than 8
    const odd = told([8, -0.0004], [12, 0.0012]);
    expect(odd.said.state).toBe('too-deep');
    expect(odd.nextClicks).toBe(7);
  });

  it('predicts along its line', () => {
    const guide = told([0, 0.02], [4, 0.012]);
    // 0.002 a click
    expect(predictAt(guide, 6)?.flushIn).toBeCloseTo(0.008, 9);
    // the middle of the two trials and the slope between them
    expect(notation(predictAt(guide, 6)?.formula)).toBe('0.016 + (6 − 2) × -0.002');
    expect(predictAt(guideOf(SETUP, []), 6)).toBeNull();
  });

  it('adds the nest with the cage’s own step', () => {
    const setup = setupOf({ sheetIn: 0.063, couponIn: 0.063, skinIn: 0.032 });
    // 0.3054 × 0.032 = 0.009773 in; at 0.001 a click 9 whole ones, at 0.00115 a click 8.5 → 8
    const assumed = guideOf(setup, trials([9, 0.001], [9, 0.001], [9, 0.001]));
    expect(assumed.nest).toMatchObject({ ok: true, result: { clicks: 18, extraClicks: 9 } });
    const measured = guideOf(
      setup,
      trials([0, 0.01255], [10, 0.00105], [10, 0.00105], [10, 0.00105])
    );
    expect(measured.nest).toMatchObject({ ok: true, result: { extraClicks: 8 } });
    // less than 0.001 a click: 0.0092 over 10 clicks, and 0.009773 / 0.00092 = 10.6
    const shallow = guideOf(setup, trials([0, 0.0102], [10, 0.001], [10, 0.001], [10, 0.001]));
    expect(shallow.nest).toMatchObject({ ok: true, result: { extraClicks: 10 } });
    // trials nearer together than three clicks say nothing of it
    const near = guideOf(setup, trials([8, 0.0028], [9, 0.001], [9, 0.001], [9, 0.001]));
    expect(near.nest).toMatchObject({ ok: true, result: { extraClicks: 9 } });
    // 0.042 − 0.001 + 9 × 0.001 = 0.05 deep
    expect(assumed.nest?.ok && assumed.nest.result.depthIn).toBeCloseTo(0.05, 9);
    expect(assumed.nest?.ok && assumed.nest.result.wallIn).toBeCloseTo(0.013, 9);
    const thin = setupOf({ sheetIn: 0.045, couponIn: 0.045, skinIn: 0.032 });
    expect(guideOf(thin, trials([9, 0.001], [9, 0.001], [9, 0.001])).nest).toMatchObject({
      ok: false,
      error: { path: 'sheetIn' }
    });
  });
});

describe('what a guide rests on', () => {
  const work = (guide: ReturnType<typeof told>) => guide.work.map(({ label }) => label);

  it('says what it predicts, and shows it, only where it goes on', () => {
    // half way from 0.008 to 0.001 while a click is assumed
    const deeper = told([4, 0.008]);
    expect(work(deeper)).toContain('predicted');
    expect(deeper.predictedIn).toBeCloseTo(
      0.008 - 0.001 * (deeper.nextClicks === null ? 0 : deeper.nextClicks - 4),
      12
    );
    const deep = told([4, 0.008], [13, -0.0015]);
    expect(deep.said.state).toBe('too-deep');
    expect(work(deep)).not.toContain('predicted');
    // back by whole clicks up to the middle of the band: 2.5 clicks are 3
    expect(deep).toMatchObject({
      changeClicks: -3,
      nextClicks: 10,
      predictedIn: expect.closeTo(0.0015, 12) as number
    });
    expect(work(told([9, 0.0015], [9, 0.0011], [9, 0.0013]))).not.toContain('predicted');
  });

  it('is refused where its setup has no band, and begins with nothing known', () => {
    expect(cageGuide(setupOf({ sheetIn: 0.0395 }), trials([4, 0.008]))).toMatchObject({
      ok: false,
      error: { said: { code: 'cut-through' } }
    });
    expect(told()).toMatchObject({ line: null, doubts: [], doubted: false, nest: null });
  });

  it('is doubted while its readings contradict each other, and only then', () => {
    expect(told([0, 0.012], [4, 0.008]).doubted).toBe(false);
    const stuck = told([0, 0.012], [4, 0.0119], [8, 0.0118]);
    expect(stuck.said.state).toBe('deeper');
    expect(stuck.doubted).toBe(true);
    // too deep is too deep, whatever was read before
    const deep = told([0, 0.012], [4, 0.0119], [8, -0.003]);
    expect(deep.said.state).toBe('too-deep');
    expect(deep.doubted).toBe(false);
  });

  it('has a nest for a rivet under dimpled sheets once it is set, and at no other time', () => {
    const thick = setupOf({ sheetIn: 0.063, couponIn: 0.063, skinIn: 0.032 });
    const SET = [
      [9, 0.0015],
      [9, 0.0011],
      [9, 0.0013]
    ] as const;
    expect(guideOf(thick, trials([4, 0.008])).nest).toBeNull();
    // 0.3054 × 0.032 = 0.00977: nine whole clicks
    expect(
      guideOf(thick, trials(...SET.map(([a, b]) => [a, b] as [number, number]))).nest
    ).toMatchObject({
      ok: true,
      result: {
        clicks: 18,
        extraClicks: 9,
        // 0.042 − 0.0011 + 9 × 0.001
        depthIn: expect.closeTo(0.0499, 12) as number,
        wallIn: expect.closeTo(0.0131, 12) as number
      }
    });
    expect(told(...SET.map(([a, b]) => [a, b] as [number, number])).nest).toBeNull();
  });
});

describe('followed at a bench', () => {
  /** Does what the guide says until it says nothing more. */
  function follow(seed: number, setup = SETUP) {
    const bench = benchOf(seed);
    const readings: TrialReading[] = [];
    let clicks = 0;
    for (let hole = 1; hole <= 30; hole++) {
      const flushnessIn = cutAndRead(bench, clicks);
      readings.push({ id: String(hole), clicks, flushnessIn, cameUp: false, ring: false });
      const guide = guideOf(setup, readings);
      if (guide.predictedIn !== null && guide.said.state === 'deeper')
        expect(guide.predictedIn).toBeGreaterThanOrEqual(guide.band.lowIn - 1e-9);
      if (
        guide.nextClicks === null ||
        guide.said.state === 'set' ||
        guide.said.state === 'too-deep'
      )
        return { guide, readings };
      clicks = guide.nextClicks;
    }
    throw new Error(`no end after ${readings.length} holes`);
  }

  it.each(['two-proud', 'three-proud', 'aerodynamic'] as const)(
    'sets 300 different cages by %s limits and scraps no hole',
    (school) => {
      let holes = 0;
      for (let seed = 1; seed <= 300; seed++) {
        const { guide, readings } = follow(seed, setupOf({ school }));
        expect(guide.said.state, `cage ${seed}: ${JSON.stringify(guide.said)}`).toBe('set');
        expect(Math.min(...readings.map(({ flushnessIn }) => flushnessIn))).toBeGreaterThanOrEqual(
          guide.band.lowIn
        );
        expect(guide.doubts).toEqual([]);
        holes += readings.length;
      }
      // three to agree, and a few to get there
      expect(holes / 300).toBeLessThan(8);
    }
  );
});
