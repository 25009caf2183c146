import * as highs from 'highs';
import type { ConstrainedRowInput } from '../../src/core/layout/constrained-row.ts';

/** What the solver finds best: how many holes, and the least sum of squared gaps, in². */
export interface SolvedRow {
  count: number;
  sumSquaresIn2: number;
}

const NEAR = 1e-9;

/**
 * The row as a cheapest path handed to a linear solver: one variable a possible gap, one conservation row
 * a place. Fewest gaps come first by a weight above any sum of squares. Written without a line of the core's.
 */
export function rowProblem(row: ConstrainedRowInput): { text: string; weight: number } | null {
  const { startIn, endIn, gridIn, minPitchIn, maxPitchIn } = row;
  const given = [...new Set([startIn, ...row.fixedIn, endIn])].sort((a, b) => a - b);
  const blocked = (x: number) => row.keepOut.some((k) => x > k.fromIn + NEAR && x < k.toIn - NEAR);
  if (given.some((x) => blocked(x) || x < startIn - NEAR || x > endIn + NEAR)) return null;
  const isGiven = (x: number) => given.some((hole) => Math.abs(hole - x) <= NEAR);
  const places = [...given];
  for (let k = 0; startIn + k * gridIn < endIn - NEAR; k++) {
    const x = startIn + k * gridIn;
    if (!blocked(x) && !isGiven(x)) places.push(x);
  }
  places.sort((a, b) => a - b);
  const weight = (endIn - startIn) ** 2 + 1;
  const costs: string[] = [];
  const out: string[][] = places.map(() => []);
  const into: string[][] = places.map(() => []);
  places.forEach((from, i) => {
    for (let j = i + 1; j < places.length; j++) {
      const gap = (places[j] ?? 0) - from;
      if (gap > maxPitchIn + NEAR) break;
      // a gap may not jump over a given hole
      const jumps = given.some((hole) => hole > from + NEAR && hole < (places[j] ?? 0) - NEAR);
      if (gap < minPitchIn - NEAR || jumps) continue;
      const name = `g${i}_${j}`;
      costs.push(`${(weight + gap ** 2).toPrecision(15)} ${name}`);
      out[i]?.push(name);
      into[j]?.push(name);
    }
  });
  if (costs.length === 0) return null;
  const rows = places.map((_, i) => {
    const terms = [
      ...(out[i] ?? []).map((name) => `+ ${name}`),
      ...(into[i] ?? []).map((name) => `- ${name}`)
    ];
    const balance = i === 0 ? 1 : i === places.length - 1 ? -1 : 0;
    return terms.length === 0
      ? balance === 0
        ? ''
        : null
      : ` c${i}: ${terms.join(' ')} = ${balance}`;
  });
  if (rows.includes(null)) return null;
  const text = `Minimize\n obj: ${costs.join('\n + ')}\nSubject To\n${rows.filter((line) => line !== '').join('\n')}\nEnd\n`;
  return { text, weight };
}

/** As much of the solver as is used here. */
export interface Solver {
  solve: (problem: string) => { Status: string; ObjectiveValue: number };
}

// The package's types tell its CommonJS shape; what is loaded here is its module, a function by default.
export const loadSolver = (highs as unknown as { default: () => Promise<Solver> }).default;

/** @returns null when the solver says it cannot be done (its objective is 0 then: only the status counts) */
export function solveRow(solver: Solver, row: ConstrainedRowInput): SolvedRow | null {
  const problem = rowProblem(row);
  if (!problem) return null;
  const solution = solver.solve(problem.text);
  if (solution.Status !== 'Optimal') return null;
  const gaps = Math.floor(solution.ObjectiveValue / problem.weight);
  return { count: gaps + 1, sumSquaresIn2: solution.ObjectiveValue - gaps * problem.weight };
}
