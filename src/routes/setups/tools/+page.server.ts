import { shopFigures } from '$lib/server/services/ready';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  tools: (await shopFigures(locals.database())).tools
});
