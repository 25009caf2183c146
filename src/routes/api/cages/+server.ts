import { z } from 'zod';
import { Cage } from '$core/ready/cage/cage.ts';
import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { addCage } from '$lib/server/services/cages';
import type { RequestHandler } from './$types';

const NewCage = z.strictObject({ id: z.uuid(), cage: Cage });

export const POST: RequestHandler = async ({ request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, NewCage);
  if (!body.ok) return body.response;
  const { id, cage } = body.value;
  return respond(await addCage(locals.database(), cage, id, locals.person.id));
};
