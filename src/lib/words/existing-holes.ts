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
      return '△ measure the hole';
    case 'riveted':
      return '△ remove the old rivet, then measure the hole';
    case 'too-small':
      return `△ too small for dash ${dash}: ream or drill to ${drill} (${length(drillIn)})`;
    case 'fits':
      return `✓ good for dash ${dash}: not drilled again`;
    case 'next-size':
      return `✕ too large for dash ${dash}: dash ${next?.dash ?? ''} fits`;
    case 'refer':
      return `✕ too large for dash ${dash}, and the next size does not fit: refer to engineering`;
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
        text: 'Enter the maximum diameter of each hole. Until then the fit of the planned rivet is not known.'
      };
    case 'existing-riveted':
      return {
        title: `An old rivet is in the existing ${where}`,
        text: 'Remove the rivet first. Then measure the hole and enter the maximum diameter.'
      };
    case 'existing-small':
      return {
        title: `Existing ${where}: too small for dash ${said.dash}`,
        text: `Ream or drill to ${said.drill} (${length(said.drillIn)}). A rivet that is forced in loses its coating.`
      };
    case 'existing-large': {
      const { holeIn, dash, next } = said;
      return {
        title: `Existing ${where}: too large for dash ${dash}`,
        text: `Measured diameter: ${length(holeIn, 'fine')}. ${
          next === null
            ? 'The next size does not fit either. Leave the hole open and refer to engineering.'
            : `Dash ${next.dash}${next.partNumber === null ? '' : ` (${next.partNumber})`} fits. Plan the joint in that size, or leave the hole open and refer to engineering.`
        }`
      };
    }
  }
}
