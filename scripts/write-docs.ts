/** Writes the generated documents below docs/. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { calcDocs } from './calc-docs.ts';

for (const [path, content] of calcDocs('src/core')) {
  const file = join('docs', path);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, content);
}
