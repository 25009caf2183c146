import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import type { IssuedFacts, IssuedHole } from '../issue/issue';
import { DEFAULT_PROFILE } from '../rules/profile';
import { decideHole, type FoundHole } from './decide-hole';
import { whyNot } from '../../../tests/support/why-not.ts';

const facts = (changes: Partial<IssuedFacts> = {}): IssuedFacts => ({
  dash: 4,
  head: 'universal',
  partNumber: 'MS20470DD4-5',
  gripIn: 0.11,
  lengthIn: 0.3125,
  holeIn: 0.1285,
  widthIn: 9,
  overlapIn: 1,
  limits: 'standard',
  limitsReference: null,
  keptClosed: null,
  predictedIn3: 0.0022,
  rules: DEFAULT_PROFILE,
  stacks: [],
  ...changes
});
const hole = (room: Partial<NonNullable<IssuedHole['room']>> = {}): IssuedHole => ({
  number: 3,
  row: 1,
  xIn: 1,
  yIn: 0.4,
  markIn: 1,
  stack: 0,
  dash: 4,
  gripIn: 0.11,
  room: { edgeIn: 0.4, pitchIn: 0.9, betweenRowsIn: null, sheetsIn: [0.05, 0.06], ...room }
});
const found = (changes: Partial<FoundHole> = {}): FoundHole => ({
  widestIn: 0.13,
  tooDeepIn: null,
  seen: [],
  outs: 1,
  ...changes
});
const decide = (f: Partial<FoundHole>, h = hole(), of = facts()) =>
  resultOf(decideHole(of, h, found(f)));

describe('what becomes of an empty hole', () => {
  it('keeps its size up to 0.003 in over its drill, with the hole as it is now', () => {
    expect(decide({ widestIn: 0.1315 })).toMatchObject({
      decision: 'keep',
      rivet: { partNumber: 'MS20470DD4-5', dash: 4, holeIn: 0.1315 }
    });
    // measured under the drill: the hole is as drilled
    expect(decide({ widestIn: 0.127 }).rivet?.holeIn).toBe(0.1285);
  });

  it('goes one size up, in its own alloy, with its own length and drill', () => {
    // 0.11 + 1.5 × 0.15625 = 0.344: 11/32, dash 5.5
    expect(decide({ widestIn: 0.136 })).toEqual({
      decision: 'next-size',
      because: null,
      against: [],
      rivet: { dash: 5, partNumber: 'MS20470DD5-5.5', lengthIn: 0.34375, holeIn: 0.159 }
    });
  });

  it.each([
    [{ edgeIn: 0.3 }, ['edge']],
    [{ pitchIn: 0.46 }, ['pitch']],
    // 2.5 × 5/32 = 0.390625
    [{ betweenRowsIn: 0.39 }, ['between-rows']],
    [{ edgeIn: 0.3, betweenRowsIn: 0.3 }, ['edge', 'between-rows']]
  ])('refers it where %j is in the way', (room, against) => {
    expect(decide({ widestIn: 0.136 }, hole(room))).toMatchObject({
      decision: 'refer',
      against,
      rivet: null
    });
  });

  it('refers it for what no size settles, and at the third time', () => {
    expect(decide({ seen: ['cracked'] })).toMatchObject({ decision: 'refer', because: 'cracked' });
    expect(decide({ outs: 3 })).toMatchObject({ decision: 'refer', because: 'third-time' });
    expect(decide({ outs: 2 }).decision).toBe('keep');
  });

  it('takes a larger head for a cut that is too deep, while that head is deep enough', () => {
    const flush = facts({ head: 'countersunk', partNumber: 'MS20426AD4-5' });
    const thick = hole({ sheetsIn: [0.09, 0.06], edgeIn: 0.45 });
    // dash 5 is 0.055 − 0.042 = 0.013 deeper
    expect(decide({ tooDeepIn: 0.013 }, thick, flush)).toMatchObject({
      decision: 'next-size',
      rivet: { dash: 5 }
    });
    expect(decide({ tooDeepIn: 0.014 }, thick, flush)).toMatchObject({
      decision: 'refer',
      against: ['cut-too-deep']
    });
    // 0.055 deep in 0.050 would go through
    expect(decide({ tooDeepIn: 0.004 }, hole({ edgeIn: 0.45 }), flush)).toMatchObject({
      decision: 'refer',
      against: ['flush']
    });
  });

  it('never puts in a rivet whose metal makes no head: the next longer one, or none', () => {
    // 0.02 + 0.02 dimpled through, dash 3, -3.5: 0.21875 − 0.04 − 0.036 leaves 1.52 D beyond the dimple
    const dimpled = (lengthIn: number, dash: number) =>
      facts({
        head: 'countersunk',
        dash: 3,
        limits: 'standard',
        partNumber: `MS20426AD3-${dash}`,
        stacks: [
          {
            name: '',
            dash: 3,
            partNumber: `MS20426AD3-${dash}`,
            lengthIn,
            holeIn: 0.098,
            dimpledThrough: true,
            raisedIn: 0,
            wideIn3: 0
          }
        ]
      });
    const thin = {
      ...hole({ sheetsIn: [0.02, 0.02], edgeIn: 0.35 }),
      dash: 3 as const,
      gripIn: 0.04
    };
    expect(decide({ widestIn: 0.1 }, thin, dimpled(0.21875, 3.5)).rivet?.partNumber).toBe(
      'MS20426AD3-3.5'
    );
    // 0.125 − 0.04 − 0.036 leaves 0.049 in of shank, half a D: no head; a longer one is looked for
    const short = decide({ widestIn: 0.1 }, thin, dimpled(0.125, 2)).rivet;
    expect(short?.lengthIn).toBeGreaterThan(0.125);
    // the flat stack's nearest length for dash 4, 0.21875, leaves 0.137 in beyond the dimple: 1.09 D, enough
    expect(decide({ widestIn: 0.102 }, thin, dimpled(0.21875, 3.5))).toMatchObject({
      decision: 'next-size',
      rivet: { dash: 4 }
    });
  });

  it('says nothing of a hole that the release knows nothing about', () => {
    expect(decideHole(facts({ rules: null }), hole(), found())).toMatchObject({
      ok: false,
      error: { said: { code: 'no-room-frozen' } }
    });
    expect(whyNot(decideHole(facts(), { ...hole(), room: null }, found()))).toBe('no-room-frozen');
    expect(whyNot(decideHole(facts(), hole(), found({ widestIn: 0.12 })))).toBe('hole-too-small');
    // 1.31 for 0.131
    expect(decideHole(facts(), hole(), found({ widestIn: 1.31 }))).toMatchObject({
      ok: false,
      error: { said: { code: 'hole-too-large' } }
    });
  });
});
