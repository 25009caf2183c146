import { readBody, respond } from '$lib/server/answers';
import { JointRules, setJointProfile } from '$lib/server/services/joints';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ params, request, locals }) => {
  const body = await readBody(request, JointRules);
  if (!body.ok) return body.response;
  return respond(
    await setJointProfile(locals.database(), params.joint, body.value, locals.person?.id ?? null)
  );
};
