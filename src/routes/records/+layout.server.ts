import { readWish } from '$lib/api/records-wish.ts';
import { jobNames } from '$lib/server/services/jobs';
import { listPeople } from '$lib/server/services/people';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, url }) => {
  const database = locals.database();
  const [people, jobs] = await Promise.all([listPeople(database), jobNames(database)]);
  return { people, jobs, ...readWish(url.searchParams) };
};
