import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { Dash, Head } from '../schema/fields';
import { RulerScale } from '../units/ruler';
import { RowLayoutInput, rowLayout } from './row-layout';
import { readInput } from '../schema/read';
import { notation, refusal } from '../../../tests/support/words';

const ASKED: RowLayoutInput = {
  widthIn: 10.75,
  dash: 4,
  head: 'universal',
  required: 50,
  rows: 'auto',
  pattern: 'in-line',
  prefer: 'fewest',
  scale: '1/64'
};

describe('row layout', () => {
  holdsWorkedCases('row-layout');

  it('opens to its arithmetic, in one row and in staggered ones', () => {
    const workOf = (change: object) => {
      const read = RowLayoutInput.parse({
        widthIn: 6,
        dash: 4,
        head: 'universal',
        required: 9,
        scale: '1/32',
        ...change
      });
      const answer = rowLayout(read);
      return answer.ok
        ? answer.work.map(({ label, formula, value, unit }) => [
            label,
            notation(formula),
            typeof value === 'number' ? Number(value.toFixed(6)) : value,
            unit
          ])
        : [];
    };
    // 6 − 2 × 9/32 = 5.4375 in 8 spaces of 0.6797; on the ruler 11/16: 8 × 0.6875 is 1/16 more
    expect(workOf({ rows: 1 })).toEqual([
      ['edge distance', 'next whole 1/32 over 2 D = 0.25', 0.28125, 'in'],
      ['between end rivets', 'width − 2 × edge = 6 − 2 × 0.28125', 5.4375, 'in'],
      ['rivets in the first row', '9 over 1 row = 9', 9, 'rivets'],
      ['pitch', 'span / spaces = 5.4375 / 8', 0.679688, 'in'],
      ['pitch in D', '0.679688 / 0.125', 5.4375, 'D'],
      [
        'between rows',
        'larger of 2.5 D and 0.75 × pitch, up to a 1/32, not over 4 D = larger of 0.3125 and 0.509766',
        0.5,
        'in'
      ],
      ['overlap', '2 × edge + (rows − 1) × between rows = 2 × 0.28125 + 0 × 0.5', 0.5625, 'in'],
      ['rivets in all', 'over 1 row', 9, 'rivets'],
      [
        'accumulated error if stepped off',
        '8 × 0.6875 (pitch on the 1/32 scale) − 5.4375',
        0.0625,
        'in'
      ]
    ]);
    // (9 + 1) / 2 = 5, and 4 in the second; 5.45 in 4 spaces of 1.3625, edge as typed
    const staggered = workOf({ rows: 2, pattern: 'staggered', edgeIn: 0.275 });
    expect(staggered[0]?.[1]).toBe('as given; the least is 2 D = 0.25');
    expect(staggered[2]?.slice(1, 3)).toEqual(['9 over 2 staggered rows = 5', 5]);
    expect(staggered[6]?.slice(1, 3)).toEqual([
      '2 × edge + (rows − 1) × between rows = 2 × 0.275 + 1 × 0.5',
      1.05
    ]);
    expect(staggered[7]?.slice(1, 3)).toEqual(['over 2 rows', 9]);
    // two rivets over 5.4375 in would stand further than 12 D: grown
    expect(workOf({ rows: 1, required: 2 })[2]?.slice(1, 3)).toEqual([
      '2 over 1 row = 2, grown to 5 for the pitch',
      5
    ]);
  });

  it.each([
    [{ widthIn: '0' }, 'widthIn'],
    [{ widthIn: '1201' }, 'widthIn'],
    [{ edgeIn: '0' }, 'edgeIn'],
    [{ nearPitchIn: '0' }, 'nearPitchIn'],
    [{ prefer: 'near' }, 'nearPitchIn'],
    [{ required: 0 }, 'required'],
    [{ required: 100_001 }, 'required'],
    [{ rows: 4 }, 'rows']
  ])('asks for better input than %j', (change, path) => {
    expect(
      readInput(RowLayoutInput, {
        widthIn: 6,
        dash: 4,
        head: 'universal',
        required: 9,
        ...change
      })
    ).toMatchObject({ ok: false, error: { path } });
  });

  it('keeps a wished pitch for those who prefer it, and for nobody else', () => {
    const asked = RowLayoutInput.parse({
      widthIn: 12,
      dash: 4,
      head: 'universal',
      required: 9,
      rows: 1,
      nearPitchIn: 0.75
    });
    // 11.4375 in 8 spaces is 1.43; near ¾: 15 spaces of 0.7625
    expect(resultOf(rowLayout(asked)).perRow).toBe(9);
    expect(resultOf(rowLayout({ ...asked, prefer: 'near' })).perRow).toBe(16);
  });

  it('works out like on paper', () => {
    // edge 9/32; span 10.75 − 2 × 9/32 = 10.1875; one row of 50: 10.1875/49 = 0.208 < 0.375;
    // two rows of 25: 10.1875/24 = 0.42448; rows 0.75 × 0.42448 = 0.31836 → 11/32
    const result = resultOf(rowLayout(ASKED));
    expect(result).toMatchObject({ perRow: 25, total: 50, edgeIn: 9 / 32, transverseIn: 11 / 32 });
    expect(result.rows).toHaveLength(2);
    expect(result.pitchIn).toBeCloseTo(10.1875 / 24, 12);
    expect(result.overlapIn).toBeCloseTo(29 / 32, 12);
    // 27/64 stepped off 24 times: 10.125, 1/16 short
    expect(result.steppedOffErrorIn).toBeCloseTo(-1 / 16, 12);
  });

  it('gives a staggered joint one fewer in every second row, at mid pitch', () => {
    const result = resultOf(rowLayout({ ...ASKED, pattern: 'staggered', rows: 2, required: 41 }));
    const [first, second] = result.rows;
    expect([first?.marksIn.length, second?.marksIn.length]).toEqual([21, 20]);
    expect(second?.marksIn[0]).toBeCloseTo(9 / 32 + result.pitchIn / 2, 12);
  });

  it('comes near a wished pitch but never under 3 D', () => {
    const near = (nearPitchIn: number) =>
      resultOf(rowLayout({ ...ASKED, required: 5, rows: 1, prefer: 'near', nearPitchIn }));
    // span 10.1875: 10 spaces of 1.019 are nearer to 1 in than 11 of 0.926
    expect(near(1).perRow).toBe(11);
    // 27 spaces of 0.3773 hold 3 D = 0.375; 28 would not
    expect(near(0.1).perRow).toBe(28);
  });

  it.each([
    [{ edgeIn: 0.24 }, 'edgeIn', /minimum of 2 D = 0\.25/],
    [{ widthIn: 0.5625 }, 'widthIn', /over 0\.5625 in/],
    [{ rows: 1 as const }, 'required', /0\.207908 in, under the least of 3 D = 0\.375/],
    [{ required: 500 }, 'required', /3 rows.*under the least of 3 D/]
  ])('says no to %j with the limit and the value', (change, path, message) => {
    const answer = rowLayout({ ...ASKED, ...change });
    expect(answer).toMatchObject({ ok: false, error: { code: 'not-possible', path } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
  });

  it('asks for the wished pitch when it is needed', () => {
    const answer = calc('row-layout', { ...ASKED, prefer: 'near' });
    expect(answer).toMatchObject({
      ok: false,
      error: { code: 'invalid-input', path: 'nearPitchIn' }
    });
  });

  it('points at an input it does not know', () => {
    const answer = calc('row-layout', { ...ASKED, shcool: 'near' });
    expect(answer).toMatchObject({ ok: false, error: { code: 'invalid-input', path: 'shcool' } });
  });
});

const anyInput = fc.record({
  widthIn: fc.double({ min: 0.3, max: 60, noNaN: true }),
  dash: fc.constantFrom(...Dash.values),
  head: fc.constantFrom(...Head.options),
  required: fc.integer({ min: 1, max: 300 }),
  rows: fc.constantFrom(1 as const, 2 as const, 3 as const, 'auto' as const),
  pattern: fc.constantFrom('in-line' as const, 'staggered' as const),
  prefer: fc.constantFrom('fewest' as const, 'near' as const),
  nearPitchIn: fc.double({ min: 0.1, max: 4, noNaN: true }),
  scale: fc.constantFrom(...RulerScale.options)
});

describe('every layout', () => {
  it('has enough rivets, symmetric marks, and a failed check for every limit its snapped marks break', () => {
    fc.assert(
      fc.property(anyInput, (input) => {
        const answer = rowLayout(input);
        if (!answer.ok) return;
        const { rows, total, checks } = answer.result;
        expect(total).toBeGreaterThanOrEqual(input.required);
        expect(rows.reduce((sum, row) => sum + row.marksIn.length, 0)).toBe(total);
        const D = input.dash / 32;
        const failed = new Set(checks.filter((check) => !check.ok).map((check) => check.rule));
        for (const { marksIn, snappedIn } of rows) {
          marksIn.forEach((mark, index) =>
            expect(mark + (marksIn.at(-1 - index) ?? NaN)).toBeCloseTo(input.widthIn, 9)
          );
          const edgeIn = Math.min(snappedIn[0] ?? 0, input.widthIn - (snappedIn.at(-1) ?? 0));
          if (edgeIn < (input.head === 'universal' ? 2 : 2.5) * D - 1e-9)
            expect(failed).toContain('snapped-edge-min');
          snappedIn.slice(1).forEach((mark, index) => {
            const gapIn = mark - (snappedIn[index] ?? NaN);
            if (gapIn < 3 * D - 1e-9) expect(failed).toContain('snapped-pitch-min');
            if (gapIn > 12 * D + 1e-9) expect(failed).toContain('snapped-pitch-max');
          });
        }
      }),
      { numRuns: 2000 }
    );
  });
});
