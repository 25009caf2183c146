import { describe, expect, it } from 'vitest';
import { stops, written } from '../../../tests/support/words';
import { definition, entered, layoutOf, planned } from '../../../tests/support/joints';
import type { JointLayout } from '../plan/plan-shape';
import { readEntered } from './read-entered';
import { newSheet } from '../joint/sheets';
import { DEFAULT_PROFILE } from '../rules/profile';

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
    expect(written(thin).map(({ title }) => title)).toContain('The strap is thinner than the skin');
  });
});

describe('a member between two straps', () => {
  const joint = (shear: 'single' | 'double') =>
    definition('double-strap', ['0.040', '0.063', '0.040'], { widthIn: '4', dash: 4, shear });

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
    expect(written(planned(joint('double'))).map(({ title }) => title)).toContain(
      'Calculated in double shear'
    );
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
      edgeIn: '9/32',
      ...change
    });

  it('divides a span between two holes into equal spaces and sets nothing else there', () => {
    const { holes } = layoutOf(
      joint({ divides: [{ id: 'divide-4', fromIn: '2', toIn: '6', count: '3' }] })
    );
    expect(holes.map(({ xIn }) => xIn).filter((x) => x >= 2 && x <= 6)).toEqual([2, 3, 4, 5, 6]);
  });

  it('keeps heads out of the bend', () => {
    // ¾ − ⅛ − 0.040 − 9/32 = 0.30375 to the bend; a head is 0.125 wide each way
    expect(figureOf(layoutOf(joint()), 'bend')?.valueIn).toBeCloseTo(0.30375, 12);
    expect(stops(planned(joint()))).toEqual([]);
    // a set of ⅝ in across needs 0.3125; half an inch is 0.25
    expect(stops(planned(joint(), { ...DEFAULT_PROFILE, setRadiusIn: 0.3125 }))).toEqual([
      'Heads or tools interfere with the bend'
    ]);
    // ½ − ⅛ − 0.040 − 9/32 = 0.05375
    expect(stops(planned(joint({ flangeIn: '1/2' })))).toContain(
      'Heads or tools interfere with the bend'
    );
  });

  it('goes round a drain and takes an existing hole in', () => {
    const layout = layoutOf(
      joint({
        fixed: [
          {
            id: 'fixed-1',
            kind: 'existing',
            line: 'line-1',
            name: '',
            atIn: '3 1/8',
            offIn: '',
            state: '',
            holeIn: ''
          }
        ],
        keepOuts: [
          {
            id: 'block-2',
            name: 'drain',
            shape: 'round',
            xIn: '7',
            yIn: '9/32',
            wIn: '1/2',
            hIn: ''
          }
        ]
      })
    );
    // half of ½, half a head 0.125, tools ⅛: nothing within ½ of 7
    expect(layout.holes.some(({ xIn }) => Math.abs(xIn - 7) < 0.5 - 1e-9)).toBe(false);
    expect(layout.holes.find(({ fixed }) => fixed === 'fixed-1')?.xIn).toBe(3.125);
    expect(layout.checks.every(({ ok }) => ok)).toBe(true);
  });
});

describe('a long tapered member', () => {
  const joint = definition('tapered', ['', ''], {
    sheets: [
      newSheet('skin', '0.032'),
      { ...newSheet('doubler', '0.040'), toIn: '12' },
      { ...newSheet('cap', '0.080'), endThicknessIn: '0.040' }
    ],
    lengthIn: '40',
    flangeIn: '1 1/2',
    flangeEndIn: '1',
    carries: 'attach',
    dash: 4,
    zones: [{ id: 'zone-3', dash: 5, toIn: '20' }]
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

  it('refuses a layer that ends before it begins, at its own field', () => {
    const typed = entered('tapered', ['0.032', '0.040', '0.050'], {
      lengthIn: '20',
      flangeIn: '1'
    });
    const sheets = typed.sheets.map((sheet, at) =>
      at === 1 ? { ...sheet, fromIn: '14', toIn: '12' } : sheet
    );
    const read = readEntered({ ...typed, sheets });
    expect(read.ok ? [] : read.problems).toEqual([
      {
        path: 'sheets.sheet-2.toIn',
        said: { code: 'told', text: 'a layer ends beyond where it begins' },
        instead: null
      }
    ]);
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

describe('every number of a layout opens to its arithmetic', () => {
  const JOINTS = [
    definition('lap', ['0.040', '0.040'], { widthIn: '6', dash: 4, rows: 2, ...own('3') }),
    definition('splice', ['0.040', '0.050'], { widthIn: '6', dash: 4, rows: 2, ...own('3') }),
    definition('double-strap', ['0.040', '0.063', '0.040'], { widthIn: '6', dash: 4, ...own('2') }),
    definition('line', ['0.032', '0.040'], {
      carries: 'attach',
      dash: 4,
      lengthIn: '10',
      flangeIn: '1',
      bendRadiusIn: '1/8'
    }),
    definition('tapered', ['0.032', '0.040'], {
      carries: 'attach',
      lengthIn: '20',
      flangeIn: '1',
      dash: 4
    }),
    definition('patch', ['0.032', '0.040'], {
      carries: 'attach',
      rows: 2,
      dash: 4,
      cutoutWIn: '4',
      cutoutHIn: '3'
    }),
    definition('round', ['0.032', '0.040'], {
      carries: 'attach',
      rings: 2,
      dash: 4,
      cutoutIn: '3'
    }),
    definition('panel', ['0.040', '0.125', '0.050'], {
      widthIn: '20',
      heightIn: '12',
      frameIn: '1',
      dash: 4
    })
  ];

  it.each(JOINTS.map((joint) => [joint.kind, joint] as const))('%s', (_, joint) => {
    const { figures } = layoutOf(joint);
    expect(figures.length).toBeGreaterThan(2);
    expect(figures.filter(({ work }) => work.length === 0).map(({ key }) => key)).toEqual([]);
  });
});
