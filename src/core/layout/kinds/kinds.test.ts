import { describe, expect, it } from 'vitest';
import { definition, layoutOf, planned, stops } from '../../../../tests/support/joints';
import type { JointLayout } from '../../plan-shape';

const own = (perInch: string) => ({ perInch, perInchReason: 'made up for the test' });
const keysOf = ({ lines }: JointLayout) => lines.map(({ key, holes }) => `${key}:${holes.length}`);
const figureOf = (layout: JointLayout, key: string) =>
  layout.figures.find((figure) => figure.key === key);

describe('a butt splice', () => {
  const joint = definition('splice', ['0.040', '0.050'], {
    widthIn: '6',
    dash: 4,
    rows: 1,
    gapIn: '1/8',
    farSheetIn: '0.032',
    ...own('2')
  });
  const layout = layoutOf(joint);

  it('sets the needed rivets on both sides of the meeting line', () => {
    // 2 an inch × 6: 12 on each side
    expect(keysOf(layout)).toEqual(['near-1:12', 'far-1:12']);
    expect(layout.rivets).toBe(24);
  });

  it('makes the strap two overlaps and the gap wide', () => {
    // 2 × (2 × 9/32) + 1/8
    expect(figureOf(layout, 'strap')?.valueIn).toBe(1.25);
    // near row 9/32 from the skin's end at 9/16; far row 9/32 beyond the gap
    expect(layout.holes[0]?.yIn).toBe(0.28125);
    expect(layout.holes[12]?.yIn).toBe(0.96875);
  });

  it('has a grip of its own on each side', () => {
    const { stacks, holes } = planned(joint);
    expect(stacks.map(({ name, gripMinIn }) => [name, Number(gripMinIn.toFixed(6))])).toEqual([
      ['near side', 0.09],
      ['far side', 0.082]
    ]);
    expect(holes[0]?.gripIn).toBeCloseTo(0.09, 12);
    expect(holes[23]?.gripIn).toBeCloseTo(0.082, 12);
  });

  it('says when the strap is thinner than what it joins', () => {
    const thin = planned(
      definition('splice', ['0.050', '0.040'], { widthIn: '6', dash: 4, ...own('2') })
    );
    expect(thin.warnings.map(({ title }) => title)).toContain('The strap is thinner than the skin');
  });
});

describe('a member between two straps', () => {
  const joint = (shear: 'single' | 'double') =>
    definition('sandwich', ['0.040', '0.063', '0.040'], { widthIn: '4', dash: 4, shear });

  it('is counted as printed, or with each rivet cut twice', () => {
    // shear 0.063 / (0.5 × π/4 × 0.1285²) = 9.716 an inch, bearing 1 / (1.6 × 0.1285) = 4.864
    expect(planned(joint('single')).required).toMatchObject({
      ok: true,
      result: { required: 39, critical: 'shear' }
    });
    // half of 9.716 is 4.858: bearing governs, 4.9 × 4 = 19.6
    expect(planned(joint('double')).required).toMatchObject({
      ok: true,
      result: { required: 20, critical: 'bearing', basis: 'double-shear' }
    });
  });

  it('reckons on the member, whatever the straps are', () => {
    expect(planned(joint('single')).reckonedSheetIn).toBe(0.063);
    expect(planned(joint('double')).warnings.map(({ title }) => title)).toContain(
      'Counted in double shear'
    );
  });
});

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

  it('relieves the corners of the cut-out', () => {
    // cut-out from ½; ½ in corners: holes of 1 in centred ½ in from both lines
    expect(layoutOf(plate()).reliefs[0]).toEqual({ xIn: 1, yIn: 1, diameterIn: 1 });
  });

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

  it('fills the cut-out flush with an insert of its own line', () => {
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
    const warning = rounded.warnings.find(({ title }) => title.includes('corner'));
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
      expect(mended.warnings.map(({ title }) => title).join(), way.text).not.toMatch(/corner/);
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

  it('lets each half of the rings carry the width of the cut-out', () => {
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
    expect(layout.ok ? '' : layout.error.message).toMatch(/no rivet line on its insert/);
  });
});

describe('a line on a flange', () => {
  const joint = (change = {}) =>
    definition('line', ['0.032', '0.040'], {
      lengthIn: '10',
      flangeIn: '3/4',
      bendRadiusIn: '1/8',
      carries: 'attach',
      dash: 4,
      scale: '1/64',
      ...change
    });

  it('divides a span between two holes into equal spaces and sets nothing else there', () => {
    const { holes } = layoutOf(joint({ divides: [{ fromIn: '2', toIn: '6', count: '3' }] }));
    expect(holes.map(({ xIn }) => xIn).filter((x) => x >= 2 && x <= 6)).toEqual([2, 3, 4, 5, 6]);
  });

  it('keeps heads out of the bend', () => {
    // ¾ − ⅛ − 0.040 − 9/32 = 0.30375 to the bend; a head is 0.125 wide each way
    expect(figureOf(layoutOf(joint()), 'bend')?.valueIn).toBeCloseTo(0.30375, 12);
    expect(stops(planned(joint()))).toEqual([]);
    // ½ − ⅛ − 0.040 − 9/32 = 0.05375
    expect(stops(planned(joint({ flangeIn: '1/2' })))).toContain('The heads come into the bend');
  });

  it('goes round a drain and takes an existing hole in', () => {
    const layout = layoutOf(
      joint({
        fixed: [{ kind: 'existing', line: 'line-1', name: '', atIn: '3 1/8', offIn: '' }],
        keepOuts: [{ name: 'drain', shape: 'round', xIn: '7', yIn: '9/32', wIn: '1/2', hIn: '' }]
      })
    );
    // half of ½, half a head 0.125, tools ⅛: nothing within ½ of 7
    expect(layout.holes.some(({ xIn }) => Math.abs(xIn - 7) < 0.5 - 1e-9)).toBe(false);
    expect(layout.holes.find(({ fixed }) => fixed === 0)?.xIn).toBe(3.125);
    expect(layout.checks.every(({ ok }) => ok)).toBe(true);
  });
});

