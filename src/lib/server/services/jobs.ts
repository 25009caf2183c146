import { Op, UniqueConstraintError } from 'sequelize';
import { z } from 'zod';
import { ILL_FORMED, isWellFormed } from '../../../core/schema/well-formed.ts';
import type { Database } from '../db/connect.ts';
import type { Job } from '../db/models.ts';
import { listJoints, type JointSummary, type WhichJoints } from './joint-summaries.ts';
import { inInches, type WriteLength } from '../../words/writing.ts';
import { isPractice } from '../../../core/joint/practice.ts';
import { done, refused, type Outcome } from '../outcome.ts';

const line = (what: string, most: number) =>
  z
    .string()
    .trim()
    .min(1, `${what} is missing`)
    .max(most, `${what} is at most ${most} characters`)
    .refine(isWellFormed, { message: ILL_FORMED });

export const NewJob = z.object({
  number: line('the job number', 20).refine((number) => !isPractice({ number }), {
    message: 'this number is reserved for practice. Choose another'
  }),
  title: line('what is repaired', 80),
  place: line('the aircraft and place', 80),
  data: line('the approved data it rests on', 120)
});
export type NewJob = z.output<typeof NewJob>;

export interface JobView extends NewJob {
  id: string;
  openedAt: string;
  /** when it went into the archive; null while it is open */
  closedAt: string | null;
  joints: JointSummary[];
}

const toView = (job: Job, joints: JointSummary[]): JobView => ({
  id: job.id,
  number: job.number,
  title: job.title,
  place: job.place,
  data: job.data,
  openedAt: job.openedAt.toISOString(),
  closedAt: job.closedAt?.toISOString() ?? null,
  joints
});

/**
 * Every open job with its joints, newest number first; that for practice comes last.
 *
 * @param closed those in the archive instead
 * @param person who asks
 */
export async function listJobs(
  database: Database,
  length: WriteLength = inInches,
  { closed = false, person = null }: Omit<WhichJoints, 'job'> = {}
): Promise<JobView[]> {
  const [jobs, joints] = await Promise.all([
    database.models.Job.findAll({
      order: [['number', 'DESC']],
      where: { closedAt: closed ? { [Op.not]: null } : null }
    }),
    listJoints(database, length, { closed, person })
  ]);
  const ofJob = new Map<string, JointSummary[]>();
  for (const joint of joints) {
    const own = ofJob.get(joint.jobId);
    if (own) own.push(joint);
    else ofJob.set(joint.jobId, [joint]);
  }
  return jobs
    .map((job) => toView(job, ofJob.get(job.id) ?? []))
    .sort((a, b) => Number(isPractice(a)) - Number(isPractice(b)));
}

/** How many jobs are in the archive. */
export const closedCount = ({ models }: Database): Promise<number> =>
  models.Job.count({ where: { closedAt: { [Op.not]: null } } });

/** Puts a job into the archive, or takes it out again; the one for practice stays. */
export async function closeJob(
  { models }: Database,
  id: string,
  closed: boolean,
  personId: string
): Promise<Outcome<null>> {
  const job = await models.Job.findByPk(id);
  if (!job) return refused('not-found', 'there is no such job');
  if (isPractice(job)) return refused('not-possible', 'the practice job stays open');
  if ((job.closedAt !== null) !== closed)
    await job.update({ closedAt: closed ? new Date() : null, closedBy: closed ? personId : null });
  return done(null);
}

/** Jobs by number and title alone; not that for practice. */
export const jobNames = async ({
  models
}: Database): Promise<{ id: string; number: string; title: string }[]> =>
  (await models.Job.findAll({ order: [['number', 'DESC']] }))
    .filter((job) => !isPractice(job))
    .map(({ id, number, title }) => ({ id, number, title }));

/** One job with its joints. */
export async function getJob(
  database: Database,
  id: string,
  length: WriteLength = inInches
): Promise<Outcome<JobView>> {
  const job = await database.models.Job.findByPk(id);
  if (!job) return refused('not-found', 'there is no such job');
  return done(toView(job, await listJoints(database, length, { job: id })));
}

/** Opens a job. @returns its id; a number already in use is a conflict */
export async function addJob({ models }: Database, job: NewJob): Promise<Outcome<string>> {
  try {
    return done((await models.Job.create(job)).id);
  } catch (error) {
    if (error instanceof UniqueConstraintError)
      return refused('conflict', `job ${job.number} exists already: take another number`);
    throw error;
  }
}
