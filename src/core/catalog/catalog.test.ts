import { describe, expect, it } from 'vitest';
import { DRILLS, drillIn } from './drills';
import { FAMILY_CONSTANTS, LEAST_SHEET_IN, LOCATION_FACTOR } from './families';
import { HEAD_LIMITS } from './head-limits';
import { DASHES, PART_BASICS, RIVET_SIZES, rivetSize } from './rivets';
import { RIVET_SHEAR_KSI, SHEET_STRENGTHS } from './strengths';

describe('the drills', () => {
  it('are 60 numbers and 8 letters, each larger than the one before', () => {
    expect(DRILLS).toHaveLength(68);
    DRILLS.slice(1).forEach(({ name, diameterIn }, index) =>
      expect(diameterIn, name).toBeGreaterThan(DRILLS[index]?.diameterIn ?? NaN)
    );
  });

  it.each([
    ['#1', 0.228],
    ['#10', 0.1935],
    ['#11', 0.191],
    ['#20', 0.161],
    ['#21', 0.159],
    ['#30', 0.1285],
    ['#40', 0.098],
    ['#60', 0.04],
    ['A', 0.234],
    ['E', 0.25],
    ['F', 0.257],
    ['H', 0.266]
  ])('%s is %d in', (name, diameterIn) => {
    expect(drillIn(name)).toBe(diameterIn);
  });

  it('know no #61', () => {
    expect(() => drillIn('#61')).toThrow(/expected #1 to #60 or A to H/);
  });
});

describe('the rivets', () => {
  it('come in dash numbers that are 32nds of an inch', () => {
    expect(DASHES).toEqual([3, 4, 5, 6, 8]);
    for (const { dash, diameterIn } of RIVET_SIZES) expect(diameterIn * 32).toBe(dash);
  });

  it('have holes over the shank: 0.002 to 0.005, 0.007 for dash 8', () => {
    for (const { dash, diameterIn, drill, nominalHoleIn } of RIVET_SIZES) {
      const clearance = drillIn(drill.close) - diameterIn;
      expect(clearance, `dash ${dash}`).toBeGreaterThanOrEqual(0.002);
      expect(clearance, `dash ${dash}`).toBeLessThanOrEqual(dash === 8 ? 0.0071 : 0.005);
      expect(drillIn(drill.loose)).toBeGreaterThanOrEqual(drillIn(drill.close));
      expect(nominalHoleIn).toBeGreaterThan(diameterIn);
    }
  });

  it('have heads as tall and wide as the table says', () => {
    expect(rivetSize(4).head).toEqual({
      universal: { diameterIn: 0.25, heightIn: 0.054 },
      countersunk: { diameterIn: 0.225, heightIn: 0.042 }
    });
    // universal heads are twice the shank wide, to the nearest thou
    for (const { diameterIn, head } of RIVET_SIZES)
      expect(Math.abs(head.universal.diameterIn - 2 * diameterIn)).toBeLessThanOrEqual(0.001);
  });

  it('have a 100° cone: width over the shank is 2·tan 50° × height, within 6 %', () => {
    for (const { dash, diameterIn, head } of RIVET_SIZES) {
      const cone = 2 * Math.tan((50 * Math.PI) / 180) * head.countersunk.heightIn;
      const measured = head.countersunk.diameterIn - diameterIn;
      expect(Math.abs(measured / cone - 1), `dash ${dash}`).toBeLessThan(0.06);
    }
  });

  it('have their public part numbers', () => {
    expect(PART_BASICS).toEqual({
      MS: { universal: 'MS20470', countersunk: 'MS20426' },
      AN: { universal: 'AN470', countersunk: 'AN426' }
    });
  });
});

describe('the strengths and guidance', () => {
  it('are the published ones', () => {
    expect(RIVET_SHEAR_KSI).toEqual({ A: 10, AD: 30, D: 38, DD: 41, B: 28, E: 43 });
    expect(SHEET_STRENGTHS['7075-T6 clad']).toEqual({
      tensionKsi: 71,
      bearingAt2DKsi: 142,
      bearingAt1p5DKsi: 110
    });
    expect(FAMILY_CONSTANTS['5052']).toMatchObject({ ks: 0.7, kb: 1.65 });
    expect(Object.values(LOCATION_FACTOR)).toEqual([1, 0.8, 0.75, 0.6]);
    expect(LEAST_SHEET_IN).toEqual({ 5: 0.02, 6: 0.032, 8: 0.036 });
  });

  it('bear more at two diameters from the edge than at one and a half', () => {
    for (const [sheet, values] of Object.entries(SHEET_STRENGTHS))
      expect(values.bearingAt2DKsi, sheet).toBeGreaterThan(values.bearingAt1p5DKsi);
  });

  it('put the nominal head inside every window', () => {
    for (const { diameterD, heightD } of Object.values(HEAD_LIMITS)) {
      expect(diameterD.low).toBeLessThan(1.5);
      expect(diameterD.high).toBeGreaterThan(1.5);
      expect(heightD.low).toBeLessThan(0.5);
      expect(heightD.high).toBeGreaterThan(0.5);
    }
  });
});
