import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints';
import { DEFAULT_PROFILE } from '../rules/profile';
import { dxfR12, plainAscii } from './dxf-r12';
import { patternOf, withCaptions, type Pattern } from './pattern';
import { layerName, type Stroke } from './strokes';
import { svgPattern } from './svg';

const HELD_OPEN = {
  id: 'edit-1',
  line: 'skin-top',
  index: 1,
  of: 4,
  state: 'held-open' as const,
  nudgeIn: '',
  reason: 'latch',
  drill: '',
  asRivets: false,
  blind: '',
  blindLeastIn: '',
  blindMostIn: ''
};
const patch = definition('patch', ['0.032', '0.040'], {
  carries: 'attach',
  dash: 4,
  edgeIn: '5/16',
  cornerRadiusIn: '1/4',
  cutoutWIn: '3 1/8',
  cutoutHIn: '2 1/8',
  edits: [HELD_OPEN]
});
const layout = layoutOf(patch);
const profile = DEFAULT_PROFILE;
const pattern = patternOf({ layout, profile, fixed: [], part: null });
const circlesOn = (layer: string, of: Pattern = pattern) =>
  of.strokes.flatMap((stroke) =>
    layerName(stroke) === layer && stroke.stroke === 'circle' ? [stroke] : []
  );
const read = (text: string) => new DxfParser().parseSync(text);

