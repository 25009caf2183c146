import { RuleProfile } from '../../../core/rules/profile.ts';
import type { Database } from '../db/connect.ts';

/** Stores a version of a rule profile. @returns its id */
export async function addProfile({ models }: Database, rules: RuleProfile): Promise<string> {
  const { name, version } = rules;
  return (await models.Profile.create({ name, version, rules })).id;
}

/** The profile new joints get: the one stored last under the highest version; null in an empty database. */
export async function currentProfileId({ models }: Database): Promise<string | null> {
  const newest = await models.Profile.findOne({ order: [['version', 'DESC']] });
  return newest?.id ?? null;
}
