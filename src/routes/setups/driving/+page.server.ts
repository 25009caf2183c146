import { shopFigures } from '$lib/server/services/ready';
import { toolSettings, toolTaskOf } from '$lib/server/services/tool-settings';
import { runInAddress } from '$lib/setups-address';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const database = locals.database();
  const wanted = runInAddress(url);
  const [settings, { tools }, task] = await Promise.all([
    toolSettings(database),
    shopFigures(database),
    wanted ? toolTaskOf(database, wanted.jointId, wanted.run) : null
  ]);
  return { settings, tools, task };
};
