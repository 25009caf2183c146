import { json } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import { rowsOf } from '$lib/server/db/work';
import type { RequestHandler } from './$types';

/** One parameterised insert and nothing else: what the bench holds the recording of an event against. */
export const POST: RequestHandler = async ({ request, locals }) => {
  if (env['ZANJADOR_BENCH'] !== '1') return new Response(null, { status: 404 });
  const { id, payload } = (await request.json()) as { id: string; payload: unknown };
  const rows = await rowsOf(
    locals.database(),
    'insert into bare_rows (id, payload) values ($1, $2) returning id',
    [id, JSON.stringify(payload)]
  );
  return json(rows);
};
