import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { refusal } from '../../../tests/support/words';
import { readInput } from '../schema/read';
import { clearPanelHole, ClearPanelHoleInput } from './clear-panel-hole';

const ASKED = { panel: 'acrylic', spanIn: 20, deltaTC: 50, dash: 5 } as const;

describe('clear panel hole', () => {
  holdsWorkedCases('clear-panel-hole');

  it('grows the same hot and cold', () => {
    const hot = resultOf(clearPanelHole(ASKED));
    // 49e-6 × 50 × 20 / 2
    expect(hot.growthIn).toBeCloseTo(0.0245, 12);
    expect(resultOf(clearPanelHole({ ...ASKED, deltaTC: -50 }))).toEqual(hot);
  });

  it('opens to its arithmetic: growth, hole, drill, what the head still covers', () => {
    const answer = clearPanelHole(ASKED);
    const values = answer.ok ? answer.work.map(({ value }) => value) : [];
    // 0.15625 + 0.049 + 0.010 = 0.21525, drilled #2 0.221; (0.312 − 0.221) / 2 − 0.0245 = 0.021
    expect(values).toEqual([
      expect.closeTo(0.0245, 12),
      expect.closeTo(0.21525, 12),
      0.221,
      expect.closeTo(0.021, 12)
    ]);
    // under 1/32: a washer
    expect(resultOf(answer)).toMatchObject({ drill: '#2', needsWasher: true });
    // polycarbonate grows 45e-6: 0.0045 each way, 0.175250 → #16 0.177; 0.063 is covered
    expect(resultOf(clearPanelHole({ ...ASKED, panel: 'polycarbonate', spanIn: 4 }))).toMatchObject(
      {
        drill: '#16',
        coverIn: expect.closeTo(0.063, 12) as number,
        needsWasher: false
      }
    );
  });

  it('says when no drill is large enough', () => {
    const answer = clearPanelHole({ panel: 'acrylic', spanIn: 60, deltaTC: 60, dash: 8 });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(/largest drill, H 0\.266 in/);
  });

  it.each([
    [{ panel: 'glass' }, 'panel'],
    [{ spanIn: '0' }, 'spanIn'],
    [{ spanIn: '1201' }, 'spanIn'],
    [{ deltaTC: 501 }, 'deltaTC'],
    [{ deltaTC: -501 }, 'deltaTC'],
    [{ deltaTC: 'hot' }, 'deltaTC'],
    [{ dash: 7 }, 'dash']
  ])('asks for better input than %j', (change, path) => {
    expect(readInput(ClearPanelHoleInput, { ...ASKED, ...change })).toMatchObject({
      ok: false,
      error: { path }
    });
  });
});
