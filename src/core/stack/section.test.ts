import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { revolvedIn3 } from '../../../tests/support/revolve';
import { dimpleNest } from './dimple-nest';
import { flushTools } from './flush-tools';
import { heldAt, layersOf } from './layers';
import { rivetVolumeIn3 } from './bill-of-rivets';
import { cutsReachIn, sectionOf, type SectionPoint } from './section';

const held = (...thick: number[]) =>
  heldAt(
    layersOf(
      thick.map((thicknessIn, at) => ({ name: `sheet ${at + 1}`, thicknessIn })),
      null
    ),
    0
  );
const HOLE = { holeIn: 0.1285, lengthIn: 0.28125, besideIn: 0.18 };
const TAN50 = Math.tan((50 * Math.PI) / 180);
const SIN50 = Math.sin((50 * Math.PI) / 180);
const R = 0.1125;
const r = 0.06425;
const shape = (...outline: SectionPoint[]) => outline;
const at = (points: readonly SectionPoint[], index: number): SectionPoint => {
  const point = points[index];
  if (!point) throw new Error(`no point ${index}`);
  return point;
};

describe('a section with protruding heads', () => {
  const sectionNow = () => sectionOf(held(0.04, 0.063), [], { dash: 4, head: 'universal' }, HOLE);

  it('holds each sheet as a ring round its hole', () => {
    const section = sectionNow();
    expect(section.gripIn).toBeCloseTo(0.103, 12);
    expect(section.lipIn).toBeCloseTo(0.103, 12);
    expect(section.sheets.map(({ outlineIn }) => revolvedIn3(outlineIn))).toEqual([
      expect.closeTo(Math.PI * (0.18 ** 2 - r ** 2) * 0.04, 10),
      expect.closeTo(Math.PI * (0.18 ** 2 - r ** 2) * 0.063, 10)
    ]);
  });

  it('draws the catalogue head over the face and the shank to its length', () => {
    const section = sectionNow();
    expect(section.headProudIn).toBe(0.054);
    // over the outer face: from its top on the axis down to the face at its rim
    expect(section.headIn[0]).toEqual([0, -0.054]);
    expect(at(section.headIn, 14)).toEqual([0.125, expect.closeTo(0, 12)]);
    expect(section.headIn.every(([x, y]) => x >= 0 && y < 1e-12)).toBe(true);
    // an ellipse of the head's own radius and height
    for (const [x, y] of section.headIn)
      expect((x / 0.125) ** 2 + (y / 0.054) ** 2).toBeCloseTo(1, 9);
    expect(Math.max(...section.headIn.map(([x]) => x))).toBeCloseTo(0.125, 12);
    expect(section.shankEndIn).toBe(0.28125);
    expect(section.shankRadiusIn).toBe(0.0625);
  });

  it('sets coats between the sheets', () => {
    const [top, low] = held(0.04, 0.05);
    if (!top || !low) throw new Error('two sheets');
    const { sheets, gripIn } = sectionOf(
      [{ ...top, coatIn: 0.003 }, low],
      [],
      { dash: 4, head: 'universal' },
      HOLE
    );
    expect(sheets.map(({ topIn }) => topIn)).toEqual([0, expect.closeTo(0.043, 12)]);
    expect(gripIn).toBeCloseTo(0.093, 12);
  });
});

