import { z } from 'zod';
import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { issueJoint } from '$lib/server/services/issues';
import type { RequestHandler } from './$types';

const IssueRequest = z.strictObject({ revision: z.int().min(1) });

export const POST: RequestHandler = async ({ params, request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, IssueRequest);
  if (!body.ok) return body.response;
  return respond(
    await issueJoint(locals.database(), params.joint, body.value.revision, locals.person.id)
  );
};
