import type { RuleProfile } from '../core/rules/profile.ts';

/** One version of a rule profile as pages show it. */
export interface ProfileView {
  id: string;
  rules: RuleProfile;
  madeAt: string;
  madeBy: string | null;
  note: string;
  /** new joints begin under it */
  current: boolean;
  joints: number;
}
