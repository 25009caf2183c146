import { setToolsAt } from '$lib/api/shop.ts';
import { serve } from '$lib/server/serve';
import { setDrivingTools } from '$lib/server/services/ready';

export const PUT = serve(setToolsAt, ({ database, body, person }) =>
  setDrivingTools(database, body, person.id)
);
