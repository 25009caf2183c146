/** Names what failed and the slowest files, and adds up the checks and the four test reports into the one closing line. */
import { readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { z } from 'zod';

const VitestReport = z.object({
  numPassedTests: z.int(),
  numFailedTests: z.int(),
  success: z.boolean(),
  testResults: z.array(
    z.object({
      name: z.string(),
      startTime: z.number(),
      endTime: z.number(),
      assertionResults: z.array(z.object({ fullName: z.string(), status: z.string() }))
    })
  )
});
const Suite = z.object({
  specs: z.array(
    z.object({
      title: z.string(),
      file: z.string(),
      ok: z.boolean(),
      tests: z.array(z.object({ results: z.array(z.object({ duration: z.number() })) }))
    })
  ),
  get suites() {
    return z.array(Suite).optional();
  }
});
type Suite = z.infer<typeof Suite>;
const PlaywrightReport = z.object({
  stats: z.object({ expected: z.int(), unexpected: z.int(), flaky: z.int() }),
  errors: z.array(z.unknown()),
  suites: z.array(Suite)
});

interface Count {
  passed: number;
  failed: number;
  /** Of what failed: its name. */
  names: string[];
  /** how long its files took, ms */
  files: ReadonlyMap<string, number>;
}
const SLOWEST_NAMED = 10;

const folder = process.argv[2] ?? '.';
const read = (name: string): string => readFileSync(join(folder, name), 'utf8');

/** A report that is missing, unreadable or empty is a failure: no tests is never a pass. */
function counted(name: string, count: (json: unknown) => Count): Count {
  try {
    const counts = count(JSON.parse(read(name)));
    if (counts.passed + counts.failed === 0) throw new Error('no test ran');
    return counts;
  } catch (error) {
    const why = error instanceof Error ? error.message : 'unreadable';
    return { passed: 0, failed: 1, names: [`${name}: ${why}`], files: new Map() };
  }
}

const vitest = (json: unknown): Count => {
  const { numPassedTests, numFailedTests, success, testResults } = VitestReport.parse(json);
  return {
    passed: numPassedTests,
    failed: numFailedTests + (success || numFailedTests > 0 ? 0 : 1),
    names: testResults
      .flatMap(({ assertionResults }) => assertionResults)
      .filter(({ status }) => status === 'failed')
      .map(({ fullName }) => fullName),
    files: new Map(
      testResults.map(({ name, startTime, endTime }) => [
        relative(process.cwd(), name),
        endTime - startTime
      ])
    )
  };
};
const notOk = ({ specs, suites = [] }: Suite): string[] => [
  ...specs.filter(({ ok }) => !ok).map(({ file, title }) => `${file}: ${title}`),
  ...suites.flatMap(notOk)
];
const specsOf = ({ specs, suites = [] }: Suite): Suite['specs'] => [
  ...specs,
  ...suites.flatMap(specsOf)
];
const playwright = (json: unknown): Count => {
  const { stats, errors, suites } = PlaywrightReport.parse(json);
  const files = new Map<string, number>();
  for (const { file, tests } of suites.flatMap(specsOf))
    for (const { duration } of tests.flatMap(({ results }) => results))
      files.set(`tests/e2e/${file}`, (files.get(`tests/e2e/${file}`) ?? 0) + duration);
  return {
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky + (errors.length > 0 && stats.unexpected === 0 ? 1 : 0),
    names: suites.flatMap(notOk),
    files
  };
};
const lines = read('checks').trim().split('\n');
const checks: Count = {
  passed: lines.filter((line) => line === 'pass').length,
  failed: lines.filter((line) => line !== 'pass').length,
  names: lines.filter((line) => line !== 'pass'),
  files: new Map()
};

const all = [
  checks,
  counted('unit.json', vitest),
  counted('database.json', vitest),
  counted('command.json', vitest),
  counted('e2e.json', playwright)
];
const sum = (key: 'passed' | 'failed') => all.reduce((total, count) => total + count[key], 0);
const slowest = all
  .flatMap(({ files }) => [...files])
  .sort(([, a], [, b]) => b - a)
  .slice(0, SLOWEST_NAMED);
for (const [file, ms] of slowest)
  process.stdout.write(`${(ms / 1000).toFixed(1).padStart(7)} s  ${file}\n`);
for (const name of all.flatMap(({ names }) => names)) process.stdout.write(`✗ ${name}\n`);
process.stdout.write(`${sum('passed')} passed, ${sum('failed')} failed\n`);
process.exitCode = sum('failed') === 0 ? 0 : 1;
