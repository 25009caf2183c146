import { Finding, MeasuredFinding, SeenFlag, type HeadVerdict } from '../../core/check/findings.ts';
import { FINDING_NAMES } from './heads.ts';

/** Every finding by its name, for a list to choose from. */
export const FINDING_OPTIONS: readonly { value: Finding; text: string }[] = [
  ...MeasuredFinding.options,
  ...SeenFlag.options
].map((value) => ({ value, text: FINDING_NAMES[value] }));

/** What a verdict is called in tables and files. */
export const VERDICT_NAMES: Record<HeadVerdict, string> = {
  accept: 'accepted',
  'not-complete': 'not complete',
  measure: 'measure again',
  'drive-more': 'drive further',
  replace: 'replace',
  refer: 'refer'
};

export const VERDICT_OPTIONS: readonly { value: HeadVerdict | 'none'; text: string }[] = [
  ...(Object.entries(VERDICT_NAMES) as [HeadVerdict, string][]).map(([value, text]) => ({
    value,
    text
  })),
  { value: 'none', text: 'not inspected' }
];
