import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';

const folder = mkdtempSync(join(tmpdir(), 'zanjador-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** The command's own functions that decide whether something is built, with a build that takes no time. */
const functions = ['newer_than', 'build_one'].map(
  (name) =>
    new RegExp(`^${name}\\(\\) \\{[\\s\\S]*?(?:^\\}|; \\}$)`, 'm').exec(
      readFileSync('zanjador', 'utf8')
    )?.[0]
);
const build = (): boolean =>
  execFileSync(
    'bash',
    [
      '-c',
      `set -euo pipefail; step() { mkdir -p build; touch build/handler.js; echo built; }
       ${functions.join('\n')}
       build_one .build/app.stamp build/handler.js 'build it' build:app src`
    ],
    { cwd: folder, encoding: 'utf8' }
  ).includes('built');
const later = (path: string) => {
  const at = new Date(Date.now() + 60_000);
  utimesSync(join(folder, path), at, at);
};

it('what was built is built again when it is gone or its sources have changed, and not otherwise', () => {
  expect(functions).not.toContain(undefined);
  mkdirSync(join(folder, 'src'));
  for (const file of ['package-lock.json', 'src/one.ts']) writeFileSync(join(folder, file), '');
  expect([build(), build()]).toEqual([true, false]);
  rmSync(join(folder, 'build'), { recursive: true });
  expect([build(), build()]).toEqual([true, false]);
  later('src/one.ts');
  expect(build()).toBe(true);
});
