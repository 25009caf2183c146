/** Adds up the checks and the three test reports into the one closing line. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';

const VitestReport = z.object({
  numPassedTests: z.int(),
  numFailedTests: z.int(),
  success: z.boolean()
});
const PlaywrightReport = z.object({
  stats: z.object({ expected: z.int(), unexpected: z.int(), flaky: z.int() }),
  errors: z.array(z.unknown())
});

interface Count {
  passed: number;
  failed: number;
}

const folder = process.argv[2] ?? '.';
const read = (name: string): string => readFileSync(join(folder, name), 'utf8');

/** A report that is missing, unreadable or empty is a failure: no tests is never a pass. */
function counted(name: string, count: (json: unknown) => Count): Count {
  try {
    const { passed, failed } = count(JSON.parse(read(name)));
    if (passed + failed === 0) throw new Error('no test ran');
    return { passed, failed };
  } catch (error) {
    process.stderr.write(`${name}: ${error instanceof Error ? error.message : 'unreadable'}\n`);
    return { passed: 0, failed: 1 };
  }
}

const vitest = (json: unknown): Count => {
  const { numPassedTests, numFailedTests, success } = VitestReport.parse(json);
  return {
    passed: numPassedTests,
    failed: numFailedTests + (success || numFailedTests > 0 ? 0 : 1)
  };
};
const playwright = (json: unknown): Count => {
  const { stats, errors } = PlaywrightReport.parse(json);
  return {
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky + (errors.length > 0 && stats.unexpected === 0 ? 1 : 0)
  };
};
const lines = read('checks').trim().split('\n');
const checks: Count = {
  passed: lines.filter((line) => line === 'pass').length,
  failed: lines.filter((line) => line !== 'pass').length
};

const all = [
  checks,
  counted('unit.json', vitest),
  counted('database.json', vitest),
  counted('command.json', vitest),
  counted('e2e.json', playwright)
];
const sum = (key: keyof Count) => all.reduce((total, count) => total + count[key], 0);
process.stdout.write(`${sum('passed')} passed, ${sum('failed')} failed\n`);
process.exitCode = sum('failed') === 0 ? 0 : 1;
