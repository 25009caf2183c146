import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';

const ROUTES = join(import.meta.dirname, '../../src/routes');

/** Every route with the methods its files answer, off the tree of files. */
export function routesInTree(): string[] {
  const found: string[] = [];
  for (const file of readdirSync(ROUTES, { recursive: true, encoding: 'utf8' })) {
    const route = `/${relative('.', dirname(file))}`.replace(/\/$/, '') || '/';
    const text = () => readFileSync(join(ROUTES, file), 'utf8');
    if (file.endsWith('+page.svelte')) found.push(`GET ${route}`);
    if (file.endsWith('+page.server.ts')) {
      found.push(`GET ${route}`);
      if (/export const actions\b/.test(text())) found.push(`POST ${route}`);
    }
    if (file.endsWith('+server.ts') && !file.endsWith('+page.server.ts'))
      for (const [, method] of text().matchAll(
        /export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE)\b/g
      ))
        found.push(`${method} ${route}`);
  }
  return [...new Set(found)].sort();
}