describe('a section with a countersunk head', () => {
  const sheets = held(0.063, 0.05);
  const sectionNow = () =>
    sectionOf(
      sheets,
      flushTools(
        sheets,
        4,
        'countersink',
        { dimpleAngles: 'stepped', flushness: 'two-proud' },
        'clad-2024'
      ),
      { dash: 4, head: 'countersunk' },
      HOLE
    );

  it('cuts a cone of 100° out of the top sheet and nothing out of the other', () => {
    const section = sectionNow();
    const depthIn = (R - r) / TAN50;
    const cone = (Math.PI / 3) * depthIn * (R * R + R * r + r * r);
    const [top, low] = section.sheets.map(({ outlineIn }) => revolvedIn3(outlineIn));
    expect(top).toBeCloseTo(
      Math.PI * 0.18 ** 2 * 0.063 - cone - Math.PI * r * r * (0.063 - depthIn),
      10
    );
    expect(low).toBeCloseTo(Math.PI * (0.18 ** 2 - r * r) * 0.05, 10);
    const outline = section.sheets[0]?.outlineIn ?? [];
    const [[mouthX, mouthY], [footX, footY]] = [at(outline, 1), at(outline, 2)];
    const halfDeg = (Math.atan2(mouthX - footX, footY - mouthY) * 180) / Math.PI;
    expect(2 * halfDeg).toBeCloseTo(100, 8);
  });

  it('makes head and shank as much metal as the bill of rivets weighs', () => {
    const { headIn, shankRadiusIn, shankEndIn } = sectionNow();
    const [, , [, underHead]] = [at(headIn, 0), at(headIn, 1), at(headIn, 2)];
    const rivet = shape(
      ...headIn,
      [shankRadiusIn, underHead],
      [shankRadiusIn, shankEndIn],
      [0, shankEndIn]
    );
    expect(revolvedIn3(rivet)).toBeCloseTo(rivetVolumeIn3(4, 'countersunk', 0.28125), 10);
  });

  it('leaves the cut open where it goes through its sheet', () => {
    const thin = held(0.025, 0.05);
    const { outlineIn } =
      sectionOf(
        thin,
        flushTools(
          held(0.04, 0.05),
          4,
          'countersink',
          { dimpleAngles: 'stepped', flushness: 'two-proud' },
          'clad-2024'
        ),
        { dash: 4, head: 'countersunk' },
        HOLE
      ).sheets[0] ?? {};
    // no straight wall is left: the sheet ends in an edge wider than the hole
    expect(outlineIn).toHaveLength(4);
    expect(outlineIn?.[3]).toEqual([0.18, 0.025]);
    const [footX, footY] = at(outlineIn ?? [], 2);
    expect(footY).toBe(0.025);
    expect(footX).toBeCloseTo(R - 0.025 * TAN50, 12);
    expect(footX).toBeGreaterThan(r);
  });
});

describe('a hole larger than the rivet asks', () => {
  const own = (holeIn: number | null) =>
    sectionOf(
      held(0.04, 0.125).map((sheet, index) => (index === 1 ? { ...sheet, holeIn } : sheet)),
      [],
      { dash: 4, head: 'universal' },
      HOLE
    ).sheets.map((sheet) => [sheet.holeRadiusIn, sheet.swelledRadiusIn, sheet.outlineIn[1]?.[0]]);

  it('is drawn as wide as it is, with the shank swelled as far as a shank swells', () => {
    expect(own(null)).toEqual([
      [r, r, r],
      [r, r, r]
    ]);
    expect(own(0.136)[1]).toEqual([0.068, 0.068, 0.068]);
    // 1.15 × 0.0625
    expect(own(0.196)[1]).toEqual([0.098, expect.closeTo(0.071875, 12), 0.098]);
    expect(own(0.12)[1]).toEqual([r, r, r]);
  });
});

describe('how far cuts reach from the axis', () => {
  it('is the widest mouth of any sheet, or the hole', () => {
    const bare = held(0.04, 0.063);
    expect(cutsReachIn(sectionOf(bare, [], { dash: 4, head: 'universal' }, HOLE))).toBe(r);
    const top = held(0.063, 0.05);
    const cutTop = sectionOf(
      top,
      flushTools(
        top,
        4,
        'countersink',
        { dimpleAngles: 'stepped', flushness: 'two-proud' },
        'clad-2024'
      ),
      { dash: 4, head: 'countersunk' },
      HOLE
    );
    expect(cutsReachIn(cutTop)).toBeCloseTo(R, 12);
  });
});

