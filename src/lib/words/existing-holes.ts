import type { ExistingHole } from '../../core/plan/existing-holes.ts';
import type { PlanWarningSaid } from '../../core/plan/warning-said.ts';
import { asRanges } from '../../core/units/ranges.ts';
import type { WriteLength } from './writing.ts';

/** How an existing hole was found. */
export const EXISTING_STATES = {
  '': 'not entered',
  open: 'open',
  riveted: 'riveted',
  enlarged: 'enlarged'
} as const;

export const EXISTING_STATE_OPTIONS = Object.entries(EXISTING_STATES).map(([value, text]) => ({
  value: value as keyof typeof EXISTING_STATES,
  text
}));

/** What an existing hole is for its planned rivet, in a few words. */
export function existingInWords(
  { standing, dash, drill, drillIn, next }: ExistingHole,
  length: WriteLength
): string {
  switch (standing) {
    case 'not-measured':
      return '△ measure it';
    case 'riveted':
      return '△ its old rivet comes out first, then measure it';
    case 'too-small':
      return `△ too small for dash ${dash}: ream or drill to ${drill} (${length(drillIn)})`;
    case 'fits':
      return `✓ good for dash ${dash}: not drilled again`;
    case 'next-size':
      return `✕ too large for dash ${dash}: dash ${next?.dash ?? ''} would fill it`;
    case 'refer':
      return `✕ too large for dash ${dash}, and the next size does not go in: refer it`;
  }
}

/** What a plan warns of existing holes. */
export function existingText(
  said: Extract<PlanWarningSaid, { code: `existing-${string}` }>,
  length: WriteLength
): { title: string; text: string } {
  const where = `${said.holes.length === 1 ? 'hole' : 'holes'} ${asRanges(said.holes)}`;
  switch (said.code) {
    case 'existing-not-measured':
      return {
        title: `Measure the existing ${where}`,
        text: 'Enter each at its widest: whether the planned rivet fills it is not known until then.'
      };
    case 'existing-riveted':
      return {
        title: `An old rivet is in the existing ${where}`,
        text: 'Take it out first, then measure the hole at its widest and enter that.'
      };
    case 'existing-small':
      return {
        title: `Existing ${where}: too small for dash ${said.dash}`,
        text: `Ream or drill to ${said.drill} (${length(said.drillIn)}): a rivet that must be forced in loses its coating.`
      };
    case 'existing-large': {
      const { holeIn, dash, next } = said;
      return {
        title: `Existing ${where}: too large for dash ${dash}`,
        text: `It measures ${length(holeIn, 'fine')}. ${
          next === null
            ? 'The next size does not go in there either: leave the hole open here and refer it to engineering.'
            : `Dash ${next.dash}${next.partNumber === null ? '' : ` (${next.partNumber})`} would fill it: plan the joint in that size, or leave this hole open and refer it to engineering.`
        }`
      };
    }
  }
}
