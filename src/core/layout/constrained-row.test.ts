import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { randomRow } from '../../../tests/support/random-rows';
import { calc } from '../calc';
import { constrainedRow, type ConstrainedRowInput } from './constrained-row';
import { refusal } from '../../../tests/support/words';

const ROW: ConstrainedRowInput = {
  startIn: 0,
  endIn: 12,
  fixedIn: [],
  keepOut: [],
  minPitchIn: 0.375,
  maxPitchIn: 1.125,
  gridIn: 1 / 32
};

/** Every admissible row, tried one after another; only for small ones. */
function byBruteForce(row: ConstrainedRowInput): number[] | null {
  const near = 1e-9;
  const given = [...new Set([row.startIn, ...row.fixedIn, row.endIn])].sort((a, b) => a - b);
  const free = (x: number) => !row.keepOut.some((k) => x > k.fromIn + near && x < k.toIn - near);
  if (!given.every((x) => free(x) && x >= row.startIn - near && x <= row.endIn + near)) return null;
  const grid: number[] = [];
  for (let k = 0; row.startIn + k * row.gridIn < row.endIn - near; k++)
    grid.push(row.startIn + k * row.gridIn);
  const places = [
    ...new Set([
      ...given,
      ...grid.filter((x) => free(x) && !given.some((hole) => Math.abs(hole - x) < near))
    ])
  ].sort((a, b) => a - b);
  let best: { marks: number[]; squares: number } | null = null;
  const better = (marks: number[], squares: number): boolean => {
    if (!best || marks.length !== best.marks.length)
      return !best || marks.length < best.marks.length;
    if (Math.abs(squares - best.squares) > near) return squares < best.squares;
    const first = marks.findIndex(
      (mark, index) => Math.abs(mark - (best?.marks[index] ?? 0)) > near
    );
    return first >= 0 && (marks[first] ?? 0) < (best.marks[first] ?? 0);
  };
  const extend = (marks: number[], squares: number): void => {
    const here = marks.at(-1) ?? 0;
    if (Math.abs(here - row.endIn) < near) {
      if (better(marks, squares)) best = { marks, squares };
      return;
    }
    if (best && marks.length >= best.marks.length) return;
    for (const next of places) {
      const gap = next - here;
      if (gap < row.minPitchIn - near || gap > row.maxPitchIn + near) continue;
      if (given.some((hole) => hole > here + near && hole < next - near)) continue;
      extend([...marks, next], squares + gap ** 2);
    }
  };
  extend([row.startIn], 0);
  return (best as { marks: number[] } | null)?.marks ?? null;
}

