import { vi } from 'vitest';
import type { ColdView } from '../../src/lib/cold-view.ts';
import { fakeBrowser } from './browser.ts';

/** As much of the server as the stores of a page ask: it takes moves, and says what it has. */
export class FakeServer {
  up = true;
  /** what it has stored, as it sends it back */
  stored: Record<string, unknown>[] = [];
  /** frozen with whatever comes in */
  frozen: unknown = null;
  /** the next that comes in is refused so */
  refuse: { status: number; message: string } | null = null;
  cold: ColdView | null = null;
  readonly said: unknown[] = [];
  #waiting: Promise<void> | null = null;

  /** What is asked from now on is not answered before it is let go. */
  hold(): () => void {
    let letGo = (): void => undefined;
    this.#waiting = new Promise((done) => (letGo = done));
    return () => {
      this.#waiting = null;
      letGo();
    };
  }

  readonly answer = async (path: string, init: { method?: string; body?: string } = {}) => {
    await this.#waiting;
    if (!this.up) throw new TypeError('the server cannot be reached');
    if (this.refuse && init.method === 'POST') {
      const { status, message } = this.refuse;
      this.refuse = null;
      return new Response(JSON.stringify({ message }), { status });
    }
    return Response.json(this.#reply(path, init.method ?? 'GET', JSON.parse(init.body ?? 'null')));
  };

  #reply(path: string, method: string, body: unknown): unknown {
    if (path.startsWith('/api/cold')) {
      if (method === 'POST') this.said.push(body);
      return method === 'GET' ? this.cold : (body as { id: string }).id;
    }
    if (path.startsWith('/api/live')) {
      this.said.push(body);
      return { said: true };
    }
    const { pathname, searchParams } = new URL(path, 'http://server');
    const subject = pathname.split('/').at(-1);
    if (method === 'GET') {
      const known = this.stored.findIndex(({ id }) => id === searchParams.get('after'));
      // the last that is known comes again
      return this.stored.slice(Math.max(0, known));
    }
    const sent = (body as Record<string, unknown>[]).map((move) => ({
      ...move,
      subject,
      by: 'Ilse',
      frozen: this.frozen
    }));
    this.stored.push(...sent);
    return sent;
  }
}

/** A page of a browser with a server behind it; both end with the test that began them. */
export function pageWithServer(): FakeServer {
  fakeBrowser((name, value) => vi.stubGlobal(name, value));
  const server = new FakeServer();
  vi.stubGlobal('fetch', server.answer);
  return server;
}
