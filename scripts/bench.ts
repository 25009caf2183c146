/** ./zanjador bench: speeds as ratios within one run; writes docs/bench.md. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { calc, OPERATIONS } from '../src/core/calc.ts';
import { newJoint } from '../src/core/kinds/new-joint.ts';
import { newSheet } from '../src/core/joint/sheets.ts';
import { readEntered } from '../src/core/kinds/read-entered.ts';
import { constrainedRow, type ConstrainedRowInput } from '../src/core/layout/constrained-row.ts';
import { plan } from '../src/core/plan/plan.ts';
import { DEFAULT_PROFILE, type RuleProfile } from '../src/core/rules/profile.ts';
import { randomRow } from '../tests/support/random-rows.ts';
import { driveRows } from './bench/driving.ts';
import { eventRows, pageRows } from './bench/routes.ts';
import { recordRows } from './bench/records.ts';
import { rivetRows } from './bench/rivets.ts';
import { browserRows } from './bench/pages.ts';
import { addLongLap, serveDemo } from './bench/server.ts';
import { loadSolver, solveRow } from '../tests/support/row-by-solver.ts';
import { refusalInWords } from '../src/lib/words/refusals.ts';
import { inInches } from '../src/lib/words/writing.ts';

/** Seconds for one call, the middle of several rounds: a noisy machine spoils a mean. */
function secondsPerCall(call: () => void, roundS = 0.12, rounds = 5): number {
  call();
  const perRound: number[] = [];
  for (let round = 0; round < rounds; round++) {
    let calls = 0;
    const from = performance.now();
    while (performance.now() - from < roundS * 1000) {
      call();
      calls += 1;
    }
    perRound.push((performance.now() - from) / 1000 / calls);
  }
  return perRound.sort((a, b) => a - b)[rounds >> 1] ?? NaN;
}

function secondsOf(op: string): number {
  const cases = JSON.parse(readFileSync(join('tests/cases', `${op}.json`), 'utf8')) as {
    input: unknown;
  }[];
  return secondsPerCall(() => cases.forEach(({ input }) => calc(op, input))) / cases.length;
}

function operationRows(): string[] {
  const rows = Object.keys(OPERATIONS).map((op) => ({ op, perS: 1 / secondsOf(op) }));
  const slowest = Math.min(...rows.map(({ perS }) => perS));
  return rows.map(
    ({ op, perS }) =>
      `| ${op} | ${Math.round(perS).toLocaleString('en')} | ${(perS / slowest).toFixed(1)} × |`
  );
}

/** A lap joint of about so many holes; closer rivets than any shop's, to reach the largest. */
function jointOf(holes: number, widthIn: number, pitchMinD: number) {
  const profile: RuleProfile = {
    ...DEFAULT_PROFILE,
    multipliers: { ...DEFAULT_PROFILE.multipliers, pitchMinD }
  };
  const read = readEntered({
    ...newJoint('lap'),
    dash: 3,
    rows: 3,
    prefer: 'near',
    nearPitchIn: String((3 * widthIn) / holes),
    widthIn: String(widthIn),
    sheets: [newSheet('a', '0.020'), newSheet('b', '0.020')]
  });
  if (!read.ok) throw new Error('the bench joint cannot be read');
  return () => plan(read.definition, profile);
}

function planRows(): string[] {
  const yardstickUs = secondsOf('rivet-diameter') * 1e6;
  const sizes = [jointOf(60, 7, 3), jointOf(600, 72, 3), jointOf(20_000, 1180, 1.8)];
  const measured = sizes.map((make) => {
    const { holes } = make();
    return { holes: holes.length, perHoleUs: (secondsPerCall(make) * 1e6) / holes.length };
  });
  const usual = measured[1]?.perHoleUs ?? NaN;
  return measured.map(({ holes, perHoleUs }) => {
    const us = perHoleUs * holes;
    return `| ${holes.toLocaleString('en')} | ${(us / 1000).toFixed(2)} ms | ${(us / yardstickUs).toFixed(0)} | ${perHoleUs.toFixed(2)} µs | ${(perHoleUs / usual).toFixed(2)} × |`;
  });
}

