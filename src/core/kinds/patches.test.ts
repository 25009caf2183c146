import { describe, expect, it } from 'vitest';
import { refusal, stops, written } from '../../../tests/support/words';
import { definition, entered, layoutOf, planned } from '../../../tests/support/joints';
import { readEntered } from './read-entered';
import type { JointLayout } from '../plan/plan-shape';

const own = (perInch: string) => ({ perInch, perInchReason: 'made up for the test' });
const keysOf = ({ lines }: JointLayout) => lines.map(({ key, holes }) => `${key}:${holes.length}`);

describe('a rectangular patch', () => {
  const plate = (change = {}) =>
    definition('patch', ['0.040', '0.032'], {
      style: 'plate-over',
      carries: 'attach',
      dash: 4,
      edgeIn: '1/4',
      cutoutWIn: '4',
      cutoutHIn: '3',
      ...change
    });

  it('has a rivet at every corner and the fewest between', () => {
    const layout = layoutOf(plate());
    // ring 4½ × 3½: 3 spaces within 1½ in each way, 2 × (3 + 3)
    expect(layout.rivets).toBe(12);
    expect([layout.widthIn, layout.heightIn]).toEqual([5, 4]);
    expect(keysOf(layout)).toEqual(['skin-top:4', 'skin-bottom:4', 'skin-left:4', 'skin-right:4']);
    expect(layout.holes[0]).toMatchObject({ xIn: 0.25, yIn: 0.25 });
    expect(layout.holes.at(-1)).toMatchObject({ xIn: 4.75, yIn: 0.25 + (2 * 3.5) / 3 });
  });

  it('may set the insert’s line at an edge distance of its own', () => {
    const flush = (insertEdgeIn: string) =>
      layoutOf(plate({ style: 'flush', cornerRadiusIn: '1/4', insertEdgeIn }));
    const firstOf = (layout: JointLayout) =>
      layout.holes.find(
        ({ number }) => number === layout.lines.find(({ key }) => key === 'insert-top')?.holes[0]
      );
    // cut-out from ½, the insert 1/32 further in, its rivets ¼ or 3/8 from its edge
    expect(firstOf(flush(''))).toMatchObject({ xIn: 0.78125, yIn: 0.78125 });
    const wider = flush('3/8');
    expect(firstOf(wider)).toMatchObject({ xIn: 0.90625, yIn: 0.90625 });
    // the skin's stay where they were
    expect(wider.holes[0]).toMatchObject({ xIn: 0.25, yIn: 0.25 });
    expect(wider.checks.every(({ ok }) => ok)).toBe(true);
    // laid as asked and judged: 3/16 is 1.5 D
    expect(flush('3/16').checks.find(({ rule }) => rule === 'edge-min')).toMatchObject({
      ok: false,
      valueIn: 0.1875
    });
    // of a plate without an insert it is no matter what was typed while there was one
    expect(layoutOf(plate({ insertEdgeIn: '9/16' })).checks.every(({ ok }) => ok)).toBe(true);
    expect(flush('9/16').checks.find(({ rule }) => rule === 'edge-max')).toMatchObject({
      ok: false,
      valueIn: 0.5625
    });
  });

  it('relieves the corners of the cutout', () => {
    // cut-out from ½; ½ in corners: holes of 1 in centred ½ in from both lines
    expect(layoutOf(plate()).reliefs[0]).toEqual({ xIn: 1, yIn: 1, diameterIn: 1 });
  });

  it.each(['0', '-1/4', '0 mm'])(
    'answers corners of %s by what a cutout needs',
    (cornerRadiusIn) => {
      const read = readEntered(
        entered('patch', ['0.032', '0.040'], {
          cutoutWIn: '3',
          cutoutHIn: '3',
          cornerRadiusIn
        })
      );
      expect(read.ok ? null : read.problems[0]).toMatchObject({
        path: 'cornerRadiusIn',
        said: { code: 'square-corner', leastIn: 0.25, usualIn: 0.5 }
      });
    }
  );

  it('puts a second line further out', () => {
    const layout = layoutOf(plate({ rows: 2 }));
    // 0.75 × 1½ is over 4 D = ½; ring 5½ × 4½: 4 and 3 spaces → 14 more
    expect(layout.transverseIn).toBe(0.5);
    expect([layout.widthIn, layout.heightIn]).toEqual([6, 5]);
    expect(layout.rivets).toBe(26);
  });

  it('asks for what each side carries', () => {
    const { needs } = planned(plate({ carries: 'guidance', ...own('1.5') }));
    expect(
      needs.map(({ widthIn, required }) => [widthIn, required.ok && required.result.required])
    ).toEqual([
      [4, 6],
      [3, 5]
    ]);
    const layout = layoutOf(plate({ carries: 'guidance', ...own('1.5') }));
    expect(keysOf(layout).slice(0, 3)).toEqual(['skin-top:6', 'skin-bottom:6', 'skin-left:5']);
  });

  it('stop-drills the ends of a crack that stays, and gives them no rivet', () => {
    const layout = layoutOf(plate({ crackIn: '2', crackTurnDeg: '90' }));
    expect(layout.cutOut).toBeNull();
    expect(
      layout.drilledOnly.map(({ xIn, yIn, drill }) => [Number(xIn.toFixed(9)), yIn, drill])
    ).toEqual([
      [2.5, 1, '#40'],
      [2.5, 3, '#40']
    ]);
    expect(layout.rivets).toBe(12);
  });

  it('stops where a crack is longer than the damage that the plate bridges', () => {
    // 3 1/2 upright in 3 in; lying along the 4 in it fits
    const longer = 'The crack is longer than the damage named';
    expect(stops(planned(plate({ crackIn: '3 1/2', crackTurnDeg: '90' })))).toContain(longer);
    expect(stops(planned(plate({ crackIn: '3 1/2' })))).toEqual([]);
  });

  it('fills the cutout flush with an insert of its own line', () => {
    const flush = definition('patch', ['0.032', '0.040'], {
      carries: 'attach',
      dash: 4,
      edgeIn: '5/16',
      cornerRadiusIn: '1/4',
      cutoutWIn: '4',
      cutoutHIn: '3',
      insertSheetIn: '0.025'
    });
    const layout = layoutOf(flush);
    // insert 3 15/16 × 2 15/16, its line 5/8 less: 3 5/16 × 2 5/16 → 3 and 2 spaces
    expect(keysOf(layout).slice(4)).toEqual([
      'insert-top:4',
      'insert-bottom:4',
      'insert-left:3',
      'insert-right:3'
    ]);
    expect(planned(flush).stacks.map(({ name }) => name)).toEqual(['skin line', 'insert line']);
    expect(stops(planned(flush))).toEqual([]);
  });

  it('warns of a rounded insert corner and says what would settle it', () => {
    const rounded = planned(
      definition('patch', ['0.032', '0.040'], {
        carries: 'attach',
        dash: 4,
        cutoutWIn: '4',
        cutoutHIn: '3'
      })
    );
    const warning = written(rounded).find(({ title }) => title.includes('corner'));
    // r = 15/32, e = 9/32: 0.46875 − √2 × 0.1875 = 0.2036, under 2 D = 0.25
    expect(warning?.text).toContain('0.203585');
    expect(warning?.level).toBe('attention');
    for (const way of warning?.ways ?? []) {
      const mended = planned(
        definition('patch', ['0.032', '0.040'], {
          carries: 'attach',
          dash: 4,
          cutoutWIn: '4',
          cutoutHIn: '3',
          ...way.change
        })
      );
      expect(
        written(mended)
          .map(({ title }) => title)
          .join(),
        way.said.code
      ).not.toMatch(/corner/);
    }
    expect(warning?.ways?.length).toBe(2);
  });
});

