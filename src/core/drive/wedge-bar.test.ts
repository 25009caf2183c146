import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { wedgeBar } from './wedge-bar';

describe('a wedge bar in a closed member', () => {
  holdsWorkedCases('wedge-bar');

  const asked = {
    insideIn: 1.3,
    barIn: 0.95,
    shimIn: 0,
    risePerIn: 0.1,
    travelIn: 2,
    dash: 5,
    protrusionIn: 0.234375,
    shopHeightD: 0.5
  } as const;

  it('touches after the room, and is pulled on until the head is made', () => {
    const bar = resultOf(wedgeBar(asked));
    // 1.3 − 0.95 − 0.234375; a head of 0.078125 leaves 0.271875, at 0.1 an inch 2.71875: over the travel
    expect(bar.freeIn).toBeCloseTo(0.115625, 12);
    expect(bar.touchPullIn).toBeCloseTo(1.15625, 12);
    expect(bar.finalPullIn).toBeCloseTo(2.71875, 12);
    expect(bar.fits).toBe(false);
    // a shim of 0.071875 brings it within the travel; one of 0.115625 just lets it in
    expect(bar.shimLeastIn).toBeCloseTo(0.071875, 12);
    expect(bar.shimMostIn).toBeCloseTo(0.115625, 12);
  });

  it('fits with the least and the most of its shims, and with no other', () => {
    const { shimLeastIn, shimMostIn } = resultOf(wedgeBar(asked));
    const fits = (shimIn: number) => resultOf(wedgeBar({ ...asked, shimIn })).fits;
    expect([fits(shimLeastIn ?? -1), fits(shimMostIn ?? -1)]).toEqual([true, true]);
    expect([fits((shimLeastIn ?? 0) - 0.001), fits((shimMostIn ?? 0) + 0.001)]).toEqual([
      false,
      false
    ]);
  });

  it('has no shim where the travel is too short for any', () => {
    expect(resultOf(wedgeBar({ ...asked, travelIn: 1 }))).toMatchObject({
      fits: false,
      shimLeastIn: null,
      shimMostIn: null
    });
  });

  it('refuses a bar that does not go in, and a wedge that slips', () => {
    expect(wedgeBar({ ...asked, barIn: 1.1 })).toMatchObject({ error: { code: 'not-possible' } });
    for (const [change, path] of [
      [{ protrusionIn: 0.15 }, 'protrusionIn'],
      [{ risePerIn: 0.51 }, 'risePerIn'],
      [{ shopHeightD: 0.66 }, 'shopHeightD']
    ] as const)
      expect(calc('wedge-bar', { ...asked, ...change })).toMatchObject({
        error: { code: 'invalid-input', path }
      });
  });
});
