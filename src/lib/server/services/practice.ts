import type { Database } from '../db/connect.ts';
import { inTransaction } from '../db/transaction.ts';
import { done, refused, type Outcome } from '../outcome.ts';

/** Joints without an aircraft and without data; nothing under it can be released. */
const PRACTICE = {
  number: 'practice',
  title: 'Practice',
  place: 'no aircraft',
  data: 'practice, no data'
} as const;

/** Whether a job is the one for practice. */
export const isPractice = ({ number }: { number: string }): boolean =>
  number.toLowerCase() === PRACTICE.number;

/** The job for practice, opened where there is none yet. @returns its id */
export async function practiceJob({ models }: Database): Promise<string> {
  const [job] = await models.Job.findOrCreate({
    where: { number: PRACTICE.number },
    defaults: PRACTICE
  });
  return job.id;
}

/** Moves a joint that was begun for practice under a job, with everything it has. */
export const moveFromPractice = (
  database: Database,
  jointId: string,
  jobId: string
): Promise<Outcome<null>> =>
  inTransaction(database, async () => {
    const { models } = database;
    const joint = await models.Joint.findByPk(jointId, { lock: true });
    if (!joint) return refused('not-found', 'there is no such joint');
    const [from, to] = await Promise.all([
      models.Job.findByPk(joint.jobId),
      models.Job.findByPk(jobId)
    ]);
    if (!to) return refused('not-found', 'there is no such job');
    if (!from || !isPractice(from))
      return refused('conflict', 'only a joint that was begun for practice moves to another job');
    if (isPractice(to)) return refused('conflict', 'already a practice joint');
    await joint.update({ jobId });
    return done(null);
  });
