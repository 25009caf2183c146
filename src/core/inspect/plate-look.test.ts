import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { plateSays, type PlateLook } from './plate-look';
import { whyNot } from '../../../tests/support/why-not.ts';

/** Dash 5, D = 0.15625: 1.3 D = 0.203125, 1.75 D = 0.2734375, 0.38 D = 0.059375, 0.65 D = 0.1015625. */
const PLATE = {
  name: 'plate 2',
  headHoleIn: 0.2035,
  notchIn: 0.0595,
  upperHoleIn: 0.273,
  upperNotchIn: 0.101
};
const look = (changes: Partial<PlateLook>): PlateLook => ({
  plate: PLATE,
  fitsOver: false,
  touchesSheet: false,
  upperFits: null,
  upperTouches: null,
  ...changes
});
const says = (changes: Partial<PlateLook>, limits: 'standard' | 'tight' = 'standard') =>
  resultOf(plateSays(5, limits, look(changes)));

describe('a gauge plate with upper holes', () => {
  it('leaves too wide and too high open until they are tried', () => {
    expect(says({})).toEqual({
      verdict: 'accept',
      findings: [],
      cannotTell: ['too-wide', 'too-high']
    });
    expect(says({ upperFits: true })).toMatchObject({
      verdict: 'accept',
      cannotTell: ['too-high']
    });
    expect(says({ upperFits: true, upperTouches: true })).toEqual({
      verdict: 'accept',
      findings: [],
      cannotTell: []
    });
  });

  it('tells what is too high, and what is too wide', () => {
    const over = { ...PLATE, upperHoleIn: 0.274, upperNotchIn: 0.102 };
    expect(says({ plate: PLATE, upperFits: true, upperTouches: false })).toMatchObject({
      // the notch lies a little under the limit: higher than it may still be good
      verdict: 'accept',
      cannotTell: ['too-high']
    });
    expect(
      says({ plate: { ...PLATE, upperNotchIn: 0.102 }, upperFits: true, upperTouches: false })
    ).toEqual({ verdict: 'drive-more', findings: ['under-driven'], cannotTell: [] });
    // over 1.75 D wide it is good up to 2 D if it is not high: that takes a caliper
    expect(says({ plate: over, upperFits: false })).toMatchObject({
      verdict: 'measure',
      findings: ['too-long'],
      cannotTell: ['too-long', 'too-high']
    });
    expect(says({ plate: over, upperFits: false, upperTouches: false })).toMatchObject({
      verdict: 'replace',
      findings: ['too-long']
    });
  });

  it('says of narrower limits only what it can', () => {
    // a head wider than 1.3 D may still be under the 1.45 D of tight limits
    expect(says({ upperFits: true, upperTouches: true }, 'tight')).toMatchObject({
      verdict: 'measure',
      cannotTell: ['too-narrow', 'too-low', 'too-wide', 'too-high']
    });
    // one that enters is under both
    expect(says({ fitsOver: true }, 'tight')).toMatchObject({ verdict: 'drive-more' });
  });

  it('never orders more blows on a head that a wide hole goes over', () => {
    const wide = { ...PLATE, headHoleIn: 0.22 };
    expect(says({ plate: wide, fitsOver: true })).toMatchObject({ verdict: 'measure' });
  });

  it('refuses answers that cannot both be', () => {
    const answer = plateSays(5, 'standard', look({ fitsOver: true, upperFits: false }));
    expect(answer).toMatchObject({ ok: false, error: { said: { code: 'plate-contradicts' } } });
    expect(
      plateSays(5, 'standard', look({ touchesSheet: true, upperTouches: false }))
    ).toMatchObject({ ok: false, error: { said: { what: 'notch' } } });
  });

  it('refuses a plate that is no gauge', () => {
    expect(whyNot(plateSays(5, 'standard', look({ plate: { ...PLATE, headHoleIn: 0.2 } })))).toBe(
      'no-gauge'
    );
  });
});
