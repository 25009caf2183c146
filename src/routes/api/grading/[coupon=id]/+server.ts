import { keepCouponAt } from '$lib/api/grading.ts';
import { serve } from '$lib/server/serve';
import { keepCoupon } from '$lib/server/services/coupons';

export const PUT = serve(keepCouponAt, ({ database, params, body, person }) =>
  keepCoupon(database, params['coupon'] ?? '', body, person.id)
);
