import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stops, written } from '../../../tests/support/words';
import { resultOf } from '../../../tests/support/cases';
import { definition, entered, layoutOf, planned } from '../../../tests/support/joints';
import { fixedMoved, nudged, pinned, withoutFixed, withState } from '../edit/hole-edits';
import type { EnteredOf } from '../kinds/joint';
import { readEntered } from '../kinds/read-entered';
import { DEFAULT_PROFILE } from '../rules/profile';
import { plan } from './plan';
import { rowLayout } from '../layout/row-layout';

/** 13 rivets over 6 in: span 5 7/16, pitch 0.453125 = 29/64. */
const lap = (change: Partial<EnteredOf<'lap'>> = {}) =>
  entered('lap', ['0.040', '0.040'], {
    widthIn: '6',
    dash: 4,
    rows: 1,
    scale: '1/64',
    edgeIn: '9/32',
    perInch: '2.1',
    perInchReason: 'made up for the test',
    ...change
  });
const read = (joint: EnteredOf<'lap'>) => {
  const result = readEntered(joint);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.definition;
};
const laidOut = (joint: EnteredOf<'lap'>) => layoutOf(read(joint));
const PITCH = 5.4375 / 12;

/** A second by itself; other work beside it makes it slow. */
const PATIENCE_MS = 60_000;

describe('a hole changed by hand', () => {
  const base = laidOut(lap());
  const [line] = base.lines;
  const hole = base.holes[4];
  if (!line || !hole) throw new Error('a row of holes');

  it('moves along its line, and the check points at what comes too close', () => {
    const moved = lap(nudged(lap(), hole, line, 5 / 64));
    const layout = laidOut(moved);
    expect(layout.holes[4]?.xIn).toBeCloseTo(0.28125 + 4 * PITCH + 5 / 64, 12);
    // 29/64 − 5/64 = 24/64 = 3 D still holds; one division more does not
    expect(stops(plan(read(moved), DEFAULT_PROFILE))).toEqual([]);
    const further = laidOut(lap(nudged(moved, hole, line, 1 / 64)));
    const broken = further.checks.filter(({ ok }) => !ok);
    expect(broken.map(({ rule, holes }) => [rule, holes])).toEqual([
      ['pitch-min', [6]],
      ['snapped-pitch-min', [6]]
    ]);
  });

  it('goes back where it was when it is moved back', () => {
    const there = lap(nudged(lap(), hole, line, 1 / 64));
    expect(there.edits).toHaveLength(1);
    expect(nudged(there, hole, line, -1 / 64)).toEqual({ edits: [] });
  });

  it('is held open with its reason, drilled and not counted', () => {
    const held = lap(withState(lap(), hole, line.key, 'held-open', { reason: 'latch' }));
    const layout = laidOut(held);
    expect(layout.holes[4]).toMatchObject({ state: 'held-open', reason: 'latch' });
    expect([layout.rivets, layout.drilled]).toEqual([12, 13]);
    // 2.1 × 6 = 12.6: 13 are needed, 12 are left
    expect(stops(plan(read(held), DEFAULT_PROFILE))).toEqual(['Too few rivets on the joint']);
  });

  it('cannot be held open without a reason', () => {
    const result = readEntered(lap(withState(lap(), hole, line.key, 'held-open', { reason: ' ' })));
    expect(result.ok ? [] : result.problems).toMatchObject([
      {
        path: 'edits.row-1:4/13.reason',
        said: { code: 'told', text: expect.stringMatching(/enter why/) as string }
      }
    ]);
  });

  it('is taken out, keeps the others’ numbers, and can be put back', () => {
    const layout = laidOut(lap(withState(lap(), hole, line.key, 'removed')));
    expect(layout.holes.map(({ number }) => number)).toEqual([
      1, 2, 3, 4, 6, 7, 8, 9, 10, 11, 12, 13
    ]);
    expect(layout.removed).toMatchObject([{ number: 5, index: 4, of: 13 }]);
  });

  it('is pinned: the row is laid round it when the joint changes', () => {
    const withPin = lap(
      pinned(lap(nudged(lap(), hole, line, 1 / 64)), { ...hole, alongIn: 2.109375 }, line)
    );
    expect(withPin.edits).toEqual([]);
    const wider = laidOut({ ...withPin, widthIn: '6 1/4' });
    expect(wider.holes.find(({ fixed }) => fixed === 'pin-1')?.xIn).toBe(2.109375);
    expect(wider.checks.every(({ ok }) => ok)).toBe(true);
  });

  it('never becomes another hole when the row changes: it stops and asks', () => {
    const held = lap({
      ...withState(lap(), hole, line.key, 'held-open', { reason: 'latch' }),
      widthIn: '7'
    });
    const layout = laidOut(held);
    expect(layout.holes.every(({ state }) => state === 'rivet')).toBe(true);
    expect(layout.adrift).toMatchObject([
      { what: 'edit', id: expect.stringMatching(/^row-1:/) as string }
    ]);
    expect(stops(plan(read(held), DEFAULT_PROFILE))).toContain('Manual edit no longer applies');
  });
});

