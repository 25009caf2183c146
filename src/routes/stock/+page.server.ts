import { openShortages } from '$lib/server/services/rivet-bills';
import { listBins } from '$lib/server/services/stock';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const database = locals.database();
  const [bins, wanted] = await Promise.all([listBins(database), openShortages(database)]);
  return { bins, ...wanted };
};
