import type { ShopPlate } from '../devices/shop-plate.ts';
import type { Dash } from '../schema/fields.ts';
import type { GaugeFeature } from './gauge-plate.ts';

/**
 * The sizes of a finished plate that may be kept, as measured.
 *
 * @param good what was measured and is within what a plate must hold
 * @param features all that it has
 * @returns empty until every feature is good
 */
export function measuredSizes(
  good: readonly { feature: GaugeFeature; valueIn: number }[],
  features: readonly GaugeFeature[]
): ShopPlate['sizes'] {
  if (good.length < features.length) return [];
  const of = (dash: Dash, what: GaugeFeature['what']) =>
    good.find(({ feature }) => feature.dash === dash && feature.what === what)?.valueIn ?? 0;
  return [...new Set(features.map(({ dash }) => dash))].map((dash) => ({
    dash,
    headHoleIn: of(dash, 'no-go'),
    notchIn: of(dash, 'low'),
    upperHoleIn: of(dash, 'go'),
    upperNotchIn: of(dash, 'high')
  }));
}
