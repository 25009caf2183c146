import type { Hand } from '../fresh-shop.ts';
import type { Ledger } from './ledger.ts';

const AGAIN_MS = 150;
/** An answer that does not come is asked for again. */
const PATIENCE_MS = 20_000;
/** Nobody answered for certain: the server is away, or says so itself. */
const isUncertain = (status: number): boolean => status >= 500 || status === 429;

/**
 * Sends the same again and again until it is answered for certain, as a browser's outbox does.
 *
 * @returns the answer; null when the soak ended before
 */
export async function deliver(
  { url, headers }: Hand,
  ledger: Ledger,
  going: () => boolean,
  method: string,
  path: string,
  body?: unknown
): Promise<unknown> {
  for (let tries = 0; going() || tries > 0; tries++) {
    const answer = await fetch(url + path, {
      method,
      headers: { ...headers, 'content-type': 'application/json' },
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body === undefined ? {} : { body: JSON.stringify(body) })
    })
      .then(async (response) => ({ status: response.status, text: await response.text() }))
      .catch(() => null);
    if (answer && !isUncertain(answer.status)) {
      if (answer.status >= 400) {
        ledger.refused.push(`${method} ${path}: ${answer.status} ${answer.text.slice(0, 200)}`);
        return null;
      }
      return JSON.parse(answer.text) as unknown;
    }
    ledger.again += 1;
    await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
  }
  return null;
}
