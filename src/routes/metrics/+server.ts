import { env } from '$env/dynamic/private';
import { mayReadMetrics, metrics } from '$lib/server/metrics';
import type { RequestHandler } from './$types';

/** Figures for a program that watches. Whoever does not know the word is told that there is no such page. */
export const GET: RequestHandler = async ({ request }) =>
  mayReadMetrics(request.headers.get('authorization'), env['ZANJADOR_METRICS_TOKEN'])
    ? new Response(await metrics.metrics(), {
        headers: { 'content-type': metrics.contentType, 'cache-control': 'no-store' }
      })
    : new Response(null, { status: 404 });
