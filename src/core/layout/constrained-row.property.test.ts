import { beforeAll, describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { randomRow } from '../../../tests/support/random-rows';
import { loadSolver, solveRow, type Solver } from '../../../tests/support/row-by-solver';
import { constrainedRow } from './constrained-row';

describe('against a linear solver', () => {
  let solver: Solver;
  beforeAll(async () => {
    solver = await loadSolver();
  });

  it('agrees on count and evenness of 60 seeded rows', () => {
    let possible = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const row = randomRow(1000 + seed, 60 + seed * 3);
      const wanted = solveRow(solver, row);
      const answer = constrainedRow(row);
      expect(answer.ok, `seed ${seed}`).toBe(wanted !== null);
      if (!answer.ok || !wanted) continue;
      possible += 1;
      expect(answer.result.count, `seed ${seed}`).toBe(wanted.count);
      expect(answer.result.sumSquaresIn2, `seed ${seed}`).toBeCloseTo(wanted.sumSquaresIn2, 6);
    }
    expect(possible).toBeGreaterThanOrEqual(40);
  });
});

describe('a row on a fine grid', () => {
  it('stays exact on the largest grid that is allowed, however wide the pitch window', () => {
    const wide = {
      startIn: 0,
      fixedIn: [],
      keepOut: [],
      endIn: 1200,
      gridIn: 0.006,
      minPitchIn: 1,
      maxPitchIn: 500
    };
    // three spaces of 400
    expect(
      resultOf(constrainedRow(wide)).marksIn.map((mark) => Math.round(mark * 1e6) / 1e6)
    ).toEqual([0, 399.996, 799.998, 1200]);
  });
});
