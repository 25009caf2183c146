import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';

const READMES = ['src', 'tests', 'scripts'].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('README.md'))
    .map((name) => join(folder, name))
);
const DOCS = [
  'README.md',
  'CONTRIBUTING.md',
  ...readdirSync('docs')
    .filter((name) => name.endsWith('.md'))
    .map((name) => join('docs', name)),
  ...READMES
];
const FILES = ['src', 'tests', 'scripts', 'docs'].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((name) => `/${folder}/${name}`)
);
const ROOT = readdirSync('.');

describe('what the documents name', () => {
  it('has a page beside the code of every part of the map', () => {
    expect(READMES.length).toBeGreaterThan(5);
  });

  it.each(DOCS)('%s names files that are there', (doc) => {
    const missing: string[] = [];
    const page = readFileSync(doc, 'utf8');
    for (const [, named = ''] of page.matchAll(/`([\w./-]+\.(?:ts|svelte|css|sh))`/g))
      if (!ROOT.includes(named) && !FILES.some((file) => file.endsWith(`/${named}`)))
        missing.push(named);
    for (const [, link = ''] of page.matchAll(/\]\((?!https?:|#)([^)#]+)/g))
      if (!existsSync(join(dirname(doc), link))) missing.push(link);
    expect(missing).toEqual([]);
  });
});
