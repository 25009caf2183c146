import { listPeople } from '$lib/server/services/people';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  names: Object.fromEntries((await listPeople(locals.database())).map(({ id, name }) => [id, name]))
});
