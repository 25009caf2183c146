import { describe, expect, it } from 'vitest';
import { routesInTree } from '../../../../tests/support/routes.ts';
import { KEPT_STREAMS } from '../streams/index.ts';
import { asks, ACCESS_POLICY, STREAM_ASKS } from './access-policy';

describe('the list of doors', () => {
  it('has every route with every method it answers, and none that is not there', () => {
    const listed = Object.entries(ACCESS_POLICY).flatMap(([route, methods]) =>
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
    for (const stream of ['no-such', 'constructor', 'toString', '__proto__'])
      expect(asks('/api/events/[stream]/[[subject=id]]', 'POST', { stream })).toBeNull();
  });

  it('lets nobody through what it does not have', () => {
    expect(asks(null, 'GET', {})).toBeNull();
    expect(asks('/new/and/forgotten', 'GET', {})).toBeNull();
    expect(asks('/stock', 'DELETE', {})).toBeNull();
    // asked for its head alone it is the same page
    expect(asks('/stock', 'HEAD', {})).toBe('look');
  });
});
