import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { arithmetic } from '../../../tests/support/words';
import { stackView } from '../plan/stack-view';
import { DEFAULT_PROFILE } from '../rules/profile';
import { NO_WIDE_HOLES, wideHoles } from './wide-holes';

const sheet = (name: string, thicknessIn: number, holeIn: number | null = null) => ({
  name,
  thicknessIn,
  holeIn
});

describe('a sheet that is drilled larger than the rivet', () => {
  it('takes what fills its hole, or as much as a shank swells', () => {
    // π/4 × (0.14² − 0.1285²) × 0.1 = 0.000242511
    expect(
      wideHoles([sheet('frame', 0.04), sheet('panel', 0.1, 0.14)], 0.1285, 0.125).volumeIn3
    ).toBeCloseTo(0.000242511, 9);
    // 0.196 is over 1.15 D = 0.14375: π/4 × (0.14375² − 0.1285²) × 0.125 = 0.000407603
    const wide = wideHoles([sheet('panel', 0.125, 0.196)], 0.1285, 0.125);
    expect(wide.volumeIn3).toBeCloseTo(0.000407603, 9);
    expect(arithmetic(wide.work)).toEqual([
      'metal into panel’s hole: π/4·(d²−hole²)·t, d = smaller of 0.196 and 1.15 D: π/4 × (0.14375² − 0.1285²) × 0.125 = 0.000408 in³'
    ]);
  });

  it('is none that is drilled with the rest', () => {
    const none = { volumeIn3: 0, work: [] };
    expect(wideHoles([sheet('a', 0.04), sheet('b', 0.1, 0.1285)], 0.1285, 0.125)).toEqual(none);
    expect(NO_WIDE_HOLES).toEqual(none);
  });

  it('is the clear panel: drawn with its own hole, and its void is missing from the head', () => {
    const joint = definition('panel', ['0.040', '0.125', '0.050'], {
      widthIn: '20',
      heightIn: '12',
      frameIn: '1',
      deltaTC: '60',
      dash: 4
    });
    const [stack] = planned(joint).stacks;
    if (!stack?.length.ok || !stack.head.ok) throw new Error('no rivet');
    const { lengthIn, gripIn } = stack.length.result;
    // π/4 × (0.125² × (L − G) − (0.1285² − 0.125²) × G) − 0.000407603
    const plainIn3 =
      (Math.PI / 4) * (0.125 ** 2 * (lengthIn - gripIn) - (0.1285 ** 2 - 0.125 ** 2) * gripIn);
    expect(stack.head.result.volumeIn3).toBeCloseTo(plainIn3 - 0.000407603, 8);
    const view = stackView(stack, joint, DEFAULT_PROFILE);
    // 49e-6 × 60 × 10 each way: 0.125 + 0.0588 + 0.010 = 0.1938, drilled #9 0.196
    expect(view.section.sheets.map(({ holeRadiusIn }) => 2 * holeRadiusIn)).toEqual([
      0.1285, 0.196, 0.1285
    ]);
    // driven it swells to 1.15 × 0.125 there
    expect(view.section.sheets[1]?.swelledRadiusIn).toBeCloseTo(0.071875, 12);
    expect(view.section.sheets[1]?.outlineIn.map(([xIn]) => xIn)).toContain(0.098);
    const picked = view.candidates.find((one) => one.picked);
    expect(picked?.head.ok && picked.head.result.volumeIn3).toBe(stack.head.result.volumeIn3);
  });
});
