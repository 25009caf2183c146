import { afterEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { call } from './call.ts';

const THERE = {
  method: 'POST',
  path: () => '/there',
  request: z.object({}),
  response: z.object({ n: z.number() })
} as const;
const answered = (status: number, body: string) => {
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status })));
  return call(THERE, {}, {});
};
afterEach(() => vi.unstubAllGlobals());

describe('what comes back', () => {
  it.each([
    [200, '{"n":7}', { reached: true, ok: true, value: { n: 7 } }],
    [422, '{"message":"no"}', { reached: true, ok: false, status: 422, message: 'no' }],
    [200, '<p>Sign in to the network</p>', { reached: true, ok: false, status: 502 }],
    // a proxy's own pages: our server was not asked
    [404, '<h1>404 Not Found</h1>', { reached: false }],
    [413, '', { reached: false }],
    [502, '<h1>Bad Gateway</h1>', { reached: false }]
  ])('%i %s', async (status, body, expected) =>
    expect(await answered(status, body)).toMatchObject(expected)
  );

  it('cut off in its middle is no answer', async () => {
    const cut = new ReadableStream({
      start(controller) {
        controller.enqueue(new TextEncoder().encode('{"n":'));
        controller.error(new Error('cut'));
      }
    });
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(cut, { status: 200 })));
    // nothing is taken as stored: it goes again under the same id
    expect(await call(THERE, {}, {})).toEqual({ reached: false });
  });
});
