import { z } from 'zod';
import { EnteredCoupon } from '../../core/grading/coupon.ts';
import { endpoint } from './endpoint.ts';

/** Keeps a coupon as typed; `revision` is the one it was typed upon, 0 for a new one. */
export const keepCouponAt = endpoint({
  method: 'PUT',
  path: ({ coupon }: { coupon: string }) => `/api/grading/${coupon}`,
  request: z.strictObject({ revision: z.int().min(0), coupon: EnteredCoupon }),
  response: z.strictObject({ revision: z.int() })
});

/** A coupon that was kept. */
export interface KeptCoupon {
  id: string;
  revision: number;
  savedAt: string;
  savedBy: string;
  coupon: EnteredCoupon;
}
