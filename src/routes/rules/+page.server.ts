import { listProfiles } from '$lib/server/services/profiles';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  profiles: await listProfiles(locals.database())
});
