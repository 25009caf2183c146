import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { newJoint as blank } from '../../src/core/kinds/new-joint.ts';
import { newSheet } from '../../src/core/joint/sheets.ts';
import { DEFAULT_MULTIPLIERS } from '../../src/core/rules/multipliers.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob, listJobs } from '../../src/lib/server/services/jobs.ts';
import { addJoint, getJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import { OLDER_PROFILE } from '../support/older-profile.ts';
import { useDatabase } from './database.ts';

const database = useDatabase();

it('plans and releases a joint under a profile of an earlier version', async () => {
  await database().sequelize.query(
    'insert into rule_profiles (id, name, version, rules) values (:id, :name, 1, :rules)',
    {
      replacements: {
        id: randomUUID(),
        name: OLDER_PROFILE.name,
        rules: JSON.stringify(OLDER_PROFILE)
      }
    }
  );
  const { id: person } = await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' });
  const job = await addJob(database(), { number: '1', title: 'a', place: 'b', data: 'c' });
  if (!job.ok) throw new Error(job.message);
  const joint = await addJoint(
    database(),
    job.value,
    'Lap',
    {
      ...blank('lap'),
      widthIn: '6',
      sheets: [newSheet('a', '.04'), newSheet('b', '.04')]
    },
    person
  );
  if (!joint.ok) throw new Error(joint.message);

  const view = await getJoint(database(), joint.value);
  expect(view.ok && view.value.profile).toMatchObject({
    headLimits: 'tight',
    multipliers: DEFAULT_MULTIPLIERS
  });
  expect((await listJobs(database()))[0]?.joints[0]?.state).toBe('planned');
  expect(await releaseJoint(database(), joint.value, 1, person)).toEqual({
    ok: true,
    value: { number: 1 }
  });
  const release = await latestRelease(database(), joint.value);
  expect(release?.facts).toMatchObject({ limits: 'tight', dash: 4 });
  // 6.2 an inch × 6 = 37.2 → 38; two rows of 19 would stand 0.302 apart, so three of 13
  expect(release?.holes).toHaveLength(39);
});
