import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { countersinkNext, type CountersinkNextInput } from './countersink-next';
import { holePlan } from './hole-plan';

describe('hole plan', () => {
  holdsWorkedCases('hole-plan');

  it('drills dash 3 once: its pilot is final', () => {
    expect(resultOf(holePlan({ holes: 50, layers: 3, dash: 3, school: 'close' }))).toEqual({
      pilot: '#40',
      final: '#40',
      finalIn: 0.098,
      drillings: 50,
      deburrs: 300
    });
    expect(resultOf(holePlan({ holes: 1, layers: 1, dash: 6, school: 'loose' }))).toMatchObject({
      final: '#10',
      drillings: 2
    });
  });
});

describe('the next countersink setting', () => {
  holdsWorkedCases('countersink-next');

  const LIMITS = { lowIn: 0, highIn: 0.002 };
  const next = (trials: [number, number][], more: Partial<CountersinkNextInput> = {}) =>
    resultOf(
      countersinkNext({
        targetIn: 0.001,
        limits: LIMITS,
        filmIn: 0,
        trials: trials.map(([clicks, flushnessIn]) => ({ clicks, flushnessIn })),
        ...more
      })
    );

  it('goes half way while a click is only assumed', () => {
    // 0.0115 proud is 10.5 clicks off: ⌊5.25⌋ = 5; 0.0045 is 3.5 off: 1
    expect(next([[0, 0.0115]]).changeClicks).toBe(5);
    expect(next([[0, 0.0045]]).changeClicks).toBe(1);
  });

  it('goes three quarters of a long way and all of a short one once it is measured', () => {
    // 0.0012 a click: (0.0127 − 0.001) / 0.0012 = 9.75 → ⌊7.31⌋; (0.0055 − 0.001) / 0.0012 = 3.75 → 3
    const far: [number, number][] = [
      [0, 0.0163],
      [3, 0.0127]
    ];
    expect(next(far)).toMatchObject({ confidence: 'measured', changeClicks: 7 });
    expect(next([...far, [9, 0.0055]])).toMatchObject({ changeClicks: 3 });
    // over two clicks the scatter of reading may be all there is
    expect(
      next([
        [1, 0.0163],
        [3, 0.0127]
      ])
    ).toMatchObject({ confidence: 'assumed', changeClicks: 5 });
  });

  it.each([
    // cut on film and peeled: prouder on the bare scrap than nothing was read of
    [{ filmCut: true, filmRead: true, filmWork: true }, 0.0015],
    [{ filmCut: true, filmRead: true, filmWork: false }, 0],
    [{ filmCut: true, filmRead: false, filmWork: false }, -0.0015],
    [{ filmCut: true, filmRead: false, filmWork: true }, 0],
    [{ filmCut: false, filmRead: false, filmWork: true }, 0.0015],
    [{ filmCut: false, filmRead: false, filmWork: false }, 0]
  ])('reckons film by when it was on: %j', (film, raisedIn) => {
    const { changeClicks } = next([[0, 0.0143]], { filmIn: 0.0015, ...film });
    expect(changeClicks).toBe(Math.floor(0.5 * ((0.0143 + raisedIn - 0.001) / 0.001)));
  });

  it('never offers a setting again that was too deep', () => {
    expect(
      next([
        [10, -0.0004],
        [7, 0.0042]
      ])
    ).toMatchObject({ tooDeep: false, changeClicks: 2, nextClicks: 9 });
    expect(
      next([
        [9, -0.0004],
        [7, 0.0062]
      ])
    ).toMatchObject({ tooDeep: false, changeClicks: 1, nextClicks: 8 });
    expect(
      next([
        [8, -0.0004],
        [7, 0.0042]
      ])
    ).toMatchObject({ stuck: true, changeClicks: 0, nextClicks: 7 });
    // at a shallower setting it was too deep already: this reading is not to be believed
    expect(
      next([
        [6, -0.0004],
        [7, 0.0012]
      ])
    ).toMatchObject({ tooDeep: true, done: false, nextClicks: null });
  });

  it('never trusts a shallower slope', () => {
    expect(
      next([
        [0, 0.0121],
        [4, 0.012]
      ])
    ).toMatchObject({ confidence: 'assumed', slopePerClickIn: -0.001 });
  });

  it('stops when one click would go through', () => {
    // the cage steps 0.004 a click: from 0.0035 the next is −0.0005
    expect(
      next([
        [0, 0.0155],
        [3, 0.0035]
      ])
    ).toMatchObject({ stuck: true, changeClicks: 0, nextClicks: 3 });
    expect(next([[0, -0.001]])).toMatchObject({ tooDeep: true, changeClicks: 0, nextClicks: null });
  });

  it('never predicts a cut below the low limit', () => {
    for (let thou = 3; thou < 40; thou++) {
      const { changeClicks, slopePerClickIn } = next([[0, thou / 1000 + 0.0005]], {
        targetIn: 0.0015
      });
      expect(thou / 1000 + 0.0005 + changeClicks * slopePerClickIn).toBeGreaterThanOrEqual(0);
    }
  });

  it.each([
    [{ trials: [] }, 'trials'],
    [{ targetIn: 0.005 }, 'targetIn'],
    [{ limits: { lowIn: 0.002, highIn: 0 } }, 'limits'],
    [{ filmIn: 0.0051, filmCut: true, filmRead: true, filmWork: true }, 'filmIn'],
    [{ filmIn: 0.002, filmCut: true, filmRead: true }, 'filmWork'],
    [{ filmIn: 0.002, filmCut: false, filmRead: true, filmWork: false }, 'filmRead'],
    [{ filmCut: 'yes' }, 'filmCut'],
    [{ trials: [{ clicks: 0, flushnessIn: 0.11 }] }, 'trials.0.flushnessIn']
  ])('asks for better input than %j', (change, path) => {
    const answer = calc('countersink-next', {
      targetIn: 0.001,
      limits: LIMITS,
      trials: [{ clicks: 0, flushnessIn: 0.01 }],
      ...change
    });
    expect(answer).toMatchObject({ ok: false, error: { code: 'invalid-input', path } });
  });
});
