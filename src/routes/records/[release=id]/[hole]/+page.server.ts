import { error } from '@sveltejs/kit';
import { holeHistory } from '$lib/server/services/hole-history';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const hole = /^[1-9]\d{0,8}$/.test(params.hole) ? Number(params.hole) : 0;
  const history = await holeHistory(locals.database(), params.release, hole);
  if (!history.ok) error(404, history.inWords(locals.length));
  return { history: history.value };
};
