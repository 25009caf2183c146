import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { clearPanelHole } from '../layout/clear-panel-hole';
import { countersinkNext } from './countersink-next';
import { holePlan } from './hole-plan';
import { refusal } from '../../../tests/support/words';

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

describe('clear panel hole', () => {
  holdsWorkedCases('clear-panel-hole');

  it('grows the same hot and cold', () => {
    const asked = { panel: 'acrylic', spanIn: 20, dash: 5 } as const;
    const hot = resultOf(clearPanelHole({ ...asked, deltaTC: 50 }));
    // 49e-6 × 50 × 20 / 2
    expect(hot.growthIn).toBeCloseTo(0.0245, 12);
    expect(resultOf(clearPanelHole({ ...asked, deltaTC: -50 }))).toEqual(hot);
  });

  it('says when no drill is large enough', () => {
    const answer = clearPanelHole({ panel: 'acrylic', spanIn: 60, deltaTC: 60, dash: 8 });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(/largest drill, H 0\.266 in/);
  });
});

describe('the next countersink setting', () => {
  holdsWorkedCases('countersink-next');

  const LIMITS = { lowIn: 0, highIn: 0.002 };
  const next = (trials: [number, number][], targetIn = 0.001, filmIn = 0) =>
    resultOf(
      countersinkNext({
        targetIn,
        limits: LIMITS,
        filmIn,
        trials: trials.map(([clicks, flushnessIn]) => ({ clicks, flushnessIn }))
      })
    );

  it('goes three quarters of a long way and all of a short one', () => {
    // 0.0115 proud is 10.5 clicks off: ⌊7.875⌋ = 7; 0.0045 is 3.5 off: 3
    expect(next([[0, 0.0115]]).changeClicks).toBe(7);
    expect(next([[0, 0.0045]]).changeClicks).toBe(3);
  });

  it('takes the film off first', () => {
    expect(next([[0, 0.003]], 0.001, 0.0015)).toMatchObject({ done: true, changeClicks: 0 });
  });

  it('trusts a steeper slope and never a shallower one', () => {
    expect(
      next([
        [0, 0.02],
        [4, 0.012]
      ])
    ).toMatchObject({ confidence: 'measured', changeClicks: 4 });
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
        [0, 0.0075],
        [1, 0.0035]
      ])
    ).toMatchObject({ stuck: true, changeClicks: 0, nextClicks: 1 });
    expect(next([[0, -0.001]])).toMatchObject({ tooDeep: true, changeClicks: 0 });
  });

  it('never predicts a cut below the low limit', () => {
    for (let thou = 3; thou < 40; thou++) {
      const { changeClicks, slopePerClickIn } = next([[0, thou / 1000 + 0.0005]], 0.0015);
      expect(thou / 1000 + 0.0005 + changeClicks * slopePerClickIn).toBeGreaterThanOrEqual(0);
    }
  });

  it.each([
    [{ trials: [] }, 'trials'],
    [{ targetIn: 0.005 }, 'targetIn'],
    [{ limits: { lowIn: 0.002, highIn: 0 } }, 'limits']
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