describe('the full-size pattern', () => {
  it('has every hole where it is computed, at its drill’s size', () => {
    expect(circlesOn('HOLES')).toHaveLength(layout.rivets);
    expect(circlesOn('HELD_OPEN')).toHaveLength(1);
    // #30 is 0.1285
    expect(circlesOn('HOLES')[0]).toMatchObject({ xIn: 0.3125, yIn: 0.3125, radiusIn: 0.06425 });
    // drilled #40 first: 0.098
    expect(circlesOn('PILOTS')).toHaveLength(layout.rivets);
    expect(circlesOn('PILOTS')[0]?.radiusIn).toBeCloseTo(0.049, 9);
  });

  it('draws a reworked hole as it is in the metal, and drills nothing there', () => {
    const rivet = { hole: 3, partNumber: 'MS20470AD5-5', fastener: null, holeIn: 0.1602 };
    const blind = { hole: 4, partNumber: null, fastener: 'blind, note 4', holeIn: null };
    const now = patternOf({ layout, profile, fixed: [], reworked: [rivet, blind], part: null });
    expect(circlesOn('REPLACED', now).map(({ radiusIn }) => radiusIn)).toEqual([0.0801, 0.06425]);
    expect(circlesOn('HOLES', now)).toHaveLength(layout.rivets - 2);
    expect(circlesOn('PILOTS', now)).toHaveLength(layout.rivets - 2);
    expect(now.drills.filter(({ fitted }) => fitted !== null)).toMatchObject([
      { layer: 'REPLACED', diameterIn: 0.1602, fitted: 'MS20470AD5-5', holes: [3] },
      { layer: 'REPLACED', fitted: 'blind, note 4', holes: [4] }
    ]);
    const texts = now.strokes.flatMap((stroke) => (stroke.stroke === 'text' ? [stroke.text] : []));
    expect(texts).toContain('3 AS IT IS');
    expect(read(dxfR12(now, 't', 'in'))?.entities.some(({ layer }) => layer === 'REPLACED')).toBe(
      true
    );
    expect(svgPattern(now, 't')).toContain('id="REPLACED"');
  });

  it('numbers holes and says which stay open', () => {
    const texts = pattern.strokes.flatMap((stroke) =>
      stroke.stroke === 'text' ? [stroke.text] : []
    );
    expect(texts).toContain('2 OPEN');
    expect(texts).toContain('1');
  });

  it('draws each part as one closed outline; a skin that goes on has none, its cutout is one', () => {
    const paths = pattern.strokes.filter(({ stroke }) => stroke === 'path');
    expect(paths.map(layerName)).toEqual(['DOUBLER-EDGES', 'SKIN-CUT_OUT', 'INSERT-EDGES']);
    expect(paths.every((one) => one.stroke === 'path' && one.closed)).toBe(true);
    expect(circlesOn('RELIEFS')).toHaveLength(4);
    // the doubler is cut-out + 4 × 5/16 = 4.375 wide; the datum’s marks lie beside it
    expect(pattern.wIn).toBeCloseTo(4.375 + 0.3 + 0.35, 1);
  });

  it('draws nothing twice', () => {
    const said = pattern.strokes.map((stroke) => JSON.stringify(stroke));
    expect(new Set(said).size).toBe(said.length);
  });

  it('of one part has that part’s metal and holes alone', () => {
    const insert = patternOf({ layout, profile, fixed: [], part: 'insert' });
    expect(insert.strokes.filter(({ stroke }) => stroke === 'path').map(layerName)).toEqual([
      'EDGES'
    ]);
    const inside = layout.lines
      .filter(({ key }) => key.startsWith('insert'))
      .flatMap(({ holes }) => holes);
    expect(insert.drills.flatMap(({ layer, holes }) => (layer === 'HOLES' ? holes : []))).toEqual([
      ...new Set(inside)
    ]);
  });

  it('has the size of every hole in its drill table, those without a rivet by their names', () => {
    expect(pattern.drills.filter(({ named }) => named.length > 0)).toEqual([
      {
        layer: 'RELIEFS',
        part: null,
        drill: null,
        diameterIn: 0.5,
        fitted: null,
        holes: [],
        named: ['R1', 'R2', 'R3', 'R4']
      }
    ]);
    const crack = definition('patch', ['0.032', '0.040'], {
      carries: 'attach',
      dash: 4,
      cutoutWIn: '3',
      cutoutHIn: '3',
      crackIn: '2'
    });
    const stopped = patternOf({ layout: layoutOf(crack), profile, fixed: [], part: 'skin' });
    expect(stopped.drills.filter(({ layer }) => layer === 'STOP_DRILL')).toMatchObject([
      { drill: '#40', diameterIn: 0.098, named: ['S1', 'S2'], holes: [] }
    ]);
    // the plate has none
    const plate = patternOf({ layout: layoutOf(crack), profile, fixed: [], part: 'doubler' });
    expect(plate.drills.some(({ layer }) => layer === 'STOP_DRILL')).toBe(false);
  });

  it('keeps holes that are there already on a layer of their own', () => {
    const joint = definition('lap', ['0.040', '0.040'], {
      dash: 4,
      widthIn: '6',
      fixed: [
        {
          id: 'old',
          kind: 'existing',
          line: 'row-1',
          name: '',
          atIn: '2.9',
          offIn: '',
          state: '',
          holeIn: ''
        }
      ]
    });
    const old = patternOf({ layout: layoutOf(joint), profile, fixed: joint.fixed, part: null });
    expect(circlesOn('EXISTING', old).map(({ xIn }) => xIn)).toEqual([2.9]);
    expect(circlesOn('HOLES', old).some(({ xIn }) => xIn === 2.9)).toBe(false);
    expect(circlesOn('PILOTS', old).some(({ xIn }) => xIn === 2.9)).toBe(false);
  });

  it('has the panel’s larger holes, and the frame’s opening', () => {
    const joint = definition('panel', ['0.040', '0.187', '0.050'], {
      dash: 4,
      widthIn: '17 1/2',
      heightIn: '11 1/4',
      frameIn: '1 1/4',
      deltaTC: '55'
    });
    const panel = layoutOf(joint);
    const wish = { layout: panel, profile, fixed: [] };
    const largerIn = panel.growth?.diameterIn ?? NaN;
    expect(largerIn).toBeGreaterThan(0.1285);
    const all = patternOf({ ...wish, part: null });
    expect(circlesOn('PANEL-HOLES', all).map(({ radiusIn }) => radiusIn)).toEqual(
      panel.holes.map(() => largerIn / 2)
    );
    expect(circlesOn('HOLES', all).every(({ radiusIn }) => radiusIn === 0.06425)).toBe(true);
    const alone = patternOf({ ...wish, part: 'panel' });
    expect(new Set(circlesOn('HOLES', alone).map(({ radiusIn }) => radiusIn))).toEqual(
      new Set([largerIn / 2])
    );
    const frame = patternOf({ ...wish, part: 'frame' });
    const opening = frame.strokes.find(({ layer }) => layer === 'CUT_OUT');
    expect(opening).toMatchObject({ stroke: 'path', closed: true });
    expect(opening?.stroke === 'path' && opening.corners.map(({ xIn }) => xIn)).toEqual([
      1.25, 16.25, 16.25, 1.25
    ]);
  });

  it('marks where a layer ends inside the joint', () => {
    const joint = definition('lap', ['0.032', '0.040', '0.040'], { dash: 4, widthIn: '9' });
    const [first, second, third] = joint.sheets;
    if (!first || !second || !third) throw new Error('three sheets');
    const ends = layoutOf({ ...joint, sheets: [first, second, { ...third, toIn: 5.4 }] });
    const { strokes } = patternOf({ layout: ends, profile, fixed: [], part: null });
    expect(strokes.filter(({ layer }) => layer === 'LAYER_ENDS')).toMatchObject([
      { x1In: 5.4, x2In: 5.4 }
    ]);
  });
});

