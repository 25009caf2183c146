import { describe, expect, it } from 'vitest';
import { written } from '../../../tests/support/words';
import { resultOf } from '../../../tests/support/cases';
import type { EnteredOf, Joint } from '../kinds/joint';
import { newSheet } from '../joint/sheets';
import { newJoint } from '../kinds/new-joint';
import { readEntered } from '../kinds/read-entered';
import { plan } from './plan';
import type { Plan, PlannedStack } from './plan-shape';
import { DEFAULT_PROFILE } from '../rules/profile';
import { waysOut } from './ways-out';
import { whyNot } from '../../../tests/support/why-not.ts';

const entered = (change: Partial<EnteredOf<'lap'>>, ...thick: string[]): EnteredOf<'lap'> => ({
  ...newJoint('lap'),
  widthIn: '10 3/4',
  location: 'single-lap',
  sheets: thick.map((thicknessIn, index) => newSheet(`sheet ${index + 1}`, thicknessIn)),
  ...change
});

function read(joint: EnteredOf<'lap'>): Joint {
  const result = readEntered(joint);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.definition;
}
const planned = (change: Partial<EnteredOf<'lap'>>, ...thick: string[]) =>
  plan(read(entered(change, ...thick)), DEFAULT_PROFILE);

const stackOf = (result: Plan): PlannedStack => {
  const [first] = result.stacks;
  if (!first) throw new Error('a plan has a stack');
  return first;
};

describe('the plan of a lap joint', () => {
  it('goes from sheets to a predicted head', () => {
    const result = planned({ scale: '1/64', edgeIn: '9/32' }, '0.040', '0.040');
    expect(result.dash).toBe(4);
    expect(result.required && resultOf(result.required).required).toBe(50);
    expect(resultOf(result.layout)).toMatchObject({ rivets: 50, rowsSharing: 2 });
    expect(resultOf(stackOf(result).length).partNumber).toBe('MS20470AD4-4.5');
    expect(stackOf(result).hole).toMatchObject({ drill: '#30', diameterIn: 0.1285 });
    // V = π/4 (0.125² × 0.20125 − (0.1285² − 0.125²) × 0.08); d = √(4V/(π·0.0625)) = 0.2218
    expect(resultOf(stackOf(result).head).diameterAtHalfDIn).toBeCloseTo(0.2218, 4);
    expect(written(result)).toEqual([]);
  });

  it('numbers holes along each row and keeps mark and residual', () => {
    const { holes } = planned({ scale: '1/64', edgeIn: '9/32' }, '0.040', '0.040');
    expect(holes).toHaveLength(50);
    expect(holes[0]).toMatchObject({ number: 1, row: 1, xIn: 0.28125, yIn: 0.28125 });
    expect(holes[25]).toMatchObject({ number: 26, row: 2, yIn: 0.28125 + 11 / 32 });
    // hole 4: 0.28125 + 3 × 10.1875/24 = 1.5546875 = 99.5/64, half away from zero: 100/64
    expect(holes[3]?.markIn).toBe(100 / 64);
    expect(holes[3]?.residualIn).toBeCloseTo(1 / 128, 12);
  });

  it('shows both diameter schools and both sheets when they differ', () => {
    const result = planned({}, '0.063', '0.032');
    expect(resultOf(result.diameter.byRule).dash).toBe(6);
    expect(resultOf(result.diameter.byOtherSchool).dash).toBe(3);
    expect(result.reckonedSheetIn).toBe(0.063);
    // on 0.032 bearing governs: 1/(1.6 × 0.191) = 3.27 → 3.3 × 10.75 × 0.75 = 26.6 → 27
    expect(result.requiredOnOther && resultOf(result.requiredOnOther).required).toBe(27);
    expect(planned({}, '0.040', '0.040').requiredOnOther).toBeNull();
  });

  it('reckons dimpled protrusion when the flush method dimples', () => {
    const result = planned({ head: 'countersunk', dash: 3 }, '0.025', '0.020');
    expect(stackOf(result).flush).toMatchObject({ ok: true, result: { method: 'dimple-each' } });
    const { protrusionIn, atDimpleIn } = resultOf(stackOf(result).length);
    expect(protrusionIn - (atDimpleIn ?? NaN)).toBeCloseTo(0.036, 12);
    expect(written(result).map((warning) => warning.title)).toContain('Flush heads carry less');
  });

  it('calls attention to a length that makes no head inside tight limits, and does not forbid it', () => {
    const tight = { ...DEFAULT_PROFILE, headLimits: 'tight' as const };
    const result = plan(read(entered({}, '0.040', '0.040')), tight);
    expect(resultOf(stackOf(result).head).heightBandD).toBeNull();
    expect(written(result)).toContainEqual(
      expect.objectContaining({
        station: 'stack-up',
        level: 'attention',
        title: 'This length cannot form a good shop head'
      })
    );
  });

  it('stops at a knife edge', () => {
    const warnings = written(planned({ head: 'countersunk', dash: 5 }, '0.050', '0.050'));
    expect(warnings).toContainEqual(
      expect.objectContaining({ level: 'stop', title: 'Knife edge' })
    );
  });

  it('says which limit a coarse ruler breaks', () => {
    // edge 0.25 falls on 0.3, but 10.75 − 0.25 = 10.5 stays: fine; width 10.7 puts the last mark 0.2 from the edge
    const warnings = written(
      planned({ scale: '0.1', edgeIn: '0.26', widthIn: '10.71' }, '0.040', '0.040')
    );
    expect(warnings).toContainEqual(
      expect.objectContaining({
        level: 'stop',
        title: 'Rounded to this scale, a mark is too close to an edge'
      })
    );
  });

  it('calls out a layout with over a quarter more than needed', () => {
    const warnings = written(
      planned(
        {
          prefer: 'near',
          nearPitchIn: '0.4',
          rows: 3,
          location: 'intermediate-frame',
          family: '5052'
        },
        '0.040',
        '0.040'
      )
    );
    expect(warnings.map((warning) => warning.title)).toContain('More rivets than required');
  });

  it('knows each hole’s headroom as it will be marked', () => {
    expect(planned({}, '0.040', '0.040').headroom[7]).toMatchObject({
      hole: 8,
      largestDash: 4,
      limitedBy: 'edge',
      // the pitch, 0.424, is short of 3 × 5/32 too
      edgeShortIn: null
    });
    const roomy = planned({ edgeIn: '3/8', location: 'intermediate-frame' }, '0.040', '0.040');
    // 40 in two rows: pitch 10/19 = 0.526 takes dash 5 (0.469), not dash 6 (0.5625)
    expect(new Set(roomy.headroom.map(({ largestDash }) => largestDash))).toEqual(new Set([5]));
    expect(
      written(roomy)
        .map(({ title }) => title)
        .join()
    ).not.toMatch(/Rework margin/);
  });

  it('carries a refusal through to everything that rests on it', () => {
    const result = planned({ dash: 8 }, '0.032', '0.032');
    expect(result.required && whyNot(result.required)).toBe('rivet-too-large');
    expect(result.layout).toEqual(result.required);
    expect(result.holes).toEqual([]);
    expect(stackOf(result).length.ok).toBe(true);
  });
});

