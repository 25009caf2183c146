import type { RuleProfile } from './profile.ts';

/** Whether the shop's rule keeps somebody from judging a head: they drove it. */
export const checksOwnWork = (
  rules: Pick<RuleProfile, 'checking'> | null,
  drove: readonly string[] | undefined,
  person: string | undefined
): boolean =>
  rules?.checking === 'another' && person !== undefined && (drove?.includes(person) ?? false);
