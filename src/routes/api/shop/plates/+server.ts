import { setPlatesAt } from '$lib/api/shop.ts';
import { serve } from '$lib/server/serve';
import { setShopPlates } from '$lib/server/services/ready';

export const PUT = serve(setPlatesAt, ({ database, body, person }) =>
  setShopPlates(database, body, person.id)
);
