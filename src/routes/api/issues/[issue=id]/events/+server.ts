import { CheckedHead } from '$core/check/hole-events.ts';
import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { recordHead } from '$lib/server/services/hole-events';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params, request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, CheckedHead);
  if (!body.ok) return body.response;
  return respond(await recordHead(locals.database(), params.issue, body.value, locals.person.id));
};
