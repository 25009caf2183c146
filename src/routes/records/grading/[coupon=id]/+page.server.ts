import { getCoupon } from '$lib/server/services/coupons';
import type { PageServerLoad } from './$types';

/** A coupon that is not there yet is a new one: its id is made in the browser. */
export const load: PageServerLoad = async ({ locals, params }) => {
  const kept = await getCoupon(locals.database(), params.coupon);
  return { id: params.coupon, kept: kept.ok ? kept.value : null };
};
