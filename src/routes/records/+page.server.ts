import { readWish } from '$lib/api/records-wish.ts';
import { findRivets } from '$lib/server/services/find-rivets';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => ({
  found: await findRivets(locals.database(), readWish(url.searchParams).wish)
});