describe('fixed holes', () => {
  const fixed = {
    id: 'fixed-1',
    kind: 'existing',
    line: 'row-1',
    name: 'old',
    atIn: '2.2',
    offIn: '',
    state: '' as const,
    holeIn: ''
  } as const;

  it('stay where they are; the ruler does not move them', () => {
    const layout = laidOut(lap({ fixed: [{ ...fixed, offIn: '0.01' }], scale: '1/32' }));
    const hole = layout.holes.find((one) => one.fixed === 'fixed-1');
    expect(hole).toMatchObject({ xIn: 2.2, markXIn: 2.2, residualIn: 0 });
    expect(hole?.yIn).toBeCloseTo(0.29125, 12);
    expect(layout.rivets).toBe(13);
  });

  it('are moved by what drags them and let go with the datum', () => {
    const joint = lap({
      fixed: [fixed, { ...fixed, id: 'other', atIn: '4' }],
      datum: 'fixed:other'
    });
    expect(fixedMoved(joint, 'fixed-1', 2.5).fixed[0]?.atIn).toBe('2.5');
    expect(withoutFixed(joint, 'fixed-1')).toMatchObject({
      datum: 'fixed:other',
      fixed: [{ id: 'other', atIn: '4' }]
    });
    expect(withoutFixed(joint, 'other').datum).toBe('start');
  });

  it('are told when their line is gone', () => {
    const layout = laidOut(lap({ fixed: [{ ...fixed, line: 'row-3' }] }));
    expect(layout.adrift).toMatchObject([{ what: 'fixed', id: 'fixed-1' }]);
  });
});

describe('the datum', () => {
  it('may be the other end', () => {
    const { holes, lines } = laidOut(lap({ datum: 'end' }));
    expect(lines[0]?.datumIn).toBe(6);
    expect(holes.at(-1)?.markIn).toBe(-0.28125);
    // first hole: 5.71875 from the right, on 64ths
    expect(holes[0]?.markIn).toBe(-5.71875);
  });

  it('may be a fixed hole, with marks both ways', () => {
    const fixed = [
      {
        id: 'old',
        kind: 'existing' as const,
        line: 'row-1',
        name: '',
        atIn: '2.2',
        offIn: '',
        state: '' as const,
        holeIn: ''
      }
    ];
    const { holes } = laidOut(lap({ fixed, datum: 'fixed:old' }));
    expect(holes.find((hole) => hole.fixed === 'old')?.markIn).toBe(0);
    expect(Math.min(...holes.map(({ markIn }) => markIn))).toBeLessThan(0);
    // every other mark is a whole 1/64 from there
    for (const { markIn, fixed: at } of holes)
      if (at === null) expect(markIn * 64).toBeCloseTo(Math.round(markIn * 64), 9);
  });

  it('may be the cutout’s edge', () => {
    const patch = definition('patch', ['0.032', '0.040'], {
      carries: 'attach',
      dash: 4,
      cutoutWIn: '4',
      cutoutHIn: '3',
      cornerRadiusIn: '1/4',
      datum: 'cut-out'
    });
    // the skin line is one edge distance, 9/32, outside it
    expect(layoutOf(patch).holes[0]?.markIn).toBe(-0.28125);
  });

  it('falls back to the beginning and says so when it is not there', () => {
    const layout = laidOut(lap({ datum: 'cut-out' }));
    expect(layout.adrift).toMatchObject([{ what: 'datum' }]);
    expect(layout.lines[0]?.datumIn).toBe(0);
  });
});

