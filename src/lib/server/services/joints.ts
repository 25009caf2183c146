import { isDeepStrictEqual } from 'node:util';
import { JOINT_DOCUMENT } from '../../../core/documents/documents.ts';
import { differences } from '../../../core/joint/differences.ts';
import type { EnteredJoint } from '../../../core/kinds/joint.ts';
import { newJoint } from '../../../core/kinds/new-joint.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import type { JointRules, JointSave, SaveOutcome } from '../../api/joints.ts';
import type { Database } from '../db/connect.ts';
import type { Joint } from '../db/models.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { must, outcomeOf, readDefinition, readProfile } from './documents.ts';
import { keepSummary, makeSummary, type MadeSummary } from './kept-summaries.ts';
import { currentProfile, rulesOf } from './profiles.ts';
import { done, refused, type Outcome } from '../outcome.ts';

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

interface JointRow {
  id: string;
  job: JointView['job'];
  title: string;
  definition: unknown;
  document_version: number;
  revision: number;
  saved_at: Date;
  saved_by: string | null;
  profile_id: string;
  rules: unknown;
  rules_version: number;
}

/** One joint with its job and its rules; one query. */
export const getJoint = (database: Database, id: string): Promise<Outcome<JointView>> =>
  outcomeOf(async () => {
    const [row] = await rowsOf<JointRow>(
      database,
      `select j.id, json_build_object('id', b.id, 'number', b.number, 'title', b.title,
         'place', b.place, 'data', b.data) as job, j.title, j.definition, j.document_version,
         j.revision, j.saved_at, p.name as saved_by, j.profile_id, r.rules,
         r.document_version as rules_version
       from joints j join jobs b on b.id = j.job_id join rule_profiles r on r.id = j.profile_id
       left join people p on p.id = j.saved_by where j.id = $1`,
      [id]
    );
    if (!row) return refused('not-found', 'there is no such joint');
    return done({
      id: row.id,
      job: row.job,
      title: row.title,
      definition: must('this joint', readDefinition(row.document_version, row.definition)),
      revision: row.revision,
      savedAt: row.saved_at.toISOString(),
      savedBy: row.saved_by,
      profileId: row.profile_id,
      profile: must('its rule profile', readProfile(row.rules_version, row.rules))
    });
  });

const documentVersion = JOINT_DOCUMENT.version;

/** Makes a joint under the shop's current profile. @returns its id */
export async function addJoint(
  database: Database,
  jobId: string,
  title: string,
  definition: EnteredJoint = newJoint('lap'),
  savedBy: string | null = null
): Promise<Outcome<string>> {
  const profile = await currentProfile(database);
  if (profile === null) return refused('conflict', 'there is no rule profile yet');
  const summary = await makeSummary(definition, profile.rules);
  return inTransaction(database, async () => {
    const { models } = database;
    if (!(await models.Job.findByPk(jobId))) return refused('not-found', 'there is no such job');
    const document = { title, definition, documentVersion, profileId: profile.id, savedBy };
    const joint = await models.Joint.create({ jobId, ...document });
    await models.JointRevision.create({ jointId: joint.id, revision: 1, ...document });
    await keepSummary(database, joint.id, summary);
    return done(joint.id);
  });
}

interface SavedDocument {
  title: string;
  definition: EnteredJoint;
}

const documentOf = ({ title, definition }: SavedDocument): SavedDocument => ({ title, definition });

/** A stored joint or revision as it is read now. */
const storedOf = (row: { title: string; definition: unknown; documentVersion: number }) => ({
  title: row.title,
  definition: must('this joint', readDefinition(row.documentVersion, row.definition))
});

async function explainStale(
  { models }: Database,
  joint: Joint,
  now: SavedDocument,
  baseRevision: number
): Promise<SaveOutcome> {
  const base = await models.JointRevision.findOne({
    where: { jointId: joint.id, revision: baseRevision }
  });
  const person = joint.savedBy === null ? null : await models.Person.findByPk(joint.savedBy);
  return {
    saved: false,
    revision: joint.revision,
    ...now,
    savedBy: person?.name ?? null,
    changes: base ? differences(storedOf(base), now) : []
  };
}

