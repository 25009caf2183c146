import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';
import { migrate } from '../../src/lib/server/db/migrate.ts';
import { firstTables } from '../../src/lib/server/db/migrations/0001-first-tables.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { listJobs } from '../../src/lib/server/services/jobs.ts';
import { getJoint, saveJoint } from '../../src/lib/server/services/joints.ts';
import { makeDatabase } from './database.ts';
import { eventsOfRelease, recordHead } from './record.ts';

let database: Database;
let drop: () => Promise<void>;

/** A lap joint as it was stored when there was no other kind. */
const OLD_LAP = {
  kind: 'lap',
  family: 'clad-2024',
  reckonOn: 'thickest',
  location: 'general',
  head: 'universal',
  alloy: 'AD',
  dash: 4,
  rows: 'auto',
  pattern: 'in-line',
  prefer: 'profile',
  scale: '1/32',
  sheets: [
    { name: 'a', thicknessIn: '.040' },
    { name: 'b', thicknessIn: '.040' }
  ],
  widthIn: '2',
  edgeIn: '',
  nearPitchIn: ''
};
const OLD_FACTS = {
  dash: 4,
  head: 'universal',
  partNumber: 'MS20470AD4-4.5',
  gripIn: 0.08,
  lengthIn: 0.28125,
  holeIn: 0.1285,
  widthIn: 2,
  overlapIn: 0.5625,
  limits: 'standard',
  predictedIn3: 0.0024
};
const OLD_RULES = {
  name: 'Old profile',
  version: 1,
  diameter: 'thickest',
  pitch: 'fewest',
  housePitchIn: 1,
  drill: 'close',
  increments: 'half',
  lean: 'nearest',
  headLimits: 'standard'
};
const ids = {
  person: randomUUID(),
  profile: randomUUID(),
  job: randomUUID(),
  joint: randomUUID(),
  unreleased: randomUUID(),
  release: randomUUID()
};

beforeAll(async () => {
  const made = await makeDatabase('template0');
  drop = made.drop;
  database = openDatabase(made.url);
  const { sequelize } = database;
  await firstTables.up({ context: sequelize.getQueryInterface() });
  await sequelize.query('create table migrations (name varchar(255) primary key)');
  await sequelize.query("insert into migrations values ('0001-first-tables')");
  const put = (sql: string, replacements: Record<string, unknown>) =>
    sequelize.query(sql, { replacements: { ...ids, ...replacements } });
  await put("insert into people (id, name, role) values (:person, 'Odile Marn', 'mechanic')", {});
  await put(
    "insert into rule_profiles (id, name, version, rules) values (:profile, 'Old profile', 1, :rules)",
    { rules: JSON.stringify(OLD_RULES) }
  );
  await put(
    "insert into jobs (id, number, title, place, data) values (:job, '1', 'a', 'b', 'c')",
    {}
  );
  await put(
    "insert into joints (id, job_id, profile_id, title, definition, revision) values (:joint, :job, :profile, 'Lap', :definition, 1)",
    { definition: JSON.stringify(OLD_LAP) }
  );
  await put(
    "insert into joints (id, job_id, profile_id, title, definition, revision) values (:unreleased, :job, :profile, 'Unreleased', :definition, 1)",
    { definition: JSON.stringify({ ...OLD_LAP, widthIn: '6', location: 'intermediate-frame' }) }
  );
  await put(
    "insert into joint_revisions (joint_id, revision, title, definition) values (:joint, 1, 'Lap', :definition)",
    { definition: JSON.stringify(OLD_LAP) }
  );
  await put(
    "insert into joint_issues (id, joint_id, number, revision, definition, rules, facts, issued_at, issued_by) values (:release, :joint, 1, 1, '{}', :rules, :facts, '2020-01-01', :person)",
    { rules: JSON.stringify(OLD_RULES), facts: JSON.stringify(OLD_FACTS) }
  );
  for (const number of [1, 2])
    await put(
      'insert into holes (issue_id, number, "row", x_in, y_in, mark_in) values (:release, :number, 1, :x, 0.28, :x)',
      { number, x: number }
    );
  expect(await migrate(database)).toEqual([
    '0002-kinds-of-joint',
    '0003-stock',
    '0004-make-ready',
    '0005-cages',
    '0006-one-event-stream',
    '0007-what-a-setting-rests-on',
    '0008-looks-by-instant',
    '0009-driving',
    '0010-settings-of-tools',
    '0011-rework-and-signing',
    '0012-rivets-on-record',
    '0013-what-a-release-took-over',
    '0014-graded-coupons',
    '0015-sign-in',
    '0016-only-the-newest-release',
    '0017-audit-chain',
    '0018-as-it-happened',
    '0019-expired-rivets',
    '0020-looks-that-add-up',
    '0021-who-sent',
    '0022-notes-by-the-row',
    '0023-logs-set-right',
    '0024-begun-on-a-bench',
    '0025-rivets-say-who-sent',
    '0026-icebox-times',
    '0027-old-work',
    '0028-statements-with-a-plan',
    '0029-counted-by-kind',
    '0030-hole-marks',
    '0031-closed-jobs',
    '0032-stated-driving'
  ]);
});
afterAll(async () => {
  await database.sequelize.close();
  await drop();
});

