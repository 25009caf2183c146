import { isPractice, PRACTICE } from '../../../core/joint/practice.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { addJoint, getJoint } from './joints.ts';
import { refused, type Outcome } from '../outcome.ts';

/** The job for practice, opened where there is none yet. @returns its id */
export async function practiceJob({ models }: Database): Promise<string> {
  const [job] = await models.Job.findOrCreate({
    where: { number: PRACTICE.number },
    defaults: PRACTICE
  });
  return job.id;
}

/** Whether a joint is one for practice; false where there is no such joint. */
export async function isPracticeJoint(database: Database, jointId: string): Promise<boolean> {
  const [row] = await rowsOf<{ number: string }>(
    database,
    'select b.number from joints j join jobs b on b.id = j.job_id where j.id = $1',
    [jointId]
  );
  return row !== undefined && isPractice(row);
}

/**
 * Makes a joint under a job that is planned as a practice joint is now. What was released, done, driven, inspected or set at
 * that stays there: the copy begins unreleased.
 *
 * @returns the id of the new joint
 */
export async function copyFromPractice(
  database: Database,
  jointId: string,
  jobId: string,
  title: string,
  personId: string | null
): Promise<Outcome<string>> {
  const joint = await getJoint(database, jointId);
  if (!joint.ok) return joint;
  if (!isPractice(joint.value.job))
    return refused('conflict', 'only the plan of a practice joint is copied to a job');
  const job = await database.models.Job.findByPk(jobId);
  if (job && isPractice(job)) return refused('conflict', 'choose a job that is not practice');
  return addJoint(database, jobId, title, joint.value.definition, personId);
}
