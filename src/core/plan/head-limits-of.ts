import { headLimits, ownHeadLimits } from '../catalog/head-limits.ts';
import type { Joint } from '../kinds/joint.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { HeadLimitsName } from '../schema/fields.ts';
import { atLeast } from '../units/tolerance.ts';

/** What is missing of a joint's own head limits: all four, in their order, and the data they stand in. */
export type OwnLimitsMissing = 'figures' | 'order' | 'reference';

/** What a joint says of limits of its own. */
export type OwnHeads = Pick<
  Joint,
  'ownHeads' | 'headWideLowD' | 'headWideHighD' | 'headHighLowD' | 'headHighHighD' | 'headsReason'
>;

/**
 * Which limits the heads of a joint are held against: those of its own data where it gives any, else the shop's.
 *
 * @returns the shop's with what is missing, while its own are not whole: nothing is judged by half of them
 */
export function headLimitsOf(
  joint: OwnHeads,
  { headLimits: shop }: Pick<RuleProfile, 'headLimits'>
): { limits: HeadLimitsName; missing: OwnLimitsMissing | null } {
  if (!joint.ownHeads) return { limits: shop, missing: null };
  const { headWideLowD, headWideHighD, headHighLowD, headHighHighD, headsReason } = joint;
  if (
    headWideLowD === null ||
    headWideHighD === null ||
    headHighLowD === null ||
    headHighHighD === null
  )
    return { limits: shop, missing: 'figures' };
  if (atLeast(headWideLowD, headWideHighD) || atLeast(headHighLowD, headHighHighD))
    return { limits: shop, missing: 'order' };
  if (headsReason.trim() === '') return { limits: shop, missing: 'reference' };
  const limits = ownHeadLimits({
    diameterD: { low: headWideLowD, high: headWideHighD },
    heightD: { low: headHighLowD, high: headHighHighD }
  });
  return { limits, missing: null };
}

/** Where a joint's own limits let through what the shop's would not: that is said. */
export function isWiderThanShop(own: HeadLimitsName, shop: HeadLimitsName): boolean {
  const [ours, theirs] = [headLimits(own), headLimits(shop)];
  return (['diameterD', 'heightD'] as const).some(
    (way) => ours[way].low < theirs[way].low || ours[way].high > theirs[way].high
  );
}
