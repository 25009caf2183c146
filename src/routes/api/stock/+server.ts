import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { StockMove } from '$core/stock/stock.ts';
import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { listBins, moveStock } from '$lib/server/services/stock';
import type { RequestHandler } from './$types';

const Moves = z.array(StockMove).min(1, 'nothing was sent').max(2000);

export const GET: RequestHandler = async ({ locals }) => json(await listBins(locals.database()));

export const POST: RequestHandler = async ({ request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, Moves);
  if (!body.ok) return body.response;
  return respond(await moveStock(locals.database(), body.value, locals.person.id));
};
