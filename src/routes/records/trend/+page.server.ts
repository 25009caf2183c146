import { readWish } from '$lib/api/records-wish.ts';
import { findingTrend } from '$lib/server/services/finding-trend';
import type { PageServerLoad } from './$types';

/** Who may see trends by person: whoever leads the shop. */
const MAY_SEE_PEOPLE = new Set(['lead']);

export const load: PageServerLoad = async ({ locals, url }) => {
  const { wish } = readWish(url.searchParams);
  const people = MAY_SEE_PEOPLE.has(locals.person?.role ?? '');
  const asked = url.searchParams.get('by');
  const by = asked === 'tool' || (asked === 'person' && people) ? asked : 'all';
  return {
    by,
    mayAskByPerson: people,
    ...(await findingTrend(locals.database(), wish, wish.finding ?? null, by))
  } as const;
};