describe('a row past fixed holes and keep-outs', () => {
  holdsWorkedCases('constrained-row');

  it('agrees with trying everything, mark by mark, on 300 small rows', () => {
    let possible = 0;
    for (let seed = 1; seed <= 300; seed++) {
      const row = randomRow(seed, 12 + (seed % 16));
      const wanted = byBruteForce(row);
      const answer = constrainedRow(row);
      expect(answer.ok, `seed ${seed}`).toBe(wanted !== null);
      if (!answer.ok || !wanted) continue;
      possible += 1;
      expect(answer.result.count, `seed ${seed}`).toBe(wanted.length);
      answer.result.marksIn.forEach((mark, index) =>
        expect(mark, `seed ${seed}`).toBeCloseTo(wanted[index] ?? NaN, 9)
      );
    }
    expect(possible).toBeGreaterThan(100);
  });

  it('lets a hole stand on a keep-out’s boundary', () => {
    const { marksIn } = resultOf(
      constrainedRow({ ...ROW, endIn: 2, maxPitchIn: 1, keepOut: [{ fromIn: 1, toIn: 1.5 }] })
    );
    expect(marksIn).toEqual([0, 1, 2]);
  });

  it('says which stretch cannot be filled and what would make it possible', () => {
    const answer = constrainedRow({ ...ROW, keepOut: [{ fromIn: 6.5, toIn: 7.9 }] });
    // from 6.5 to 7.9 on a 1/32 grid: 7.90625 is the first place beyond
    expect(answer.ok ? '' : refusal(answer.error)).toBe(
      'needs a pitch of 1.40625 in, maximum 1.125 in, between 6.5 in and 7.90625 in'
    );
  });

  it.each([
    [
      { fixedIn: [5, 5.2] },
      /5 in and 5\.2 in are 0\.2 in apart, below the minimum pitch of 0\.375/
    ],
    [{ fixedIn: [13] }, /beyond the row/],
    [
      { fixedIn: [6], keepOut: [{ fromIn: 5.9, toIn: 6.1 }] },
      /lies in the keep-out from 5\.9 in to 6\.1 in/
    ],
    [{ endIn: 1, minPitchIn: 0.6, maxPitchIn: 0.9 }, /is too large|needs a pitch of 1 in/]
  ])('says no to %j', (change, message) => {
    const answer = constrainedRow({ ...ROW, ...change });
    expect(answer).toMatchObject({ ok: false, error: { code: 'not-possible' } });
    expect(answer.ok ? '' : refusal(answer.error)).toMatch(message);
  });

  it('says what was wrong with its quantities', () => {
    const said = (change: object) => {
      const answer = calc('constrained-row', { ...ROW, ...change });
      return answer.ok ? null : answer.error.said;
    };
    expect(said({ endIn: 0 })).toEqual({ code: 'end-before-start', endIn: 0, startIn: 0 });
    expect(said({ startIn: 3, endIn: 1204 })).toEqual({
      code: 'span-too-long',
      spanIn: 1201,
      mostIn: 1200
    });
    expect(said({ startIn: 3, endIn: 13, gridIn: 1e-5 })).toEqual({
      code: 'grid-too-fine',
      gridIn: 1e-5,
      spanIn: 10,
      most: 200_000
    });
    expect(said({ minPitchIn: 2 })).toEqual({ code: 'pitches-crossed', leastIn: 2, mostIn: 1.125 });
    expect(said({ keepOut: [{ fromIn: 2, toIn: 1 }] })).toEqual({
      code: 'keep-out-backwards',
      fromIn: 2,
      toIn: 1
    });
    for (const change of [{ startIn: -100_001 }, { endIn: 100_001 }, { minPitchIn: 0 }])
      expect(said(change)).not.toBeNull();
    // nothing fixed, nothing in the way where it is not told
    const { startIn, endIn, minPitchIn, maxPitchIn, gridIn } = ROW;
    const bare = { startIn, endIn, minPitchIn, maxPitchIn, gridIn };
    expect(calc('constrained-row', bare)).toEqual(calc('constrained-row', { ...ROW }));
  });

  it('is the same row wherever it begins', () => {
    const from = (startIn: number) =>
      resultOf(
        constrainedRow({
          ...ROW,
          startIn,
          endIn: startIn + 12,
          fixedIn: [startIn + 5],
          keepOut: [{ fromIn: startIn + 7, toIn: startIn + 7.6 }]
        })
      );
    const here = from(0);
    const there = from(40);
    expect(there.count).toBe(here.count);
    there.marksIn.forEach((mark, at) => expect(mark - 40).toBeCloseTo(here.marksIn[at] ?? NaN, 9));
    expect(there.sumSquaresIn2).toBeCloseTo(here.sumSquaresIn2, 9);
  });

  it.each([
    [{ endIn: 0 }, 'endIn'],
    [{ minPitchIn: 2 }, 'minPitchIn'],
    [{ keepOut: [{ fromIn: 2, toIn: 1 }] }, 'keepOut.0.toIn'],
    [{ gridIn: 1e-5 }, 'gridIn'],
    [{ endIn: 1201 }, 'endIn']
  ])('asks for better input than %j', (change, path) => {
    expect(calc('constrained-row', { ...ROW, ...change })).toMatchObject({
      ok: false,
      error: { code: 'invalid-input', path }
    });
  });

  it('counts equal fixed holes once', () => {
    const once = resultOf(constrainedRow({ ...ROW, fixedIn: [5] }));
    expect(resultOf(constrainedRow({ ...ROW, fixedIn: [5, 5, 0, 12] }))).toEqual(once);
  });
});
