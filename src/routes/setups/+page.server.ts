import { cageTaskOf } from '$lib/server/services/cage-tasks';
import { listCages } from '$lib/server/services/cages';
import { taskInAddress } from '$lib/setups-address';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const database = locals.database();
  const wanted = taskInAddress(url);
  return {
    cages: await listCages(database),
    task: wanted ? await cageTaskOf(database, wanted.jointId, wanted.step) : null
  };
};
