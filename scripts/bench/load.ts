import { randomUUID } from 'node:crypto';
import autocannon from 'autocannon';

/** Clients that send at once, as a shop of eight would. */
const CLIENTS = 8;
const SECONDS = 4;

/** Answers a second of one address under load, and the slow twentieth in milliseconds. */
export interface Loaded {
  perS: number;
  slowMs: number;
}

/** What is asked again and again; `body` makes a new one each time. */
export interface Ask {
  url: string;
  path: string;
  headers: Record<string, string>;
  body?: (id: () => string) => unknown;
}

/**
 * Sends one request again and again from eight clients.
 *
 * @throws where anything but a good answer comes back: speed of refusals is worth nothing
 */
export async function underLoad({ url, path, headers, body }: Ask): Promise<Loaded> {
  const result = await autocannon({
    url,
    connections: CLIENTS,
    duration: SECONDS,
    requests: [
      {
        method: body ? 'POST' : 'GET',
        path,
        headers: body ? { ...headers, 'content-type': 'application/json' } : headers,
        ...(body
          ? {
              setupRequest: (request) => ({
                ...request,
                body: JSON.stringify(body(() => randomUUID()))
              })
            }
          : {})
      }
    ]
  });
  if (result.non2xx > 0 || result.errors > 0)
    throw new Error(`${path}: ${result.non2xx} refused, ${result.errors} failed`);
  return { perS: result.requests.average, slowMs: result.latency.p97_5 };
}

/** Two things measured turn about, so that a busy machine slows both: their middle ratio and the figures behind it. */
export async function sideBySide(one: Ask, other: Ask, rounds = 3) {
  const measured: { ratio: number; one: Loaded; other: Loaded }[] = [];
  for (let round = 0; round < rounds; round++) {
    const first = await underLoad(one);
    const second = await underLoad(other);
    measured.push({ ratio: first.perS / second.perS, one: first, other: second });
  }
  measured.sort((a, b) => a.ratio - b.ratio);
  const middle = measured[rounds >> 1];
  if (!middle) throw new Error('nothing was measured');
  return middle;
}
