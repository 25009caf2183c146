import { json } from '@sveltejs/kit';
import { readBody, respond } from '$lib/server/answers';
import { JointSave, saveJoint } from '$lib/server/services/joints';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ params, request, locals }) => {
  const body = await readBody(request, JointSave);
  if (!body.ok) return body.response;
  const outcome = await saveJoint(
    locals.database(),
    params.joint,
    body.value,
    locals.person?.id ?? null
  );
  return outcome.ok && !outcome.value.saved
    ? json(outcome.value, { status: 409 })
    : respond(outcome);
};
