import { may } from '$core/people/rights.ts';
import { readWish } from '$lib/api/records-wish.ts';
import { findingTrend } from '$lib/server/services/finding-trend';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const { wish } = readWish(url.searchParams);
  const people = locals.person !== null && may(locals.person.role, 'see-people');
  const asked = url.searchParams.get('by');
  const by =
    asked === 'tool' || (asked === 'person' && people)
      ? asked
      : asked === 'all' || wish.finding !== undefined
        ? 'all'
        : 'finding';
  return {
    by,
    mayAskByPerson: people,
    ...(await findingTrend(locals.database(), wish, wish.finding ?? null, by))
  } as const;
};
