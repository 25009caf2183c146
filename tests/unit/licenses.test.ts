import { execFileSync } from 'node:child_process';
import { expect, it } from 'vitest';

/** What a shop may run without asking anyone; a package under another licence is looked at before it comes in. */
const ALLOWED = new Set([
  'MIT',
  'ISC',
  'Apache-2.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  '0BSD',
  'BlueOak-1.0.0'
]);
/** Looked at: what their own files say. */
const LOOKED_AT: Record<string, string> = {
  'dejavu-fonts-ttf': 'Bitstream Vera and public domain: may be shipped and embedded',
  zanjador: 'our own'
};

it('every package that runs in a shop is under a licence that lets it', () => {
  const listed = JSON.parse(
    execFileSync('npm', ['run', '--silent', 'licenses', '--', '--json'], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore']
    })
  ) as Record<string, { licenses: string | string[] }>;
  const others = Object.entries(listed).flatMap(([named, { licenses }]) => {
    const name = named.slice(0, named.lastIndexOf('@'));
    // one of several is enough where they stand to choice; a star: told from its file, not from its package
    const choice = [licenses].flat().join(' OR ').replace(/[()*]/g, '').split(' OR ');
    return name in LOOKED_AT || choice.some((one) => ALLOWED.has(one))
      ? []
      : [`${named}: ${choice.join()}`];
  });
  expect(others).toEqual([]);
  expect(Object.keys(listed).length).toBeGreaterThan(100);
});
