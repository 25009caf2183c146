import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { definition, entered, layoutOf, planned } from '../../../../tests/support/joints';
import { inInches, wayInWords } from '../../../../tests/support/words';
import { alternatives } from '../../plan/alternatives';
import type { JointLayout } from '../../plan/plan-shape';
import { waysOut } from '../../plan/ways-out';
import { DEFAULT_PROFILE } from '../../rules/profile';
import { whyNot } from '../../../../tests/support/why-not.ts';

const stringer = (widthIn: string, thick: string, change = {}) =>
  definition('double-strap', ['0.040', thick, '0.040'], {
    widthIn,
    gapIn: '1/16',
    location: 'stringer',
    dash: 4,
    ...change
  });
const keysOf = ({ lines }: JointLayout) => lines.map(({ key, holes }) => `${key}:${holes.length}`);
const strapIn = ({ figures }: JointLayout) => figures.find(({ key }) => key === 'strap')?.valueIn;
const broken = ({ checks }: JointLayout) => checks.filter(({ ok }) => !ok).map(({ rule }) => rule);

describe('a broken stringer between two straps', () => {
  it('¾ in wide takes one line down its middle, and as many rivets as it must carry', () => {
    // 0.050 clad: 7.7 an inch × 0.75 × 0.8 = 4.62; edge 9/32 each way leaves 3/16, no second line
    const layout = layoutOf(stringer('3/4', '0.050'));
    expect(keysOf(layout)).toEqual(['near-line-1:5', 'far-line-1:5']);
    expect(layout.holes.every(({ yIn }) => yIn === 0.375)).toBe(true);
    // 2.5 D / 0.75 = 0.41667, up to a 1/32: 7/16; 2 × 9/32 + 4 × 7/16 = 2.3125; twice and the gap
    expect(layout.pitchIn).toBe(0.4375);
    expect(strapIn(layout)).toBe(2 * 2.3125 + 0.0625);
    expect(broken(layout)).toEqual([]);
  });

  it('1 in wide takes two lines, as far apart as its edges let them', () => {
    // 7.7 × 1 × 0.8 = 6.16: 7 over two lines is 4 each; 1 − 2 × 9/32 = 7/16 between them
    const layout = layoutOf(stringer('1', '0.050'));
    expect(keysOf(layout)).toEqual(
      ['near-line-1', 'near-line-2', 'far-line-1', 'far-line-2'].map((key) => `${key}:4`)
    );
    expect([...new Set(layout.holes.map(({ yIn }) => yIn))]).toEqual([0.28125, 0.71875]);
    // 7/16 / 0.75 = 0.58333, up to a 1/32: 19/32
    expect(layout.pitchIn).toBe(0.59375);
    expect(strapIn(layout)).toBe(2 * (0.5625 + 3 * 0.59375) + 0.0625);
    // the far member begins a gap beyond the near one's end, its first rivet one edge distance on
    const far = layout.lines.find(({ key }) => key === 'far-line-1')?.holes[0];
    expect(layout.holes.find(({ number }) => number === far)?.xIn).toBe(2.34375 + 0.0625 + 0.28125);
    expect(broken(layout)).toEqual([]);
  });

  it('1½ in wide takes the number of lines with the shortest strap', () => {
    // 9.7 × 1.5 × 0.8 = 11.64: four lines of 3 rather than three of 4
    expect(keysOf(layoutOf(stringer('1 1/2', '0.063'))).slice(0, 4)).toEqual(
      [1, 2, 3, 4].map((line) => `near-line-${line}:3`)
    );
    // staggered every second line has one fewer: 4 + 3 + 4 + 3 carry the 12
    expect(
      keysOf(layoutOf(stringer('1 1/2', '0.063', { run: 'along', pattern: 'staggered' }))).slice(4)
    ).toEqual(['far-line-1:4', 'far-line-2:3', 'far-line-3:4', 'far-line-4:3']);
  });

  it('has its lines where a rule can draw them', () => {
    // 1.1 in: 1.1 − 2 × 9/32 = 0.5375 is over 4 D; 1/2 apart, (1.1 − ½) / 2 = 0.3, down to 9/32
    const layout = layoutOf(stringer('1.1', '0.050'));
    expect([...new Set(layout.holes.map(({ yIn }) => yIn))]).toEqual([0.28125, 0.78125]);
    // 0.95 in: 0.3875 between them, down to 3/8; (0.95 − 3/8) / 2 = 0.2875, down to 9/32
    const narrow = layoutOf(stringer('0.95', '0.050', { run: 'along' }));
    expect([...new Set(narrow.holes.map(({ yIn }) => yIn))]).toEqual([0.28125, 0.65625]);
    expect(broken(narrow)).toEqual([]);
  });

  it('is laid in rows across while those hold its rivets, and both are offered', () => {
    const wide = stringer('4', '0.040');
    expect(keysOf(layoutOf(wide))[0]).toMatch(/^near-\d:/);
    expect(keysOf(layoutOf({ ...wide, run: 'along' }))[0]).toMatch(/^near-line-1:/);
    const typed = entered('double-strap', ['0.040', '0.040', '0.040'], {
      widthIn: '4',
      location: 'stringer',
      dash: 4
    });
    const names = alternatives(typed, wide, DEFAULT_PROFILE, planned(wide)).map(({ name }) => name);
    expect(names).toContain('Along');
  });

  it('asked for rows across that do not fit, has its lines along as the nearest way out', () => {
    const across = stringer('1', '0.050', { run: 'across' });
    const plan = planned(across);
    expect(whyNot(plan.layout)).toBe('too-many-for-rows');
    expect(
      waysOut(across, DEFAULT_PROFILE, plan).map(({ said }) => wayInWords(said, inInches))[0]
    ).toBe('set the rivets in lines along the member');
  });

  it('lays a number of lines as asked and judges it', () => {
    // three lines over 7/16: 7/32 apart, where 2.5 D is 5/16
    const layout = layoutOf(stringer('1', '0.050', { run: 'along', rows: 3 }));
    expect(layout.lines).toHaveLength(6);
    expect(broken(layout)).toContain('transverse-min');
    expect(broken(layout)).toContain('centre-min');
  });

  it('keeps a wished pitch and makes the strap as long as that asks', () => {
    const layout = layoutOf(stringer('3/4', '0.050', { prefer: 'near', nearPitchIn: '7/8' }));
    expect(layout.pitchIn).toBe(0.875);
    expect(strapIn(layout)).toBe(2 * (0.5625 + 4 * 0.875) + 0.0625);
  });

  it('has no lines where not even one keeps its edge distance', () => {
    // 2 × 2 D of dash 8 is 1 in
    const plan = planned(stringer('7/8', '0.063', { dash: 8, run: 'along' }));
    expect(plan.layout).toMatchObject({
      ok: false,
      error: { said: { code: 'no-room-between-edges', widthIn: 0.875, edgeIn: 0.5 } }
    });
  });

  it('has no several lines where there is no width between their edges', () => {
    // 9/16 is twice the usual 9/32: one line stands there, two would be one
    expect(planned(stringer('9/16', '0.050', { run: 'along' })).layout.ok).toBe(true);
    expect(planned(stringer('9/16', '0.050', { run: 'along', rows: 2 })).layout).toMatchObject({
      ok: false,
      error: { said: { code: 'no-room-between-edges', widthIn: 0.5625 } }
    });
    expect(whyNot(planned(stringer('0.52', '0.050', { run: 'along', rows: 3 })).layout)).toBe(
      'no-room-between-edges'
    );
  });

  it('holds a hole near the far strap end against the far end of the metal', () => {
    const joint = stringer('3/4', '0.050', {
      run: 'along',
      edits: [
        {
          id: 'far-line-1:4/5',
          line: 'far-line-1',
          index: 4,
          of: 5,
          state: 'removed',
          nudgeIn: '',
          reason: ''
        }
      ]
    });
    // without its last rivet the strap stands out 9/32 + 7/16 = 0.72 in, over 4 D
    expect(broken(layoutOf(joint))).toContain('edge-max');
  });

  it('holds every limit at any width, size and head', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 120 }),
        fc.constantFrom(3, 4, 5, 6, 8),
        fc.constantFrom('universal' as const, 'countersunk' as const),
        fc.constantFrom('in-line' as const, 'staggered' as const),
        fc.integer({ min: 0, max: 20 }),
        (width32, dash, head, pattern, gap32) => {
          const joint = stringer(String(width32 / 32), '0.090', {
            dash,
            head,
            pattern,
            run: 'along',
            gapIn: String(gap32 / 32),
            scale: 'exact'
          });
          const { layout, required } = planned(joint);
          if (!layout.ok) return;
          const { lines } = layout.result;
          const near = lines.filter(({ key }) => key.startsWith('near'));
          const rivets = near.reduce((sum, { holes }) => sum + holes.length, 0);
          const distances = near.flatMap((line, at) =>
            near
              .slice(at + 1, at + 2)
              .map((next) =>
                line.path.path === 'straight' && next.path.path === 'straight'
                  ? next.path.yIn - line.path.yIn
                  : NaN
              )
          );
          const D = dash / 32;
          expect(broken(layout.result)).toEqual([]);
          expect(required?.ok && rivets >= required.result.required).toBe(true);
          for (const distanceIn of distances) {
            expect(distanceIn).toBeGreaterThanOrEqual(2.5 * D - 1e-9);
            expect(distanceIn).toBeLessThanOrEqual(4 * D + 1e-9);
          }
        }
      ),
      { numRuns: 60 }
    );
  });
});
