import { isDeepStrictEqual } from 'node:util';
import { z } from 'zod';
import { differences, type Difference } from '../../../core/joint/differences.ts';
import { EnteredJoint } from '../../../core/joint/kinds.ts';
import { newJoint } from '../../../core/joint/new-joint.ts';
import { RuleProfile } from '../../../core/rules/profile.ts';
import type { Database } from '../db/connect.ts';
import type { Joint } from '../db/models.ts';
import { currentProfileId } from './profiles.ts';
import { done, refused, type Outcome } from './outcome.ts';

export const JointTitle = z
  .string()
  .trim()
  .min(1, 'the joint needs a name')
  .max(80, 'a joint name is at most 80 characters');

/** What a page sends when it saves: the document and the revision it was typed upon. */
export const JointSave = z.strictObject({
  baseRevision: z.int().min(1),
  title: JointTitle,
  definition: EnteredJoint
});
export type JointSave = z.output<typeof JointSave>;

/** What a page sends to move a joint under other rules. */
export const JointRules = z.strictObject({ profileId: z.uuid(), baseRevision: z.int().min(1) });

export interface JointView {
  id: string;
  job: { id: string; number: string; title: string; place: string; data: string };
  title: string;
  definition: EnteredJoint;
  revision: number;
  savedAt: string;
  savedBy: string | null;
  profileId: string;
  profile: RuleProfile;
}

/** A save: the new revision, or what someone else changed meanwhile. */
export type SaveOutcome =
  | { saved: true; revision: number; savedAt: string }
  | {
      saved: false;
      revision: number;
      title: string;
      definition: EnteredJoint;
      savedBy: string | null;
      changes: Difference[];
    };

/** One joint with its job and its rules. */
export async function getJoint({ models }: Database, id: string): Promise<Outcome<JointView>> {
  const joint = await models.Joint.findByPk(id);
  if (!joint) return refused('not-found', 'there is no such joint');
  const [job, profile, person] = await Promise.all([
    models.Job.findByPk(joint.jobId, { rejectOnEmpty: true }),
    models.Profile.findByPk(joint.profileId, { rejectOnEmpty: true }),
    joint.savedBy === null ? null : models.Person.findByPk(joint.savedBy)
  ]);
  const { number, title, place, data } = job;
  return done({
    id: joint.id,
    job: { id: job.id, number, title, place, data },
    title: joint.title,
    definition: EnteredJoint.parse(joint.definition),
    revision: joint.revision,
    savedAt: joint.savedAt.toISOString(),
    savedBy: person?.name ?? null,
    profileId: joint.profileId,
    profile: RuleProfile.parse(profile.rules)
  });
}

/** Makes a joint under the shop's current profile. @returns its id */
export async function addJoint(
  database: Database,
  jobId: string,
  title: string,
  definition: EnteredJoint = newJoint('lap'),
  savedBy: string | null = null
): Promise<Outcome<string>> {
  const { sequelize, models } = database;
  if (!(await models.Job.findByPk(jobId))) return refused('not-found', 'there is no such job');
  const profileId = await currentProfileId(database);
  if (profileId === null) return refused('conflict', 'there is no rule profile yet');
  return sequelize.transaction(async (transaction) => {
    const joint = await models.Joint.create(
      { jobId, profileId, title, definition, savedBy },
      { transaction }
    );
    await models.JointRevision.create(
      { jointId: joint.id, revision: 1, profileId, title, definition, savedBy },
      { transaction }
    );
    return done(joint.id);
  });
}

const documentOf = ({ title, definition }: { title: string; definition: EnteredJoint }) => ({
  title,
  definition
});

async function explainStale(
  { models }: Database,
  joint: Joint,
  baseRevision: number
): Promise<SaveOutcome> {
  const [base, person] = await Promise.all([
    models.JointRevision.findOne({ where: { jointId: joint.id, revision: baseRevision } }),
    joint.savedBy === null ? null : models.Person.findByPk(joint.savedBy)
  ]);
  return {
    saved: false,
    revision: joint.revision,
    title: joint.title,
    definition: joint.definition,
    savedBy: person?.name ?? null,
    changes: base ? differences(documentOf(base), documentOf(joint)) : []
  };
}

/**
 * Stores a joint typed upon `baseRevision`. A save upon an older revision changes nothing and answers what
 * changed since; a repeat of what is stored already is acknowledged, so a lost answer does no harm.
 */
export async function saveJoint(
  database: Database,
  id: string,
  save: JointSave,
  savedBy: string | null
): Promise<Outcome<SaveOutcome>> {
  const { sequelize, models } = database;
  return sequelize.transaction(async (transaction) => {
    const joint = await models.Joint.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
    if (!joint) return refused('not-found', 'there is no such joint');
    if (isDeepStrictEqual(documentOf(joint), documentOf(save)))
      return done<SaveOutcome>({
        saved: true,
        revision: joint.revision,
        savedAt: joint.savedAt.toISOString()
      });
    if (joint.revision !== save.baseRevision)
      return done(await explainStale(database, joint, save.baseRevision));

    const revision = joint.revision + 1;
    const savedAt = new Date();
    const document = documentOf(save);
    await joint.update({ ...document, revision, savedAt, savedBy }, { transaction });
    await models.JointRevision.create(
      { jointId: id, revision, profileId: joint.profileId, savedAt, savedBy, ...document },
      { transaction }
    );
    return done<SaveOutcome>({ saved: true, revision, savedAt: savedAt.toISOString() });
  });
}

/** Moves a joint under other rules: a revision of its own, so that what was issued before is seen to differ. */
export async function setJointProfile(
  { sequelize, models }: Database,
  id: string,
  { profileId, baseRevision }: z.output<typeof JointRules>,
  savedBy: string | null
): Promise<Outcome<{ revision: number }>> {
  return sequelize.transaction(async (transaction) => {
    const joint = await models.Joint.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
    if (!joint) return refused('not-found', 'there is no such joint');
    if (!(await models.Profile.findByPk(profileId, { transaction })))
      return refused('not-found', 'there is no such rule profile');
    if (joint.revision !== baseRevision)
      return refused('stale', 'the joint was changed meanwhile: look at it again');
    if (joint.profileId === profileId) return done({ revision: joint.revision });
    const revision = joint.revision + 1;
    const savedAt = new Date();
    await joint.update({ profileId, revision, savedAt, savedBy }, { transaction });
    const { title, definition } = joint;
    await models.JointRevision.create(
      { jointId: id, revision, profileId, title, definition, savedAt, savedBy },
      { transaction }
    );
    return done({ revision });
  });
}
