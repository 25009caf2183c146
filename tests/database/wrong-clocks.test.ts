import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { isAway } from '../../src/lib/server/db/away.ts';
import { rowsOf, rowsSought } from '../../src/lib/server/db/work.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { eventsOf } from '../../src/lib/server/events/read.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { beginTry } from '../../src/lib/server/people/tries.ts';
import { issueJoint } from '../../src/lib/server/services/issue-joint.ts';
import { latestIssue } from '../../src/lib/server/services/issues.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { addProfile, currentProfile } from '../../src/lib/server/services/profiles.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
const MINUTE = 60_000;
let person: PersonView;
let issue = '';

beforeAll(async () => {
  person = await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' });
  await addProfile(database(), DEFAULT_PROFILE);
  const job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
  const lap = entered('lap', ['0.050', '0.063'], { widthIn: '7 3/8' });
  const joint = valueOf(await addJoint(database(), job, 'Lap', lap, person.id));
  valueOf(await issueJoint(database(), joint, 1, person.id));
  issue = (await latestIssue(database(), joint))?.id ?? '';
});

const tap = (hole: number, minutesFromNow: number) =>
  DriveMove.parse({
    id: randomUUID(),
    at: new Date(Date.now() + minutesFromNow * MINUTE).toISOString(),
    kind: 'driven',
    hole
  });
const drive = (...moves: DriveMove[]) => recordMoves(database(), driveEvents, issue, moves, person);
const stored = async () => (await eventsOf(database(), driveEvents, issue)).map(({ id }) => id);

describe('a clock that was set back', () => {
  it('lets in what was done hours ago, in its place', async () => {
    expect((await drive(tap(1, 0))).ok).toBe(true);
    expect((await drive(tap(2, -120))).ok).toBe(true);
  });

  it('never makes what was done last count as older: it waits', async () => {
    // somebody said that the clock it is from is right
    const ahead = tap(3, 50);
    valueOf(await drive(ahead));
    const now = tap(3, 0);
    expect(await drive(now)).toMatchObject({
      ok: false,
      reason: 'clock',
      message: expect.stringMatching(/dated (49|50) min from now: a clock was wrong/)
    });
    // all or none
    expect(whyNot(await drive(tap(4, 51), tap(5, 1)))).toBe('clock');
    // what is there already is answered as it is there, and by that clock work goes on
    expect((await drive(ahead)).ok).toBe(true);
    expect((await drive(tap(3, 51))).ok).toBe(true);
    expect(await stored()).not.toContain(now.id);
  });

  it('is not taken at all a day ahead', async () => {
    expect(await drive(tap(6, 25 * 60))).toMatchObject({
      ok: false,
      reason: 'not-possible',
      message: expect.stringContaining('dated 25 h 0 min from now')
    });
    expect((await drive(tap(6, 23 * 60))).ok).toBe(true);
  });

  it('leaves the rules made last the ones that joints begin under', async () => {
    await rowsOf(
      database(),
      `insert into rule_profiles (id, name, version, rules, document_version, note, made_at)
       select gen_random_uuid(), name, 2, rules, document_version, '', now() + interval '3 hours'
       from rule_profiles where version = 1 returning id`
    );
    const id = await addProfile(database(), { ...DEFAULT_PROFILE, version: 3 });
    expect((await currentProfile(database()))?.id).toBe(id);
  });

  it('keeps nobody out who mistyped before', async () => {
    for (let wrong = 0; wrong < 3; wrong++) expect(await beginTry(database(), 'ilse')).toBe(0);
    expect(await beginTry(database(), 'ilse')).toBeGreaterThan(0);
    await rowsOf(
      database(),
      `update sign_in_tries set last_at = now() + interval '1 hour' returning key`
    );
    expect(await beginTry(database(), 'ilse')).toBe(0);
    // and the waits go on from there
    expect(await beginTry(database(), 'ilse')).toBeGreaterThan(0);
  });
});

it('a full disk takes nothing, and says that it is not now; what is sent again is there once', async () => {
  await rowsSought(
    database(),
    `create function is_full() returns trigger language plpgsql as $$
     begin raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$`,
    []
  );
  await rowsSought(
    database(),
    `create trigger full_disk before insert on drive_events
     for each statement execute function is_full()`,
    []
  );
  const move = tap(7, 23 * 60 + 1);
  const before = await stored();
  const broken = await drive(move).then(
    () => null,
    (error: unknown) => error
  );
  expect(isAway(broken)).toBe(true);
  expect(await stored()).toEqual(before);
  await rowsSought(database(), 'drop trigger full_disk on drive_events', []);
  valueOf(await drive(move));
  valueOf(await drive(move));
  expect((await stored()).filter((id) => id === move.id)).toHaveLength(1);
});
