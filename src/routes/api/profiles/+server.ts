import { listProfilesAt, saveProfileAt } from '$lib/api/profiles.ts';
import { serve } from '$lib/server/serve';
import { done } from '$lib/server/outcome';
import { listProfiles, saveProfile } from '$lib/server/services/profiles';

export const GET = serve(listProfilesAt, async ({ database }) =>
  done(await listProfiles(database))
);

export const POST = serve(saveProfileAt, ({ database, body, person }) =>
  saveProfile(database, body, person.id)
);
