import { json } from '@sveltejs/kit';
import { ANSWER_MS, within } from '$lib/server/db/within';
import { rowsOf } from '$lib/server/db/transaction';
import type { RequestHandler } from './$types';

/** Whether it can serve: the database answers. A balancer sends nobody here while it does not. */
export const GET: RequestHandler = async ({ locals }) => {
  const ready = await within(ANSWER_MS, rowsOf(locals.database(), 'select 1')).then(
    () => true,
    () => false
  );
  return json(
    { ready, at: new Date().toISOString() },
    { status: ready ? 200 : 503, headers: { 'cache-control': 'no-store' } }
  );
};
