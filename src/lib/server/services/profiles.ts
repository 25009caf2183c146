import { PROFILE_DOCUMENT } from '../../../core/documents/documents.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import type { ProfileSave, ProfileView } from '../../api/profiles.ts';
import type { Database } from '../db/connect.ts';
import type { Profile } from '../db/models.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { must, readProfile } from './documents.ts';
import { done, refused, type Outcome } from '../outcome.ts';

const documentVersion = PROFILE_DOCUMENT.version;

/** Stores a version of a rule profile. @returns its id */
export async function addProfile(
  { models }: Database,
  rules: RuleProfile,
  madeBy: string | null = null,
  note = ''
): Promise<string> {
  const { name, version } = rules;
  // the one made last is what joints begin under, also where a clock was set back
  const last = await models.Profile.max<Date | null, Profile>('madeAt');
  const madeAt = new Date(Math.max(Date.now(), (last?.getTime() ?? 0) + 1));
  const profile = { name, version, rules, madeBy, note, madeAt, documentVersion };
  return (await models.Profile.create(profile)).id;
}

const NEWEST_FIRST: [string, string][] = [
  ['madeAt', 'DESC'],
  ['version', 'DESC']
];

const rulesIn = (profile: Profile): RuleProfile =>
  must('the rule profile', readProfile(profile.documentVersion, profile.rules));

/** The profile new joints get: the one made last; null in an empty database. */
export async function currentProfile({
  models
}: Database): Promise<{ id: string; rules: RuleProfile } | null> {
  const newest = await models.Profile.findOne({ order: NEWEST_FIRST });
  return newest && { id: newest.id, rules: rulesIn(newest) };
}

/** The rules of a profile that is there. */
export const rulesOf = async ({ models }: Database, id: string): Promise<RuleProfile> =>
  rulesIn(await models.Profile.findByPk(id, { rejectOnEmpty: true }));

/** Every version of every profile, the newest first; one that cannot be read is left out, not in the way. */
export async function listProfiles(database: Database): Promise<ProfileView[]> {
  const rows = await rowsOf<{
    id: string;
    rules: unknown;
    document_version: number;
    made_at: Date;
    made_by: string | null;
    note: string;
    joints: number;
  }>(
    database,
    `select r.id, r.rules, r.document_version, r.made_at, p.name as made_by, r.note,
       (select count(*)::integer from joints j where j.profile_id = r.id) as joints
     from rule_profiles r left join people p on p.id = r.made_by
     order by r.made_at desc, r.version desc`
  );
  return rows.flatMap((row, index) => {
    const rules = readProfile(row.document_version, row.rules);
    if (!rules.ok) return [];
    return [
      {
        id: row.id,
        rules: rules.value,
        madeAt: row.made_at.toISOString(),
        madeBy: row.made_by,
        note: row.note,
        current: index === 0,
        joints: row.joints
      }
    ];
  });
}

/**
 * Makes the next version of a profile. Versions are never changed: joints planned under one stay under it until
 * someone moves them.
 */
export const saveProfile = (
  database: Database,
  { rules, note }: ProfileSave,
  madeBy: string
): Promise<Outcome<{ id: string; version: number }>> =>
  inTransaction(database, async () => {
    const { models } = database;
    // One at a time, or two savers would both make the same next version.
    await database.sequelize.query('lock table rule_profiles in share row exclusive mode');
    const last = await models.Profile.findOne({
      where: { name: rules.name },
      order: [['version', 'DESC']]
    });
    if (last && last.version !== rules.version)
      return refused(
        'stale',
        `${rules.name} is at version ${last.version} now, not ${rules.version}. Reload it`
      );
    const version = (last?.version ?? 0) + 1;
    const next = { ...rules, version };
    return done({ id: await addProfile(database, next, madeBy, note), version });
  });
