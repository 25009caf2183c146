import { HEAD_LIMITS } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { ShopPlate } from '../devices/shop-plate.ts';
import type { Dash } from '../schema/fields.ts';
import { below } from '../units/tolerance.ts';
import type { GaugeFeature } from './gauge-plate.ts';

/**
 * The sizes of a finished plate that may be kept, as measured.
 *
 * @param good what was measured and is within what a plate must hold
 * @param features all that it has
 * @returns `sizes` is empty until every feature is good; `short` are lower holes and notches under the least good head:
 * with them too narrow or too low a head would pass for good
 */
export function measuredSizes(
  good: readonly { feature: GaugeFeature; valueIn: number }[],
  features: readonly GaugeFeature[]
): { sizes: ShopPlate['sizes']; short: { dash: Dash; leastIn: number }[] } {
  if (good.length < features.length) return { sizes: [], short: [] };
  const { diameterD, heightD } = HEAD_LIMITS.standard;
  const dashes = [...new Set(features.map(({ dash }) => dash))];
  const of = (dash: Dash, what: GaugeFeature['what']) =>
    good.find(({ feature }) => feature.dash === dash && feature.what === what)?.valueIn ?? 0;
  const short = dashes.flatMap((dash) => {
    const D = rivetSize(dash).diameterIn;
    return [
      { dash, valueIn: of(dash, 'no-go'), leastIn: diameterD.low * D },
      { dash, valueIn: of(dash, 'low'), leastIn: heightD.low * D }
    ].filter(({ valueIn, leastIn }) => below(valueIn, leastIn));
  });
  if (short.length > 0)
    return { sizes: [], short: short.map(({ dash, leastIn }) => ({ dash, leastIn })) };
  return {
    short: [],
    sizes: dashes.map((dash) => ({
      dash,
      headHoleIn: of(dash, 'no-go'),
      notchIn: of(dash, 'low'),
      upperHoleIn: of(dash, 'go'),
      upperNotchIn: of(dash, 'high')
    }))
  };
}
