import { setShopFiguresAt } from '$lib/api/shop.ts';
import { serve } from '$lib/server/serve';
import { setShopFigures } from '$lib/server/services/ready';

export const PUT = serve(setShopFiguresAt, ({ database, body, person }) =>
  setShopFigures(database, body, person.id)
);
