import { z } from 'zod';
import { Dash, HeadLimitsKey } from '../schema/fields.ts';

/** Which sizes a gauge plate is made for, and by which limits: as they stand in an address. */
export const GaugeWish = z.strictObject({
  sizes: z
    .string()
    .transform((text) => text.split(',').map(Number))
    .pipe(z.array(Dash).min(1, 'choose at least one size').max(5)),
  limits: HeadLimitsKey
});
export type GaugeWish = z.output<typeof GaugeWish>;
