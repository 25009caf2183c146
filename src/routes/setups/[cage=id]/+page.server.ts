import { error } from '@sveltejs/kit';
import { cageTaskOf } from '$lib/server/services/cage-tasks';
import { getCage } from '$lib/server/services/cages';
import { shopFigures } from '$lib/server/services/ready';
import { taskInAddress } from '$lib/setups-address';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const database = locals.database();
  const cage = await getCage(database, params.cage);
  if (!cage.ok) error(404, 'No such stop countersink.');
  const wanted = taskInAddress(url);
  return {
    cage: cage.value,
    task: wanted ? await cageTaskOf(database, wanted.jointId, wanted.step) : null,
    recheckEvery: (await shopFigures(database)).recheckEvery
  };
};
