import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import type { ReleasedFacts, ReleasedHole } from '../release/release';
import { DEFAULT_PROFILE } from '../rules/profile';
import { decideHole, type FoundHole } from './decide-hole';
import { whyNot } from '../../../tests/support/why-not.ts';

const facts = (changes: Partial<ReleasedFacts> = {}): ReleasedFacts => ({
  practice: false,
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
  blinds: [],
  throughPlastic: null,
  bound: null,
  predictedIn3: 0.0022,
  rules: DEFAULT_PROFILE,
  stacks: [],
  ...changes
});
const hole = (room: Partial<NonNullable<ReleasedHole['room']>> = {}): ReleasedHole => ({
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
    // measured under the nominal hole: it is reamed or drilled to size, and is then as drilled
    expect(decide({ widestIn: 0.127 })).toMatchObject({
      decision: 'keep',
      rivet: { holeIn: 0.1285 },
      tooSmall: { drill: '#30', drillIn: 0.1285 }
    });
    // written alike it is at it
    expect(decide({ widestIn: 0.12846 }).tooSmall).toBeUndefined();
    expect(decide({ widestIn: 0.1315 }).tooSmall).toBeUndefined();
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
    // a hole that has outgrown its rivet: no dimple is made larger in place
    expect(decide({ widestIn: 0.102 }, thin, dimpled(0.21875, 3.5))).toMatchObject({
      decision: 'refer',
      against: ['flush'],
      rivet: null
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

  it.each([
    [3, '#40', 0.101, 0.1011, 4, 0.1285],
    [4, '#30', 0.1315, 0.1316, 5, 0.159],
    [5, '#21', 0.162, 0.1621, 6, 0.191],
    [6, '#11', 0.194, 0.1941, 8, 0.257]
  ] as const)(
    'dash %i (%s) keeps its size to %f, from %f on dash %i',
    (dash, _, keeps, grows, next, drill) => {
      const roomy = {
        ...hole({ edgeIn: 2, pitchIn: 4, sheetsIn: [0.125, 0.125] }),
        dash,
        gripIn: 0.25
      };
      const lengthIn = { 3: 0.40625, 4: 0.4375, 5: 0.5, 6: 0.53125 }[dash];
      const of = facts({
        dash,
        partNumber: `MS20470AD${dash}-${lengthIn * 16}`,
        gripIn: 0.25,
        lengthIn,
        holeIn: 0.1
      });
      expect(decide({ widestIn: keeps }, roomy, of).decision).toBe('keep');
      expect(decide({ widestIn: grows }, roomy, of)).toMatchObject({
        decision: 'next-size',
        rivet: { dash: next, holeIn: drill }
      });
    }
  );

  it('has no larger size than dash 8, also where only its cut is too deep', () => {
    const eight = {
      ...hole({ edgeIn: 2, pitchIn: 4, sheetsIn: [0.125, 0.125] }),
      dash: 8 as const,
      gripIn: 0.25
    };
    const of = (head: 'universal' | 'countersunk') =>
      facts({
        dash: 8,
        head,
        partNumber: `MS20${head === 'universal' ? '470' : '426'}AD8-10`,
        gripIn: 0.25,
        lengthIn: 0.625,
        holeIn: 0.257
      });
    expect(decide({ widestIn: 0.262 }, eight, of('universal'))).toMatchObject({
      decision: 'refer',
      against: ['no-larger-size'],
      rivet: null
    });
    expect(decide({ widestIn: 0.257, tooDeepIn: 0.003 }, eight, of('countersunk'))).toMatchObject({
      decision: 'refer',
      against: ['no-larger-size']
    });
  });

  it('a protruding head has no cut that could be too deep', () => {
    expect(decide({ tooDeepIn: 0.01 }).decision).toBe('keep');
    const flush = facts({ head: 'countersunk', partNumber: 'MS20426AD4-5' });
    expect(
      decide({ tooDeepIn: 0 }, hole({ sheetsIn: [0.09, 0.06], edgeIn: 0.45 }), flush).decision
    ).toBe('keep');
  });

  it('a cut that is too deep is held against room as a wider hole is', () => {
    const flush = facts({ head: 'countersunk', partNumber: 'MS20426AD4-5' });
    // 2.5 × 5/32 = 0.390625
    expect(
      decide({ tooDeepIn: 0.004 }, hole({ sheetsIn: [0.09, 0.06], edgeIn: 0.39 }), flush).against
    ).toEqual(['edge']);
    expect(
      decide(
        { tooDeepIn: 0.02 },
        hole({ sheetsIn: [0.09, 0.06], edgeIn: 0.39, betweenRowsIn: 0.39 }),
        flush
      ).against
    ).toEqual(['edge', 'between-rows', 'cut-too-deep']);
  });

  it('names the first thing seen, before any size, and the third time before that', () => {
    expect(decide({ seen: ['elongated', 'cracked'], widestIn: 0.136 })).toMatchObject({
      decision: 'refer',
      because: 'elongated',
      against: [],
      rivet: null
    });
    expect(decide({ seen: ['dented'], outs: 3 }).because).toBe('third-time');
    expect(decide({ outs: 4 }).because).toBe('third-time');
  });

  it('knows what lies at its limits from what lies over them', () => {
    expect(decide({ widestIn: 0.136 }, hole({ betweenRowsIn: 0.390625 })).decision).toBe(
      'next-size'
    );
    expect(decide({ widestIn: 0.136 }, hole({ pitchIn: null })).decision).toBe('next-size');
    // twice its diameter is still a hole, more is a slipped figure
    expect(decide({ widestIn: 0.25 }).decision).toBe('refer');
    expect(whyNot(decideHole(facts(), hole(), found({ widestIn: 0.2501 })))).toBe('hole-too-large');
  });

  it('reckons the length by the hole’s own grip, by the shop’s increments and lean', () => {
    const thick = { ...hole({ sheetsIn: [0.1, 0.1] }), gripIn: 0.2 };
    // 0.2 + 1.5 × 5/32 = 0.434: 7/16
    expect(decide({ widestIn: 0.136 }, thick).rivet?.lengthIn).toBe(0.4375);
    const old = { ...hole(), gripIn: null };
    expect(decide({ widestIn: 0.136 }, old, facts({ gripIn: 0.2 })).rivet?.lengthIn).toBe(0.4375);
    const whole = facts({ rules: { ...DEFAULT_PROFILE, increments: 'sixteenth', lean: 'long' } });
    expect(decide({ widestIn: 0.136 }, hole(), whole).rivet).toMatchObject({
      lengthIn: 0.375,
      partNumber: 'MS20470DD5-6'
    });
  });

  it('drills the next size by the shop’s own drill', () => {
    const loose = facts({ rules: { ...DEFAULT_PROFILE, drill: 'loose' } });
    expect(decide({ widestIn: 0.136 }, hole(), loose).rivet?.holeIn).toBe(0.161);
  });

  it('refers where no length makes a head in that hole', () => {
    // metal goes into a sheet that is drilled wide: none is left for a head
    const stacks = [
      {
        name: '',
        dash: 4 as const,
        partNumber: 'MS20470DD4-5',
        lengthIn: 0.3125,
        holeIn: 0.1285,
        dimpledThrough: false,
        raisedIn: 0,
        wideIn3: 0.02
      }
    ];
    expect(decide({}, hole(), facts({ stacks }))).toMatchObject({
      decision: 'refer',
      against: ['length']
    });
    expect(decide({ widestIn: 0.136 }, hole(), facts({ stacks }))).toMatchObject({
      decision: 'refer',
      against: ['length']
    });
    const strange = facts({ partNumber: 'of another standard' });
    expect(decide({}, hole(), strange).against).toEqual(['length']);
  });

  it('shows its arithmetic: removals, room between rows, the deeper head, the length', () => {
    const work = (f: Partial<FoundHole>, h = hole(), of = facts()) => {
      const decided = decideHole(of, h, found(f));
      return decided.ok ? decided.work : [];
    };
    const values = (lines: ReturnType<typeof work>) => lines.map(({ value }) => value);
    expect(values(work({ outs: 2 }))).toContain(2);
    expect(values(work({ widestIn: 0.136 }, hole({ betweenRowsIn: 0.6 })))).toContain(0.390625);
    expect(values(work({ widestIn: 0.136 }))).toContain(0.34375);
    expect(values(work({ widestIn: 0.136 }))).not.toContain(0.390625);
    const flush = facts({ head: 'countersunk', partNumber: 'MS20426AD4-5' });
    const deep = work({ tooDeepIn: 0.004 }, hole({ sheetsIn: [0.09, 0.06], edgeIn: 0.45 }), flush);
    expect(
      deep.some(({ value }) => typeof value === 'number' && Math.abs(value - 0.013) < 1e-9)
    ).toBe(true);
  });
});
