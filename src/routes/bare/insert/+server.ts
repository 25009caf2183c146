import { json } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import pg from 'pg';
import { MOST_CONNECTIONS } from '$lib/server/db/connect';
import type { RequestHandler } from './$types';

let pool: pg.Pool | null = null;

/**
 * One parameterised insert whose plan the driver keeps, and nothing else: what the bench holds the recording of an event
 * against. It stays as it is, by the driver alone, so that the yardstick does not change with what it measures.
 */
export const POST: RequestHandler = async ({ request }) => {
  if (env['ZANJADOR_BENCH'] !== '1') return new Response(null, { status: 404 });
  const { id, payload } = (await request.json()) as { id: string; payload: unknown };
  pool ??= new pg.Pool({
    connectionString: env['DATABASE_URL'],
    max: MOST_CONNECTIONS
  });
  const { rows } = await pool.query({
    name: 'bare',
    text: 'insert into bare_rows (id, payload) values ($1, $2) returning id',
    values: [id, JSON.stringify(payload)]
  });
  return json(rows);
};