/**
 * Stores a joint typed upon `baseRevision`. A save upon an older revision changes nothing and answers what
 * changed since; a repeat of what is stored already is acknowledged, so a lost answer does no harm.
 */
export const saveJoint = (
  database: Database,
  id: string,
  save: JointSave,
  savedBy: string | null
): Promise<Outcome<SaveOutcome>> =>
  outcomeOf(async () => {
    const [row] = await rowsOf<{ profile_id: string }>(
      database,
      'select profile_id from joints where id = $1',
      [id]
    );
    if (!row) return refused('not-found', 'there is no such joint');
    const summed = await sumUp(database, save.definition, row.profile_id);
    return inTransaction(database, () => saveWithin(database, id, save, summed, savedBy));
  });

/** What lists say of a joint under a profile: made before its row is locked, for planning it may take a while. */
interface Summed {
  profileId: string;
  summary: MadeSummary;
}

const sumUp = async (
  database: Database,
  definition: EnteredJoint,
  profileId: string
): Promise<Summed> => ({
  profileId,
  summary: await makeSummary(definition, await rulesOf(database, profileId))
});

async function saveWithin(
  database: Database,
  id: string,
  save: JointSave,
  summed: Summed,
  savedBy: string | null
): Promise<Outcome<SaveOutcome>> {
  const { models } = database;
  const joint = await models.Joint.findByPk(id, { lock: true });
  if (!joint) return refused('not-found', 'there is no such joint');
  const now = storedOf(joint);
  const document = documentOf(save);
  if (isDeepStrictEqual(now, document))
    return done<SaveOutcome>({
      saved: true,
      revision: joint.revision,
      savedAt: joint.savedAt.toISOString()
    });
  if (joint.revision !== save.baseRevision)
    return done(await explainStale(database, joint, now, save.baseRevision));

  const { profileId } = joint;
  const revision = joint.revision + 1;
  const savedAt = new Date();
  const stored = { ...document, documentVersion, savedAt, savedBy, revision };
  await joint.update(stored);
  await models.JointRevision.create({ jointId: id, profileId, ...stored });
  // moved under other rules meanwhile: summed up anew
  const { summary } =
    summed.profileId === profileId ? summed : await sumUp(database, document.definition, profileId);
  await keepSummary(database, id, summary);
  return done<SaveOutcome>({ saved: true, revision, savedAt: savedAt.toISOString() });
}

/** Moves a joint under other rules: a revision of its own, so that what was released before is seen to differ. */
export const setJointProfile = (
  database: Database,
  id: string,
  change: JointRules,
  savedBy: string | null
): Promise<Outcome<{ revision: number }>> =>
  outcomeOf(() => inTransaction(database, () => setProfileWithin(database, id, change, savedBy)));

async function setProfileWithin(
  database: Database,
  id: string,
  { profileId, baseRevision }: JointRules,
  savedBy: string | null
): Promise<Outcome<{ revision: number }>> {
  const { models } = database;
  const joint = await models.Joint.findByPk(id, { lock: true });
  if (!joint) return refused('not-found', 'there is no such joint');
  if (!(await models.Profile.findByPk(profileId)))
    return refused('not-found', 'there is no such rule profile');
  if (joint.revision !== baseRevision) return refused('stale', 'the joint was changed. Reload it');
  if (joint.profileId === profileId) return done({ revision: joint.revision });
  const document = storedOf(joint);
  const stored = {
    ...document,
    documentVersion,
    profileId,
    revision: joint.revision + 1,
    savedAt: new Date(),
    savedBy
  };
  await joint.update(stored);
  await models.JointRevision.create({ jointId: id, ...stored });
  const { summary } = await sumUp(database, document.definition, profileId);
  await keepSummary(database, id, summary);
  return done({ revision: stored.revision });
}
