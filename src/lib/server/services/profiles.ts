import { z } from 'zod';
import { RuleProfile } from '../../../core/rules/profile.ts';
import type { ProfileView } from '../../profile-view.ts';
import type { Database } from '../db/connect.ts';
import { done, refused, type Outcome } from './outcome.ts';

/** What a page sends to make a new version of a profile, or a profile of a new name. */
export const ProfileSave = z.strictObject({
  rules: RuleProfile,
  /** why it was changed; shown beside the version */
  note: z.string().trim().min(1, 'say in a few words what changed and why').max(200)
});
export type ProfileSave = z.output<typeof ProfileSave>;

/** Stores a version of a rule profile. @returns its id */
export async function addProfile(
  { models }: Database,
  rules: RuleProfile,
  madeBy: string | null = null,
  note = ''
): Promise<string> {
  const { name, version } = rules;
  return (await models.Profile.create({ name, version, rules, madeBy, note })).id;
}

const NEWEST_FIRST: [string, string][] = [
  ['madeAt', 'DESC'],
  ['version', 'DESC']
];

/** The profile new joints get: the one made last; null in an empty database. */
export async function currentProfileId({ models }: Database): Promise<string | null> {
  const newest = await models.Profile.findOne({ order: NEWEST_FIRST });
  return newest?.id ?? null;
}

/** Every version of every profile, the newest first. */
export async function listProfiles(database: Database): Promise<ProfileView[]> {
  const { models } = database;
  const [profiles, people, joints] = await Promise.all([
    models.Profile.findAll({ order: NEWEST_FIRST }),
    models.Person.findAll(),
    models.Joint.findAll({ attributes: ['profileId'] })
  ]);
  const names = new Map(people.map((person) => [person.id, person.name]));
  return profiles.map((profile, index) => ({
    id: profile.id,
    rules: RuleProfile.parse(profile.rules),
    madeAt: profile.madeAt.toISOString(),
    madeBy: profile.madeBy === null ? null : (names.get(profile.madeBy) ?? null),
    note: profile.note,
    current: index === 0,
    joints: joints.filter((joint) => joint.profileId === profile.id).length
  }));
}

/**
 * Makes the next version of a profile. Versions are never changed: joints planned under one stay under it until
 * someone moves them.
 */
export async function saveProfile(
  { sequelize, models }: Database,
  { rules, note }: ProfileSave,
  madeBy: string
): Promise<Outcome<{ id: string; version: number }>> {
  return sequelize.transaction(async (transaction) => {
    // One at a time, or two savers would both make the same next version.
    await sequelize.query('lock table rule_profiles in share row exclusive mode', { transaction });
    const last = await models.Profile.findOne({
      where: { name: rules.name },
      order: [['version', 'DESC']],
      transaction
    });
    if (last && last.version !== rules.version)
      return refused(
        'stale',
        `${rules.name} is at version ${last.version} by now, not ${rules.version}: look at it again`
      );
    const version = (last?.version ?? 0) + 1;
    const made = await models.Profile.create(
      { name: rules.name, version, rules: { ...rules, version }, madeBy, note },
      { transaction }
    );
    return done({ id: made.id, version });
  });
}
