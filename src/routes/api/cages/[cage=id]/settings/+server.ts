import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { beginSetting, NewSetting } from '$lib/server/services/cages';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params, request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, NewSetting);
  if (!body.ok) return body.response;
  return respond(await beginSetting(locals.database(), params.cage, body.value, locals.person.id));
};
