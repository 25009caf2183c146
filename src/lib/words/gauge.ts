import type { GaugeFeature, JudgedFeature } from '../../core/exchange/gauge-plate.ts';

/** What a feature of the gauge plate is, and how it is used. */
export function featureInWords({ what, dash }: Pick<GaugeFeature, 'what' | 'dash'>): string {
  switch (what) {
    case 'go':
      return `hole: every good head of dash ${dash} enters`;
    case 'no-go':
      return `hole: no good head of dash ${dash} enters`;
    case 'high':
      return 'left notch: the plate sits on the sheet over every good head';
    case 'low':
      return 'right notch: the plate rocks on every good head';
    case 'shank':
      return 'upper notch: the shank before driving just reaches its bottom';
  }
}

/** What becomes of a feature as it was measured. */
export const FEATURE_VERDICTS: Record<JudgedFeature['verdict'], string> = {
  good: 'good',
  'too-large': 'too large: make a new one',
  'too-small': 'too small: open it up and measure again'
};
