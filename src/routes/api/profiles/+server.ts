import { json } from '@sveltejs/kit';
import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { listProfiles, ProfileSave, saveProfile } from '$lib/server/services/profiles';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) =>
  json(await listProfiles(locals.database()));

export const POST: RequestHandler = async ({ request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, ProfileSave);
  if (!body.ok) return body.response;
  return respond(await saveProfile(locals.database(), body.value, locals.person.id));
};