describe('limits held against every hole', () => {
  it(
    'agree with the row layout’s own',
    () => {
      const joints = fc.record({
        width64: fc.integer({ min: 160, max: 1500 }),
        rows: fc.constantFrom(1 as const, 2 as const, 3 as const, 'auto' as const),
        pattern: fc.constantFrom('in-line' as const, 'staggered' as const),
        scale: fc.constantFrom('1/32' as const, '0.1' as const, '1mm' as const, 'exact' as const),
        dash: fc.constantFrom(3 as const, 4 as const, 5 as const),
        perInch: fc.integer({ min: 5, max: 40 })
      });
      /** the next whole division above, by counting up */
      const above = (stepIn: number) => (leastIn: number) => {
        let steps = 0;
        while (steps * stepIn < leastIn + 1e-9) steps += 1;
        return steps * stepIn;
      };
      const usualEdge = {
        '1/32': above(1 / 32),
        '0.1': above(0.1),
        '1mm': above(1 / 25.4),
        exact: above(1 / 32)
      };
      fc.assert(
        fc.property(joints, ({ width64, rows, pattern, scale, dash, perInch }) => {
          const widthIn = width64 / 64;
          const joint = lap({
            widthIn: String(widthIn),
            rows,
            pattern,
            scale,
            dash,
            edgeIn: '',
            perInch: String(perInch / 10)
          });
          const { layout } = plan(read(joint), DEFAULT_PROFILE);
          const required = Math.ceil((perInch / 10) * widthIn - 1e-9);
          const theirs = rowLayout({
            widthIn,
            dash,
            head: 'universal',
            required,
            rows,
            pattern,
            scale,
            edgeIn: usualEdge[scale](2 * (dash / 32)),
            prefer: 'fewest'
          });
          expect(layout.ok).toBe(theirs.ok);
          if (!layout.ok) return;
          const { checks, rows: laid } = resultOf(theirs);
          expect(layout.result.holes.map(({ markIn }) => markIn)).toEqual(
            laid.flatMap(({ snappedIn }) => snappedIn)
          );
          for (const check of checks) {
            const ours = layout.result.checks.find(({ rule }) => rule === check.rule);
            // rows further apart than any limit reaches are not searched for
            if (check.rule === 'centre-min' && !ours) continue;
            if (check.rule !== 'centre-min') expect(ours?.ok, check.rule).toBe(check.ok);
            // at edges ours also looks at the ends of the lap; between rows it measures from mark to mark
            if (check.rule === 'centre-min')
              expect(Math.abs((ours?.valueIn ?? 0) - check.valueIn)).toBeLessThan(0.1);
            else if (!check.rule.includes('edge'))
              expect(ours?.valueIn).toBeCloseTo(check.valueIn, 9);
          }
        }),
        { numRuns: 400, seed: 4 }
      );
    },
    PATIENCE_MS
  );

  it('says which holes lie in a keep-out that no line could be solved past', () => {
    const joint = definition('round', ['0.032', '0.040'], {
      cutoutIn: '3',
      dash: 4,
      insert: false,
      carries: 'attach',
      keepOuts: [
        {
          id: 'block-2',
          name: 'rib',
          shape: 'rect',
          xIn: '2 1/16',
          yIn: '1/4',
          wIn: '1/4',
          hIn: '1/4'
        }
      ]
    });
    const check = layoutOf(joint).checks.find(({ rule }) => rule === 'keep-out');
    expect(check).toMatchObject({ ok: false, holes: [1] });
    expect(
      written(planned(joint)).find(({ title }) => title === 'Hole inside a keep-out')?.holes
    ).toEqual([1]);
  });

  it('leaves a row that cannot be filled as it was and says why', () => {
    const joint = lap({
      keepOuts: [
        { id: 'block-3', name: 'beam', shape: 'rect', xIn: '3', yIn: '0', wIn: '2', hIn: '' }
      ]
    });
    const layout = laidOut(joint);
    expect(layout.stuck).toMatchObject([{ line: 'row 1', why: { code: 'pitch-too-small' } }]);
    expect(layout.holes).toHaveLength(13);
    expect(stops(plan(read(joint), DEFAULT_PROFILE))).toContain('Row 1 cannot be filled');
  });

  it('calls out an end rivet that was taken away: the flap beyond is loose', () => {
    const base = laidOut(lap());
    const [line] = base.lines;
    const [first] = base.holes;
    if (!line || !first) throw new Error('a row');
    const layout = laidOut(lap(withState(lap(), first, line.key, 'removed')));
    expect(layout.checks.find(({ rule }) => rule === 'edge-max')).toMatchObject({
      ok: false,
      holes: [2]
    });
  });
});
