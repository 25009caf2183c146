import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints';
import { DEFAULT_PROFILE } from '../rules/profile';
import { dxfR12 } from './dxf-r12';
import { patternOf, type Stroke } from './pattern';
import { svgPattern } from './svg';

const layout = layoutOf(
  definition('patch', ['0.032', '0.040'], {
    carries: 'attach',
    dash: 4,
    edgeIn: '5/16',
    cornerRadiusIn: '1/4',
    cutoutWIn: '3 1/8',
    cutoutHIn: '2 1/8',
    edits: [
      {
        id: 'edit-1',
        line: 'skin-top',
        index: 1,
        of: 4,
        state: 'held-open',
        nudgeIn: '',
        reason: 'latch',
        drill: '',
        asRivets: false
      }
    ]
  })
);
const pattern = patternOf(layout, DEFAULT_PROFILE);
const circlesOn = (layer: Stroke['layer']) =>
  pattern.strokes.flatMap((stroke) =>
    stroke.layer === layer && stroke.stroke === 'circle' ? [stroke] : []
  );

describe('the full-size pattern', () => {
  it('has every hole where it is computed, at its drill’s size', () => {
    expect(circlesOn('HOLES')).toHaveLength(layout.rivets);
    expect(circlesOn('HELD_OPEN')).toHaveLength(1);
    // #30 is 0.1285
    expect(circlesOn('HOLES')[0]).toMatchObject({ xIn: 0.3125, yIn: 0.3125, radiusIn: 0.06425 });
  });

  it('numbers holes and says which stay open', () => {
    const texts = pattern.strokes.flatMap((stroke) =>
      stroke.stroke === 'text' ? [stroke.text] : []
    );
    expect(texts).toContain('2 OPEN');
    expect(texts).toContain('1');
  });

  it('leaves out the sides where the skin goes on, keeps doubler, insert and cut-out', () => {
    const edges = pattern.strokes.filter((stroke) => stroke.layer === 'EDGES');
    // doubler 4 lines; insert 4 lines and 4 corners
    expect(edges).toHaveLength(12);
    expect(pattern.strokes.filter(({ layer }) => layer === 'CUT_OUT')).toHaveLength(12);
    // the doubler is cut-out + 4 × 5/16 = 4.375 wide
    expect(pattern.wIn).toBeCloseTo(4.375 + 0.3, 1);
  });
});

describe('the pattern as DXF', () => {
  const text = dxfR12(pattern);
  const drawing = new DxfParser().parseSync(text);

  it('is of release 12, in inches, with its layers', () => {
    expect(text).toContain('AC1009');
    expect(text).not.toContain('LWPOLYLINE');
    expect(drawing?.header.$INSUNITS).toBe(1);
    expect(Object.keys(drawing?.tables.layer.layers ?? {})).toEqual(
      expect.arrayContaining(['EDGES', 'HOLES', 'CUT_OUT', 'TEXT'])
    );
  });

  it('has the holes within 0.0005 in, y up', () => {
    const circles = (drawing?.entities ?? []).filter(
      (entity) => entity.type === 'CIRCLE' && ['HOLES', 'HELD_OPEN'].includes(entity.layer)
    ) as unknown as { center: { x: number; y: number } }[];
    expect(circles).toHaveLength(layout.drilled);
    layout.holes.forEach((hole, index) => {
      expect(Math.abs((circles[index]?.center.x ?? 9) - hole.xIn)).toBeLessThan(0.0005);
      expect(Math.abs((circles[index]?.center.y ?? 9) + hole.yIn)).toBeLessThan(0.0005);
    });
  });

  it('turns arcs the way they lie when y runs up', () => {
    // the cut-out's lower right corner: drawn from the right to below, so from 270° to 360° with y up
    const arc = (drawing?.entities ?? []).find(
      (entity) => entity.type === 'ARC' && entity.layer === 'CUT_OUT'
    ) as unknown as { startAngle: number; endAngle: number };
    const inDegrees = [arc.startAngle, arc.endAngle].map(
      (rad) => Math.round((rad * 180) / Math.PI) % 360
    );
    expect(inDegrees).toEqual([270, 0]);
  });
});

describe('the pattern as SVG', () => {
  const svg = svgPattern(pattern, 'Hull side <left> & "aft"');

  it('is full size: one unit an inch', () => {
    const [, width, , , boxWidth] =
      /width="([\d.]+)in" height="([\d.]+)in" viewBox="[-\d.]+ ([-\d.]+) ([\d.]+)/.exec(svg) ?? [];
    expect(Number(width)).toBeCloseTo(Number(boxWidth), 6);
  });

  it('writes names so that they cannot become markup', () => {
    expect(svg).toContain('Hull side &lt;left&gt; &amp; &quot;aft&quot;');
  });
});