describe('a dimpled section', () => {
  const sheets = held(0.025, 0.032);
  const sectionNow = () =>
    sectionOf(
      sheets,
      flushTools(
        sheets,
        4,
        'dimple-each',
        { dimpleAngles: 'all-100', flushness: 'two-proud' },
        'clad-2024'
      ),
      { dash: 4, head: 'countersunk' },
      HOLE
    );

  it('keeps every sheet its own thickness, square to the cone, and nests one in the other', () => {
    const section = sectionNow();
    for (const [index, thickIn] of [0.025, 0.032].entries()) {
      const outline = section.sheets[index]?.outlineIn ?? [];
      // from mouth to lip above, and from lip to mouth below: two parallel lines
      const [mouthX, mouthY] = at(outline, 1);
      const [lipX, lipTopY] = at(outline, 2);
      const [, lipLowY] = at(outline, 3);
      expect((mouthX - lipX) / (lipTopY - mouthY)).toBeCloseTo(TAN50, 10);
      expect((lipLowY - lipTopY) * SIN50).toBeCloseTo(thickIn, 12);
    }
    const below = at(section.sheets[0]?.outlineIn ?? [], 3);
    const onto = at(section.sheets[1]?.outlineIn ?? [], 2);
    expect(below).toEqual([expect.closeTo(onto[0], 12), expect.closeTo(onto[1], 12)]);
  });

  it('raises the far face at the hole by cone and slant', () => {
    const section = sectionNow();
    expect(section.lipIn).toBeCloseTo((R - r) / TAN50 + 0.057 / SIN50, 12);
    expect(section.gripIn).toBeCloseTo(0.057, 12);
  });

  it('comes out of the skin as wide as the nest beneath is cut', () => {
    const section = sectionNow();
    const nest = resultOf(dimpleNest({ skinIn: 0.025, dash: 4, clickIn: 0.001 }));
    const [mouthX] = at(section.sheets[1]?.outlineIn ?? [], 1);
    expect(2 * mouthX).toBeCloseTo(nest.nestDiameterIn, 12);
    const under = held(0.025, 0.071);
    const nested = sectionOf(
      under,
      flushTools(
        under,
        4,
        'dimple-top-countersink-under',
        { dimpleAngles: 'all-100', flushness: 'two-proud' },
        'clad-2024'
      ),
      { dash: 4, head: 'countersunk' },
      HOLE
    );
    expect(at(nested.sheets[1]?.outlineIn ?? [], 1)[0] * 2).toBeCloseTo(nest.nestDiameterIn, 12);
    expect(nested.lipIn).toBeCloseTo(0.096, 12);
  });

  it('lies deeper by the slant of what stays between', () => {
    const [top, low] = sheets;
    if (!top || !low) throw new Error('two sheets');
    const coated = [{ ...top, coatIn: 0.004 }, low];
    const section = sectionOf(
      coated,
      flushTools(
        coated,
        4,
        'dimple-each',
        { dimpleAngles: 'all-100', flushness: 'two-proud' },
        'clad-2024'
      ),
      { dash: 4, head: 'countersunk' },
      HOLE
    );
    expect(section.lipIn).toBeCloseTo((R - r) / TAN50 + 0.061 / SIN50, 12);
    expect(section.gripIn).toBeCloseTo(0.061, 12);
  });

  it('opens by ten degrees a sheet where dies are stepped, every face on the one above', () => {
    const stepped = sectionOf(
      sheets,
      flushTools(
        sheets,
        4,
        'dimple-each',
        { dimpleAngles: 'stepped', flushness: 'two-proud' },
        'clad-2024'
      ),
      { dash: 4, head: 'countersunk' },
      HOLE
    );
    const degreesOf = (from: SectionPoint, to: SectionPoint) =>
      (2 * Math.atan2(Math.abs(from[0] - to[0]), Math.abs(from[1] - to[1])) * 180) / Math.PI;
    const [top, low] = stepped.sheets.map(({ outlineIn }) => outlineIn);
    if (!top || !low) throw new Error('two sheets');
    expect(degreesOf(at(top, 1), at(top, 2))).toBeCloseTo(100, 8);
    expect(degreesOf(at(top, 3), at(top, 4))).toBeCloseTo(110, 8);
    expect(degreesOf(at(low, 1), at(low, 2))).toBeCloseTo(110, 8);
    expect(degreesOf(at(low, 3), at(low, 4))).toBeCloseTo(120, 8);
    expect(at(low, 2)).toEqual(at(top, 3));
    // t1 square to a 50° face, t2 to a 55° one
    expect(stepped.lipIn).toBeCloseTo(
      (R - r) / TAN50 + 0.025 / SIN50 + 0.032 / Math.sin((55 * Math.PI) / 180),
      12
    );
  });
});
