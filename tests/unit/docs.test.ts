import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { calcDocs } from '../../scripts/calc-docs.ts';
import { rolesDoc } from '../../scripts/roles-doc.ts';
import { OPERATIONS } from '../../src/core/calc.ts';

const generated = calcDocs('src/core').set('roles.md', rolesDoc());

describe('the generated documents', () => {
  it.each([...generated.keys()])('%s is what ./zanjador docs would write', (path) => {
    expect(readFileSync(`docs/${path}`, 'utf8')).toBe(generated.get(path));
  });

  it('leave no schema of a calculation that is gone', () => {
    const there = readdirSync('docs/schemas').sort();
    const wanted = [...generated.keys()]
      .filter((path) => path.startsWith('schemas/'))
      .map((path) => path.replace('schemas/', ''))
      .sort();
    expect(there).toEqual(wanted);
  });

  it('tell units, source and errors of every calculation', () => {
    const page = generated.get('calc.md') ?? '';
    for (const op of Object.keys(OPERATIONS)) {
      const [, rest = ''] = page.split(`\n## ${op}\n`);
      const [part = ''] = rest.split('\n## ');
      expect(part, op).toMatch(/\*\*source\*\*: \S/);
      expect(part, op).toMatch(/\*\*throws\*\*: never/);
      expect(part, op).toMatch(/\*\*returns\*\*/);
    }
  });

  it('give sources that a reader finds: entries of docs/sources.md', () => {
    const page = readFileSync('docs/sources.md', 'utf8');
    const entries = [...page.matchAll(/^## `([a-z-]+)`$/gm)].map(([, entry]) => entry);
    expect(entries.length).toBeGreaterThan(10);
    const known = new RegExp(
      `^((${entries.join('|')})\\b|calculation \`(${Object.keys(OPERATIONS).join('|')})\`)`
    );
    const unknown: string[] = [];
    for (const name of readdirSync('src', { recursive: true, encoding: 'utf8' })) {
      if (!/\.(ts|svelte)$/.test(name)) continue;
      const source = readFileSync(join('src', name), 'utf8');
      for (const [, said = ''] of source.matchAll(/@source ([^\n]*)/g))
        if (!known.test(said)) unknown.push(`${name}: ${said}`);
      if (/\bhandbook\b/i.test(source)) unknown.push(`${name}: a handbook that is not here`);
    }
    expect(unknown).toEqual([]);
  });

  it('describe a length as a number or a text, and name what is needed', () => {
    const schema = JSON.parse(generated.get('schemas/rivet-diameter.json') ?? '{}') as {
      input: {
        required: string[];
        properties: { sheetsIn: { items: { type: string[] } } };
      };
    };
    expect(schema.input.required).toEqual(['sheetsIn']);
    expect(schema.input.properties.sheetsIn.items.type).toEqual(['number', 'string']);
  });
});