describe('a round patch', () => {
  const joint = (change = {}) =>
    definition('round', ['0.032', '0.040'], {
      cutoutIn: '3',
      dash: 4,
      insert: false,
      carries: 'attach',
      ...change
    });

  it('takes the fewest whose chord is within the largest pitch', () => {
    const layout = layoutOf(joint());
    // R = 1½ + 9/32; sin(π/n) ≤ 1.5 / 3.5625 wants n ≥ 7.23
    expect(layout.rivets).toBe(8);
    expect(layout.pitchIn).toBeCloseTo(3.5625 * Math.sin(Math.PI / 8), 12);
    // doubler 3 + 4 × 9/32
    expect(layout.widthIn).toBe(4.125);
    // the first hole straight above the centre
    expect(layout.holes[0]?.xIn).toBeCloseTo(2.0625, 12);
    expect(layout.holes[0]?.yIn).toBeCloseTo(0.28125, 12);
  });

  it('shifts every other ring by half a space', () => {
    const { lines, holes } = layoutOf(joint({ rings: 2 }));
    const [inner, outer] = lines;
    expect(inner?.holes.length).toBe(outer?.holes.length);
    const half = Math.PI / (inner?.holes.length ?? 1);
    const first = holes.find(({ number }) => number === outer?.holes[0]);
    const path = outer?.path.path === 'circle' ? outer.path : null;
    const turn = Math.atan2(
      (first?.xIn ?? 0) - (path?.xIn ?? 0),
      (path?.yIn ?? 0) - (first?.yIn ?? 0)
    );
    expect(turn).toBeCloseTo(half, 9);
  });

  it('lets each half of the rings carry the width of the cutout', () => {
    const layout = layoutOf(joint({ carries: 'guidance', ...own('4'), rings: 2 }));
    // 4 × 3 = 12 on each half: 24 over two rings, more than the largest pitch asks for
    expect(layout.rivets).toBe(24);
  });

  it('marks a ring from its centre lines, each hole on its own', () => {
    const { holes } = layoutOf(joint({ scale: '1/32' }));
    // third of eight: straight to the right, R = 1.78125 = 57/32
    expect(holes[2]).toMatchObject({ markIn: 57 / 32 });
    expect(holes[2]?.crossMarkIn).toBeCloseTo(0, 9);
    // second: 1.78125/√2 = 1.25953 → 40/32 right and 40/32 up
    expect(holes[1]?.markIn).toBe(40 / 32);
    expect(holes[1]?.crossMarkIn).toBe(-40 / 32);
  });

  it('refuses an insert with no room for its line', () => {
    const { layout } = planned(joint({ cutoutIn: '1/2', insert: true }));
    expect(layout.ok ? '' : refusal(layout.error)).toMatch(/no rivet row on its insert/);
  });
});