describe('ways out of an impossible joint', () => {
  const ways = (change: Partial<EnteredOf<'lap'>>, ...thick: string[]) => {
    const definition = read(entered(change, ...thick));
    return waysOut(definition, DEFAULT_PROFILE, plan(definition, DEFAULT_PROFILE));
  };

  it('offers nothing while the joint is possible', () => {
    expect(ways({}, '0.040', '0.040')).toEqual([]);
  });

  it('frees the rows first', () => {
    expect(ways({ rows: 1 }, '0.040', '0.040')[0]).toEqual({
      said: { code: 'rows-chosen' },
      change: { rows: 'auto' }
    });
  });

  it('offers the nearest size that the sheet takes', () => {
    expect(ways({ dash: 8 }, '0.032', '0.032')[0]?.change).toEqual({ dash: 6 });
    // on 0.090 dash 4 needs 112 and dash 5 needs 74: neither fits three rows at 3 D; dash 6 needs 51
    expect(ways({ dash: 3 }, '0.090', '0.090')[0]?.change).toEqual({ dash: 6 });
  });

  it('goes back to the usual edge distance', () => {
    expect(ways({ edgeIn: '0.1' }, '0.040', '0.040').map((way) => way.change)).toContainEqual({
      edgeIn: ''
    });
  });

  it('names a width that works, and it does', () => {
    const narrow = ways({ widthIn: '0.5' }, '0.040', '0.040');
    const wider = narrow.find((way) => way.change.widthIn !== undefined);
    expect(Number(wider?.change.widthIn)).toBeGreaterThan(0.5);
    expect(planned({ ...wider?.change }, '0.040', '0.040').layout.ok).toBe(true);
  });
});
