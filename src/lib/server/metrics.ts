import { timingSafeEqual } from 'node:crypto';
import { collectDefaultMetrics, Histogram, Registry } from 'prom-client';

/** What a watching program reads: memory, event loop delay, and how long each kind of request took. */
export const metrics = new Registry();
collectDefaultMetrics({ register: metrics });

const requests = new Histogram({
  name: 'zanjador_request_seconds',
  help: 'How long requests took, by route, never by address: addresses name joints and people.',
  labelNames: ['method', 'route', 'status'],
  buckets: [0.005, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 2, 5, 20],
  registers: [metrics]
});

const METHODS = new Set(['GET', 'POST', 'PUT', 'HEAD', 'OPTIONS']);

/** Counts a request. */
export function countRequest(
  method: string,
  route: string | null,
  status: number,
  seconds: number
): void {
  const known = METHODS.has(method) ? method : 'other';
  requests.observe({ method: known, route: route ?? 'none', status: String(status) }, seconds);
}

/** Whether somebody may read the figures: they know the word that the server was started with. Without one nobody may. */
export function mayReadMetrics(authorization: string | null, token: string | undefined): boolean {
  if (!token || authorization === null) return false;
  const [given, wanted] = [Buffer.from(authorization), Buffer.from(`Bearer ${token}`)];
  return given.length === wanted.length && timingSafeEqual(given, wanted);
}
