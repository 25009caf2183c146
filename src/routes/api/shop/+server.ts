import { ShopFigures } from '$core/ready/shop-figures.ts';
import { readBody, respond, sayWhoFirst } from '$lib/server/answers';
import { setShopFigures } from '$lib/server/services/ready';
import type { RequestHandler } from './$types';

export const PUT: RequestHandler = async ({ request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, ShopFigures);
  if (!body.ok) return body.response;
  return respond(await setShopFigures(locals.database(), body.value, locals.person.id));
};
