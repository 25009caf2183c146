import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { problemsOf } from '../schema/read';
import { gaugeVerdict, GaugeVerdictInput } from './gauge-verdict';

describe('what a gauge plate says', () => {
  holdsWorkedCases('gauge-verdict');

  const ask = (
    fitsOver: boolean,
    touchesSheet: boolean,
    plate: { headHoleIn?: number; notchIn?: number } = {}
  ) => resultOf(gaugeVerdict({ dash: 4, fitsOver, touchesSheet, plate }));

  it.each([
    [true, false, 'drive-more', ['under-driven'], ['short-of-metal']],
    [true, true, 'replace', ['short-of-metal'], []],
    [false, true, 'replace', ['over-driven'], []],
    [false, false, 'accept', [], ['too-wide', 'too-high']]
  ])('goes over %s, touches %s: %s', (fits, touches, verdict, findings, cannotTell) => {
    expect(ask(fits, touches)).toMatchObject({ verdict, findings, cannotTell });
  });

  it('never condemns on the word of a notch that is higher than the limit', () => {
    const high = { notchIn: 0.055 };
    expect(ask(false, true, high)).toMatchObject({
      verdict: 'measure',
      cannotTell: ['over-driven']
    });
    expect(ask(true, true, high)).toMatchObject({
      verdict: 'measure',
      findings: [],
      cannotTell: ['over-driven', 'short-of-metal']
    });
    expect(ask(false, false, high).verdict).toBe('accept');
  });

  it('does not call it short of metal where its hole is wider than the limit', () => {
    expect(ask(true, true, { headHoleIn: 0.17 })).toMatchObject({
      verdict: 'replace',
      findings: [],
      cannotTell: ['short-of-metal', 'over-driven']
    });
  });

  it('bounds what it can', () => {
    expect(ask(true, false)).toMatchObject({
      diameterLeastIn: null,
      diameterMostIn: 0.1625,
      heightLeastIn: 0.0475,
      heightMostIn: null
    });
  });

  it('is no gauge with a hole or a notch outside what it can tell, and says both ends', () => {
    const problem = (plate: object) => {
      const read = GaugeVerdictInput.safeParse({
        dash: 4,
        fitsOver: true,
        touchesSheet: false,
        plate
      });
      return read.success ? null : problemsOf(read.error)[0];
    };
    // 1.3 to 1.5 of 1/8 for the hole, 0.38 to 0.5 for the notch
    expect(problem({ headHoleIn: 0.1624 })).toMatchObject({
      path: 'plate.headHoleIn',
      said: { code: 'no-gauge', what: 'hole', leastIn: 0.1625, mostIn: 0.1875 }
    });
    expect(problem({ headHoleIn: 0.1625, notchIn: 0.0625 })).toBeNull();
    expect(problem({ headHoleIn: 0.1876 })).not.toBeNull();
    expect(problem({ notchIn: 0.0474 })).toMatchObject({
      path: 'plate.notchIn',
      said: { what: 'notch', leastIn: 0.0475, mostIn: 0.0625 }
    });
    expect(problem({ notchIn: 0 })).not.toBeNull();
    expect(problem({})).toBeNull();
  });
});
