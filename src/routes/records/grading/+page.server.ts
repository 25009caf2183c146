import { listCoupons } from '$lib/server/services/coupons';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  coupons: await listCoupons(locals.database())
});
