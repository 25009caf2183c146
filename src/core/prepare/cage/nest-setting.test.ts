import { describe, expect, it } from 'vitest';
import { notation } from '../../../../tests/support/words';
import { nestSetting } from './nest-setting';

const SETUP = { dash: 4, skinIn: 0.032, sheetIn: 0.063 } as const;

describe('the setting for holes beneath a dimple', () => {
  it('goes deeper by whole clicks of the cage’s own step, and shows how', () => {
    // 0.3054 × 0.032 = 0.00977: nine clicks of 0.001; 0.042 − 0.001 + 0.009 = 0.050 deep
    const answer = nestSetting(SETUP, 9, 0.001, 0.001);
    expect(answer).toMatchObject({
      ok: true,
      result: {
        clicks: 18,
        extraClicks: 9,
        depthIn: expect.closeTo(0.05, 12) as number,
        wallIn: expect.closeTo(0.013, 12) as number
      }
    });
    const work = answer.ok ? answer.work.slice(-2) : [];
    expect(work.map(({ label, formula, value }) => [label, notation(formula), value])).toEqual([
      ['setting', '9 + 9', 18],
      ['left under the cut', '0.063 − (0.042 − 0.001 + 9 × 0.001)', expect.closeTo(0.013, 12)]
    ]);
    // a coarser step needs fewer: 0.00977 / 0.0015 = 6.5
    expect(nestSetting(SETUP, 9, 0.001, 0.0015)).toMatchObject({
      result: { extraClicks: 6, clicks: 15, depthIn: expect.closeTo(0.05, 12) as number }
    });
  });

  it('is none where the cut would go through the sheet, and one where it just does not', () => {
    expect(nestSetting({ ...SETUP, sheetIn: 0.0499 }, 9, 0.001, 0.001)).toMatchObject({
      ok: false,
      error: {
        path: 'sheetIn',
        said: {
          code: 'nest-through',
          depthIn: expect.closeTo(0.05, 12) as number,
          sheetIn: 0.0499
        }
      }
    });
    expect(nestSetting({ ...SETUP, sheetIn: 0.05 }, 9, 0.001, 0.001)).toMatchObject({ ok: true });
  });

  it('takes a cage that cuts less than an ordinary one at its word, and its sheet no thinner for it', () => {
    // 0.00977 / 0.0008 = 12.2 clicks; held against the sheet at 0.001 each: 0.042 − 0.001 + 0.012 = 0.053
    expect(nestSetting(SETUP, 9, 0.001, 0.0008)).toMatchObject({
      result: { extraClicks: 12, clicks: 21, depthIn: expect.closeTo(0.053, 12) as number }
    });
    expect(nestSetting({ ...SETUP, sheetIn: 0.052 }, 9, 0.001, 0.0008)).toMatchObject({
      ok: false,
      error: { said: { code: 'nest-through', depthIn: expect.closeTo(0.053, 12) as number } }
    });
  });
});