const LONG_ROW: ConstrainedRowInput = {
  startIn: 0,
  endIn: 120,
  fixedIn: [17.3, 44.9, 71.02, 98.6],
  keepOut: [8, 26.4, 39, 58.2, 83.1, 110].map((fromIn) => ({ fromIn, toIn: fromIn + 0.9 })),
  minPitchIn: 0.375,
  maxPitchIn: 1.125,
  gridIn: 1 / 32
};

async function rowLines(): Promise<string[]> {
  const solver = await loadSolver();
  let agree = 0;
  let possible = 0;
  const rows = Array.from({ length: 50 }, (_, index) => randomRow(7000 + index, 120 + index * 5));
  for (const row of rows) {
    const ours = constrainedRow(row);
    const theirs = solveRow(solver, row);
    const same =
      ours.ok && theirs
        ? ours.result.count === theirs.count &&
          Math.abs(ours.result.sumSquaresIn2 - theirs.sumSquaresIn2) < 1e-6
        : !ours.ok && !theirs;
    if (same) agree += 1;
    if (theirs) possible += 1;
  }
  const longS = secondsPerCall(() => constrainedRow(LONG_ROW));
  const solverS = secondsPerCall(() => solveRow(solver, LONG_ROW), 0.1, 3);
  const stuck = { ...LONG_ROW, keepOut: [...LONG_ROW.keepOut, { fromIn: 62, toIn: 64 }] };
  const stuckS = secondsPerCall(() => constrainedRow(stuck));
  const answer = constrainedRow(stuck);
  return [
    `- ${agree} of ${rows.length} seeded rows agree with the linear solver on count and evenness (${possible} of them possible).`,
    `- A 120 in row on a 1/32 grid with six keep-outs and four fixed holes: ${(longS * 1000).toFixed(2)} ms; the solver takes ${(solverS / longS).toFixed(0)} × as long.`,
    `- Proving the same row impossible with one wider keep-out: ${(stuckS * 1000).toFixed(2)} ms, “${answer.ok ? 'possible' : refusalInWords(answer.error.said, inInches)}”.`
  ];
}

/** The served application; only where a database runs for it. */
async function servedRows(): Promise<string[]> {
  const cluster = process.env['ZANJADOR_TEST_CLUSTER'];
  if (!cluster) return [];
  const served = await serveDemo(cluster);
  try {
    // before the load leaves thousands of heads and taps on one release
    const browser = await browserRows(served, await addLongLap(served));
    const pages = await pageRows(served);
    return [
      '## The served application, eight clients at once',
      '',
      '| what | a second | ratio | slow fortieth |',
      '|---|---|---|---|',
      ...(await eventRows(served)),
      ...(await driveRows(served)),
      ...pages,
      '',
      ...browser,
      '',
      '## Searching the records',
      '',
      ...(await recordRows(served))
    ];
  } finally {
    await served.stop();
  }
}

const page = [
  '# Speeds',
  '',
  'Written by `./zanjador bench`. Times are of one run on one machine; the ratios within the run are what counts.',
  '',
  '## Calculations, from raw input to answer with arithmetic',
  '',
  '| calculation | a second | relative to the slowest |',
  '|---|---|---|',
  ...operationRows(),
  '',
  '## plan() of a lap joint',
  '',
  '| holes | whole plan | rivet-diameter calls in that time | a hole | against a hole of 600 |',
  '|---|---|---|---|---|',
  ...planRows(),
  '',
  '## Records of a release, remade whole',
  '',
  '| rivets | all of them | against the first |',
  '|---|---|---|',
  ...rivetRows(secondsPerCall),
  '',
  '## Constrained rows',
  '',
  ...(await rowLines()),
  '',
  ...(await servedRows())
].join('\n');
writeFileSync('docs/bench.md', page);
process.stdout.write(page);
