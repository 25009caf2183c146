import { z } from 'zod';
import { CageMove } from '$core/ready/cage/setting.ts';
import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { recordCageMoves } from '$lib/server/services/cages';
import type { RequestHandler } from './$types';

const Moves = z.array(CageMove).min(1, 'nothing was sent').max(200);

export const POST: RequestHandler = async ({ params, request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, Moves);
  if (!body.ok) return body.response;
  return respond(
    await recordCageMoves(locals.database(), params.setting, body.value, locals.person.id)
  );
};
