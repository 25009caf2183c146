import { z } from 'zod';
import { ReadyMove } from '$core/ready/progress.ts';
import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { recordReady } from '$lib/server/services/ready';
import type { RequestHandler } from './$types';

const Moves = z.array(ReadyMove).min(1, 'nothing was sent').max(5000);

export const POST: RequestHandler = async ({ params, request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, Moves);
  if (!body.ok) return body.response;
  return respond(await recordReady(locals.database(), params.joint, body.value, locals.person.id));
};
