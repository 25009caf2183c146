import { z } from 'zod';
import { RuleProfile } from '../../core/rules/profile.ts';
import { endpoint, NOTHING } from './endpoint.ts';

/** One version of a rule profile as pages show it. */
export const ProfileView = z.object({
  id: z.uuid(),
  rules: RuleProfile,
  madeAt: z.string(),
  madeBy: z.string().nullable(),
  note: z.string(),
  /** new joints begin under it */
  current: z.boolean(),
  joints: z.int()
});
export type ProfileView = z.output<typeof ProfileView>;

/** What a page sends to make a new version of a profile, or a profile of a new name. */
export const ProfileSave = z.strictObject({
  rules: RuleProfile,
  /** why it was changed; shown beside the version */
  note: z.string().trim().min(1, 'Enter what changed and why').max(200)
});
export type ProfileSave = z.output<typeof ProfileSave>;

const path = () => '/api/profiles';

export const listProfilesAt = endpoint({
  method: 'GET',
  path,
  request: NOTHING,
  response: z.array(ProfileView)
});

export const saveProfileAt = endpoint({
  method: 'POST',
  path,
  request: ProfileSave,
  response: z.object({ id: z.uuid(), version: z.int() })
});