describe('the pattern as DXF', () => {
  const text = dxfR12(pattern, 'Job 0412, hull side, revision 3, all parts');
  const drawing = read(text);
  const circles = (of = drawing, on = ['HOLES', 'HELD_OPEN']) =>
    (of?.entities ?? []).filter(
      (entity) => entity.type === 'CIRCLE' && on.includes(entity.layer)
    ) as unknown as { center: { x: number; y: number }; radius: number }[];

  it('is of release 12, in inches, with its layers and what it is', () => {
    expect(text).toContain('AC1009');
    expect(text).not.toContain('LWPOLYLINE');
    expect(text).toMatch(/^999\r\nJob 0412, hull side, revision 3, all parts\r\n/);
    expect(drawing?.header.$INSUNITS).toBe(1);
    expect(Object.keys(drawing?.tables.layer.layers ?? {})).toEqual(
      expect.arrayContaining(['DOUBLER-EDGES', 'SKIN-CUT_OUT', 'HOLES', 'PILOTS', 'TEXT'])
    );
  });

  it('has the holes within 0.0005 in, y up', () => {
    const found = circles();
    expect(found).toHaveLength(layout.drilled);
    layout.holes.forEach((hole, index) => {
      expect(Math.abs((found[index]?.center.x ?? 9) - hole.xIn)).toBeLessThan(0.0005);
      expect(Math.abs((found[index]?.center.y ?? 9) + hole.yIn)).toBeLessThan(0.0005);
    });
  });

  it('is as large in millimetres', () => {
    const mm = read(dxfR12(pattern, '', 'mm'));
    expect(mm?.header.$INSUNITS).toBe(4);
    const found = circles(mm);
    layout.holes.forEach((hole, index) => {
      expect(found[index]?.center.x).toBeCloseTo(hole.xIn * 25.4, 5);
    });
    expect(found[0]?.radius).toBeCloseTo((0.1285 * 25.4) / 2, 6);
  });

  it('has closed outlines whose arcs bulge the way they lie when y runs up', () => {
    const cut = (drawing?.entities ?? []).find(
      (entity) => entity.type === 'POLYLINE' && entity.layer === 'SKIN-CUT_OUT'
    ) as unknown as { shape: boolean; vertices: { x: number; y: number; bulge?: number }[] };
    expect(cut.shape).toBe(true);
    // clockwise as drawn, a quarter of a circle each: −tan(90°/4)
    const bulges = cut.vertices.flatMap(({ bulge }) => bulge ?? []);
    expect(bulges).toHaveLength(4);
    for (const bulge of bulges) expect(bulge).toBeCloseTo(-Math.tan(Math.PI / 8), 6);
    // the area of polygon and arcs: 3 1/8 × 2 1/8 less (4 − π)/16
    const area = cut.vertices.reduce((sum, a, at) => {
      const b = cut.vertices[(at + 1) % cut.vertices.length] ?? a;
      const chord = Math.hypot(b.x - a.x, b.y - a.y);
      const turn = 4 * Math.atan(a.bulge ?? 0);
      const r = turn === 0 ? 0 : chord / (2 * Math.sin(turn / 2));
      return sum + (a.x * b.y - b.x * a.y) / 2 + (r ** 2 * (turn - Math.sin(turn))) / 2;
    }, 0);
    expect(Math.abs(area)).toBeCloseTo(3.125 * 2.125 - (4 - Math.PI) / 16, 5);
  });

  it('writes plain ASCII: letters without their accents, signs as they are typed by hand', () => {
    const named = withCaptions(pattern, [{ layer: 'TEXT', text: 'Flügel λ\nend' }]);
    expect(dxfR12(named, '')).toContain('Flugel ? end');
    expect(plainAscii('3′ – “A” ½ × 2 ± 0.1 · Øverli’s Łódź, 45°')).toBe(
      `3' - "A" 1/2 x 2 +/- 0.1 . Overli's Lodz, 45 deg`
    );
    // eslint-disable-next-line no-control-regex -- every sign of plain ASCII
    expect(dxfR12(named, 'Fügung × 2')).toMatch(/^[\x00-\x7f]*$/);
  });
});

describe('the pattern as SVG', () => {
  const svg = svgPattern(pattern, 'Hull side <left> & "aft"', ['STOP: knife edge']);

  it('is full size: a thousand units an inch, so that text is a hundred high', () => {
    const [, width, , , boxWidth] =
      /width="([\d.]+)in" height="([\d.]+)in" viewBox="[-\d.]+ ([-\d.]+) ([\d.]+)/.exec(svg) ?? [];
    expect(Number(width) * 1000).toBeCloseTo(Number(boxWidth), 6);
    expect(svg).toContain('font-size="90"');
  });

  it('writes names so that they cannot become markup', () => {
    expect(svg).toContain('Hull side &lt;left&gt; &amp; &quot;aft&quot;');
    expect(svg).toContain('<desc>STOP: knife edge</desc>');
    expect(svgPattern(pattern, 'bay\u0001 9')).toContain('<title>bay  9</title>');
  });

  it('draws its outlines as closed paths with arcs', () => {
    const cut = /<g id="SKIN-CUT_OUT"[^>]*><path d="([^"]+)"/.exec(svg)?.[1] ?? '';
    expect(cut).toMatch(/^M.*A250 250 0 0 1 .*Z$/);
    expect(pattern.strokes.some(({ stroke }: Stroke) => stroke === 'path')).toBe(true);
  });
});
