import { beforeAll, describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { issueJoint } from '../../src/lib/server/services/issue-joint.ts';
import { addJob, getJob, jobNames, NewJob } from '../../src/lib/server/services/jobs.ts';
import { moveFromPractice, practiceJob } from '../../src/lib/server/services/practice.ts';
import { addJoint, getJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
const LAP = entered('lap', ['0.040', '0.040'], {
  widthIn: '8',
  dash: 4,
  perInch: '1.6',
  perInchReason: 'test'
});
let person = '';

beforeAll(async () => {
  await addProfile(database(), DEFAULT_PROFILE);
  person = (await addPerson(database(), { name: 'Runa Ostrava', role: 'mechanic' })).id;
});

describe('a joint for practice', () => {
  it('is begun without a job and without data, all under one', async () => {
    const [first, second] = [await practiceJob(database()), await practiceJob(database())];
    expect(second).toBe(first);
    expect(valueOf(await getJob(database(), first)).data).toBe('practice, no data');
    expect(
      whyNot(NewJob.safeParse({ number: 'Practice', title: 't', place: 'p', data: 'd' }))
    ).toBe('field number');
  });

  it('is never released, and moves under a job to be', async () => {
    const practice = await practiceJob(database());
    const joint = valueOf(await addJoint(database(), practice, 'Practice joint', LAP));
    const refused = await issueJoint(database(), joint, 1, person);
    expect(refused.ok ? '' : refused.message).toMatch(/Practice joint without approved data/);

    const job = valueOf(
      await addJob(database(), { number: '77', title: 't', place: 'p', data: 'd' })
    );
    expect(whyNot(await moveFromPractice(database(), joint, practice))).toBe('conflict');
    valueOf(await moveFromPractice(database(), joint, job));
    expect(valueOf(await getJoint(database(), joint)).job.number).toBe('77');
    valueOf(await issueJoint(database(), joint, 1, person));
    // a job's own joint stays where it is
    const other = valueOf(
      await addJob(database(), { number: '78', title: 't', place: 'p', data: 'd' })
    );
    const stays = await moveFromPractice(database(), joint, other);
    expect(stays.ok ? '' : stays.message).toMatch(/only a joint that was begun for practice/);
    expect((await jobNames(database())).map(({ number }) => number)).toContain('practice');
  });
});
