import { shopFigures } from '$lib/server/services/ready';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { plates } = await shopFigures(locals.database());
  return { plates };
};