it('older joints are listed as they are, not as half filled in, and can be released', async () => {
  const [job] = await listJobs(database);
  expect(job?.joints).toMatchObject([
    { title: 'Lap', state: 'checking' },
    { title: 'Unreleased', state: 'planned' }
  ]);
  expect(job?.joints[1]?.parts).not.toBeNull();
  expect(await releaseJoint(database, ids.unreleased, 1, ids.person)).toMatchObject({ ok: true });
});

it('an older joint opens, with what came later as not given', async () => {
  const joint = await getJoint(database, ids.joint);
  expect(joint).toMatchObject({
    ok: true,
    value: {
      definition: { ...OLD_LAP, keepOuts: [], fixed: [], edits: [], datum: 'start', perInch: '' }
    }
  });
  if (!joint.ok) throw new Error(joint.message);
  const saved = await saveJoint(
    database,
    ids.joint,
    { baseRevision: 1, title: 'Lap', definition: { ...joint.value.definition, scale: '1/64' } },
    ids.person
  );
  expect(saved).toMatchObject({ ok: true, value: { saved: true, revision: 2 } });
});

it('an older release is read and checked on: every hole of its one size, none held open', async () => {
  const release = await latestRelease(database, ids.joint);
  expect(release?.holes).toMatchObject([
    { number: 1, dash: 4, gripIn: null, stack: 0 },
    { number: 2, dash: 4, gripIn: null, stack: 0 }
  ]);
  expect(release?.heldOpen).toEqual([]);
  expect(release?.facts.stacks).toEqual([]);
  const checked = {
    id: randomUUID(),
    hole: 2,
    at: '2026-03-04T10:00:00Z',
    diameterIn: 0.19,
    heightIn: 0.062,
    flags: []
  };
  expect(await recordHead(database, ids.release, checked, ids.person)).toMatchObject({
    ok: true,
    value: { frozen: { verdict: 'accept' } }
  });
  expect(await eventsOfRelease(database, ids.release)).toHaveLength(1);
});

it('two that migrate at once bring it there once; a newer program’s database is refused and left as it is', async () => {
  const made = await makeDatabase('template0');
  const [one, other] = [openDatabase(made.url, true), openDatabase(made.url, true)];
  try {
    const ran = await Promise.all([migrate(one), migrate(other)]);
    expect(ran.map((names) => names.length).sort((a, b) => a - b)).toEqual([
      0,
      Math.max(...ran.map((names) => names.length))
    ]);
    expect(await migrate(one)).toEqual([]);
    await one.sequelize.query("insert into migrations values ('0999-from-the-future')");
    await expect(migrate(one)).rejects.toThrow(/0999-from-the-future by a newer program/);
  } finally {
    await one.sequelize.close();
    await other.sequelize.close();
    await made.drop();
  }
});

it('what lists count of a kind is what core says of it, whatever stood there before', async () => {
  const kinds = async () => {
    const [rows] = await database.sequelize.query(
      'select log, kind, change from counted_kinds where change is distinct from 0 order by log, kind'
    );
    return rows;
  };
  const said = [
    { log: 'drive', kind: 'driven', change: 1 },
    { log: 'drive', kind: 'undriven', change: -1 },
    { log: 'rework', kind: 'answered', change: -1 },
    { log: 'rework', kind: 'referred', change: 1 },
    { log: 'stock', kind: 'counted', change: null },
    { log: 'stock', kind: 'issued', change: -1 },
    { log: 'stock', kind: 'received', change: 1 }
  ];
  expect(await kinds()).toEqual(said);
  await database.sequelize.query(
    "update counted_kinds set change = 7 where kind = 'driven'; delete from counted_kinds where log = 'stock'"
  );
  await migrate(database);
  expect(await kinds()).toEqual(said);
});

it('its people come in as the demo’s, and who was an apprentice is a trainee', async () => {
  const { rows } = await database.sequelize
    .query('select demo from installation')
    .then(([found]) => ({ rows: found as { demo: boolean }[] }));
  expect(rows).toEqual([{ demo: true }]);
});
