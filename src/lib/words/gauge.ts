import type { FeatureVerdict, GaugeFeature } from '../../core/exchange/gauge-plate.ts';

/** What a feature of the gauge plate is, and how it is used. */
export function featureInWords({ what, dash }: Pick<GaugeFeature, 'what' | 'dash'>): string {
  switch (what) {
    case 'go':
      return `upper hole: every good head of dash ${dash} enters`;
    case 'no-go':
      return `lower hole: no good head of dash ${dash} enters`;
    case 'high':
      return 'upper notch (left): the plate sits on the sheet over every good head';
    case 'low':
      return 'lower notch (right): the plate rocks on every good head';
    case 'shank':
      return 'shank notch (top edge): the shank before driving just reaches its bottom';
  }
}

const HOLE: Record<FeatureVerdict, string> = {
  good: 'good',
  'too-large': 'too large: make a new one',
  'too-small': 'too small: open it up and measure again'
};
const NOTCH: Record<FeatureVerdict, string> = {
  good: 'good',
  'too-large': 'too deep: make a new one',
  'too-small': 'too shallow: file it deeper and measure again'
};
/** What becomes of a feature as it was measured. */
export const featureVerdictInWords = (
  { what }: Pick<GaugeFeature, 'what'>,
  verdict: FeatureVerdict
): string => (what === 'go' || what === 'no-go' ? HOLE : NOTCH)[verdict];
