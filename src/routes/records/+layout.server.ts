import { readWish } from '$lib/api/records-wish.ts';
import { jobNames } from '$lib/server/services/jobs';
import { listPeople } from '$lib/server/services/people';
import { searchOffers } from '$lib/server/services/search-offers';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, url }) => {
  const database = locals.database();
  const read = readWish(url.searchParams);
  const [people, jobs, offers] = await Promise.all([
    listPeople(database),
    jobNames(database),
    searchOffers(database, read.wish)
  ]);
  return { people, jobs, offers, ...read };
};
