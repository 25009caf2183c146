import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';
import { RIGHTS, ROLES, may, type Right } from '../../../core/people/rights.ts';
import { KEPT_STREAMS } from '../events/index.ts';
import { asks, DOORS, STREAM_ASKS } from './doors';

const ROUTES = join(import.meta.dirname, '../../../routes');

/** Every route with the methods its files answer, off the tree of files. */
function routesInTree(): string[] {
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

describe('the list of doors', () => {
  it('has every route with every method it answers, and none that is not there', () => {
    const listed = Object.entries(DOORS).flatMap(([route, methods]) =>
      Object.keys(methods).map((method) => `${method} ${route}`)
    );
    const tree = routesInTree();
    expect(tree.length).toBeGreaterThan(50);
    // a page that only acts is shown by nobody, and leads on
    expect(listed.filter((one) => !tree.includes(one))).toEqual([]);
    expect(tree.filter((one) => !listed.includes(one))).toEqual([]);
  });

  it('asks for a right of every stream of events', () => {
    expect(Object.keys(STREAM_ASKS).sort()).toEqual([...KEPT_STREAMS.keys()].sort());
    expect(asks('/api/events/[stream]/[[subject=id]]', 'POST', { stream: 'sign' })).toBe('sign');
    expect(asks('/api/events/[stream]/[[subject=id]]', 'POST', { stream: 'no-such' })).toBeNull();
  });

  it('lets nobody through what it does not have', () => {
    expect(asks(null, 'GET', {})).toBeNull();
    expect(asks('/new/and/forgotten', 'GET', {})).toBeNull();
    expect(asks('/stock', 'DELETE', {})).toBeNull();
    // asked for its head alone it is the same page
    expect(asks('/stock', 'HEAD', {})).toBe('look');
  });
});

describe('the table of rights', () => {
  it('leaves to leads what lets others in, and lets no trainee record, release or sign', () => {
    for (const role of ROLES) expect(may(role, 'people')).toBe(role === 'lead');
    const trainee = Object.keys(RIGHTS).filter((right) => may('trainee', right as Right));
    expect(trainee).toEqual(['look', 'plan', 'prepare', 'drive']);
    expect(may('instructor', 'grade')).toBe(true);
    expect(may('instructor', 'sign')).toBe(false);
  });

  it('lets everyone who works here read', () => {
    for (const role of ROLES) expect(may(role, 'look')).toBe(true);
  });
});