describe('a long tapered member', () => {
  const joint = definition('tapered', ['', ''], {
    sheets: [
      { name: 'skin', thicknessIn: '0.032', endThicknessIn: '', fromIn: '', toIn: '' },
      { name: 'doubler', thicknessIn: '0.040', endThicknessIn: '', fromIn: '', toIn: '12' },
      { name: 'cap', thicknessIn: '0.080', endThicknessIn: '0.040', fromIn: '', toIn: '' }
    ],
    lengthIn: '40',
    flangeIn: '1 1/2',
    flangeEndIn: '1',
    carries: 'attach',
    dash: 4,
    zones: [{ dash: 5, toIn: '20' }]
  });
  const layout = layoutOf(joint);

  it('changes size where its zone ends, with the larger rivet on the end', () => {
    const per = Math.hypot(40, 0.25) / 40;
    const atEnd = layout.holes.find(({ alongIn }) => Math.abs(alongIn - 20 * per) < 1e-9);
    expect(atEnd?.dash).toBe(5);
    expect(layout.lines.map(({ dash }) => dash)).toEqual([5, 4]);
    // the hole is in both lines and counted once
    expect(layout.lines[0]?.holes.at(-1)).toBe(layout.lines[1]?.holes[0]);
    expect(layout.rivets).toBe(
      (layout.lines[0]?.holes.length ?? 0) + (layout.lines[1]?.holes.length ?? 0) - 1
    );
  });

  it('knows the grip at every hole', () => {
    const at = (xIn: number) =>
      layout.holes.reduce((a, b) => (Math.abs(b.xIn - xIn) < Math.abs(a.xIn - xIn) ? b : a));
    const near = at(10);
    // 0.032 + 0.040 + 0.080 − 0.001 an inch
    expect(near.gripIn).toBeCloseTo(0.152 - near.xIn / 1000, 9);
    const far = at(30);
    expect(far.gripIn).toBeCloseTo(0.112 - far.xIn / 1000, 9);
  });

  it('groups its rivets by size and length', () => {
    const { stacks, holes } = planned(joint);
    expect(stacks.length).toBeGreaterThan(2);
    expect(stacks.reduce((sum, { rivets }) => sum + rivets, 0)).toBe(holes.length);
    for (const hole of holes) {
      const stack = stacks[hole.stack];
      expect(stack?.dash).toBe(hole.dash);
      expect(hole.gripIn).toBeGreaterThanOrEqual((stack?.gripMinIn ?? 9) - 1e-12);
      expect(hole.gripIn).toBeLessThanOrEqual((stack?.gripMaxIn ?? 0) + 1e-12);
    }
  });

  it('refuses a layer that ends before it begins', () => {
    const [skin, doubler, cap] = joint.sheets;
    if (!skin || !doubler || !cap) throw new Error('three sheets');
    const { layout: refused } = planned({
      ...joint,
      sheets: [skin, { ...doubler, fromIn: 14 }, cap]
    });
    expect(refused.ok ? '' : refused.error.message).toMatch(
      /doubler would end at 12 in, before it begins at 14/
    );
  });
});

describe('a frame round a clear panel', () => {
  const joint = (change = {}) =>
    definition('panel', ['0.040', '0.125', '0.050'], {
      widthIn: '20',
      heightIn: '12',
      frameIn: '1',
      deltaTC: '60',
      dash: 4,
      ...change
    });

  it('gives the panel holes that let it grow', () => {
    // 49e-6 × 60 × 20 / 2 = 0.0294 each way; 0.125 + 0.0588 + 0.010 = 0.1938 → #9 0.196
    const layout = layoutOf(joint());
    expect(figureOf(layout, 'growth')?.valueIn).toBeCloseTo(0.0294, 12);
    expect(layout.growth).toMatchObject({ drill: '#9', diameterIn: 0.196 });
    // 2 × 0.196 = 0.392 → 13/32
    expect(figureOf(layout, 'edge')?.valueIn).toBe(13 / 32);
  });

  it('spaces every side by itself, corners shared', () => {
    const layout = layoutOf(joint());
    // 19.1875 / 1.5 → 13 spaces; 11.1875 / 1.5 → 8
    expect(keysOf(layout)).toEqual(['top:14', 'bottom:14', 'left:9', 'right:9']);
    expect(layout.rivets).toBe(2 * 13 + 2 * 8);
  });

  it('leaves corner brackets free and takes a count a side', () => {
    const layout = layoutOf(joint({ bracketIn: '2', topCount: '16' }));
    expect(keysOf(layout)[0]).toBe('top:16');
    expect(layout.holes[0]?.xIn).toBe(2 + 13 / 32);
  });

  it('sizes the rivet by the metal, not by the plastic', () => {
    expect(planned(joint({ dash: 'rule' })).diameter.byRule).toMatchObject({
      result: { ruleDiameterIn: 0.15000000000000002 }
    });
  });
});
