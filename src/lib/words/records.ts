import { Finding, MeasuredFinding, SeenFlag, HeadVerdict } from '../../core/inspect/findings.ts';
import { RESULT_NAMES } from './results.ts';
import { FINDING_NAMES } from './heads.ts';

/** Every finding by its name, for a list to choose from. */
export const FINDING_OPTIONS: readonly { value: Finding; text: string }[] = [
  ...MeasuredFinding.options,
  ...SeenFlag.options
].map((value) => ({ value, text: FINDING_NAMES[value] }));

export const VERDICT_OPTIONS: readonly { value: HeadVerdict | 'none'; text: string }[] = [
  ...HeadVerdict.options.map((value) => ({ value, text: RESULT_NAMES[value] })),
  { value: 'none', text: RESULT_NAMES['to-do'] }
];
