import { readWish } from '$lib/api/records-wish.ts';
import { findReleases } from '$lib/server/services/find-releases';
import type { PageServerLoad } from './$types';

/** Deeper pages are asked for by narrowing the search. */
const MOST_PAGES = 1000;

export const load: PageServerLoad = async ({ locals, url }) => {
  const asked = url.searchParams.get('page') ?? '0';
  const page = /^\d{1,4}$/.test(asked) ? Math.min(Number(asked), MOST_PAGES) : 0;
  return {
    page,
    found: await findReleases(locals.database(), readWish(url.searchParams).wish, page)
  };
};
