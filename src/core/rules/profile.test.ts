import { describe, expect, it } from 'vitest';
import { problemsOf } from '../schema/read';
import { FLUSHNESS_LIMITS } from './flushness';
import { DEFAULT_PROFILE, RuleProfile } from './profile';

const problems = (multipliers: object): string[] => {
  const read = RuleProfile.safeParse({
    ...DEFAULT_PROFILE,
    multipliers: { ...DEFAULT_PROFILE.multipliers, ...multipliers }
  });
  return read.success ? [] : problemsOf(read.error).map(({ path }) => path);
};

describe('a rule profile', () => {
  it('holds its own defaults', () => {
    expect(RuleProfile.parse(DEFAULT_PROFILE)).toEqual(DEFAULT_PROFILE);
  });

  it('reads a profile stored before the later schools were there', () => {
    const { name, version, diameter, pitch, housePitchIn, drill, increments, lean, headLimits } =
      DEFAULT_PROFILE;
    const older = {
      name,
      version,
      diameter,
      pitch,
      housePitchIn,
      drill,
      increments,
      lean,
      headLimits
    };
    expect(RuleProfile.parse(older)).toEqual(DEFAULT_PROFILE);
  });

  it.each([
    [{ pitchMinD: 13 }, 'multipliers.pitchMinD'],
    [{ edgeMinD: { universal: 2, countersunk: 4.5 } }, 'multipliers.edgeMinD'],
    [{ transverseMinD: 5 }, 'multipliers.transverseMinD'],
    [{ protrusionMinD: 2.5 }, 'multipliers.protrusionMinD'],
    [{ pitchMaxD: 0 }, 'multipliers.pitchMaxD'],
    // slipped decimals: a hole on every hair
    [{ pitchMinD: 0.0005 }, 'multipliers.pitchMinD'],
    [{ pitchMinD: 0.0005, pitchMaxD: 0.001 }, 'multipliers.pitchMinD'],
    [{ transverseOfPitch: 0.0075 }, 'multipliers.transverseOfPitch'],
    [{ edgeMaxD: 40 }, 'multipliers.edgeMaxD'],
    [{ edgeMaxD: Number.NaN }, 'multipliers.edgeMaxD']
  ])('refuses %j', (change, path) => {
    expect(problems(change)).toContain(path);
  });

  it('takes shorter icebox times as they are, and longer ones with the data that allow them', () => {
    const wrong = (icebox: object) => {
      const read = RuleProfile.safeParse({
        ...DEFAULT_PROFILE,
        icebox: { D: null, DD: null, ...icebox }
      });
      return read.success ? [] : problemsOf(read.error).map(({ path }) => path);
    };
    const times = (dueMinutes: number, limitMinutes: number, data = '') => ({
      dueMinutes,
      limitMinutes,
      data
    });
    // the guidance: DD 10 and 20, D 60 and 60
    expect(wrong({ DD: times(5, 12), D: times(20, 40) })).toEqual([]);
    expect(wrong({ DD: times(10, 20) })).toEqual([]);
    expect(wrong({ DD: times(10, 21) })).toEqual(['icebox.DD.data']);
    expect(wrong({ DD: times(11, 20, '  ') })).toEqual(['icebox.DD.data']);
    expect(wrong({ D: times(60, 61) })).toEqual(['icebox.D.data']);
    expect(wrong({ DD: times(15, 30, 'process sheet 12') })).toEqual([]);
    expect(wrong({ DD: times(15, 12) })).toContain('icebox.DD.dueMinutes');
    expect(wrong({ D: times(0, 12) })).toContain('icebox.D.dueMinutes');
  });

  it('lets a minimum equal its maximum', () => {
    expect(problems({ pitchMinD: 12 })).toEqual([]);
  });

  it('knows how far a flush head may stand out, school by school', () => {
    expect(FLUSHNESS_LIMITS['three-proud']).toEqual({ lowIn: 0, highIn: 0.003 });
    expect(FLUSHNESS_LIMITS.aerodynamic.lowIn).toBe(-FLUSHNESS_LIMITS.aerodynamic.highIn);
  });
});
