/** Writes the generated documents below docs/. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { calcDocs } from './calc-docs.ts';
import { rolesDoc } from './roles-doc.ts';

for (const [path, content] of [...calcDocs('src/core'), ['roles.md', rolesDoc()] as const]) {
  const file = join('docs', path);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, content);
}
