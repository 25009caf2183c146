import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import type { Release } from '../../src/core/release/release.ts';
import { ReworkMove } from '../../src/core/reworking/rework-moves.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';
import { inOneView, rowsOf } from '../../src/lib/server/db/transaction.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { reworkEvents } from '../../src/lib/server/events/rework-events.ts';
import { simulatedShot } from '../../src/lib/server/services/camera.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { openRelease } from '../../src/lib/server/services/open-release.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { entered } from '../support/joints.ts';
import { makeDatabase } from './database.ts';
import { LONG_AGO } from './record.ts';
import { valueOf } from './value-of.ts';

let database: Database;
let another: Database;
let drop: () => Promise<void>;
let mechanic: PersonView;
let release: Release;

beforeAll(async () => {
  const made = await makeDatabase('template_migrated');
  drop = made.drop;
  database = openDatabase(made.url, true);
  another = openDatabase(made.url, true);
  mechanic = await addPerson(database, { name: 'Odile Marn', role: 'mechanic' });
  await addProfile(database, DEFAULT_PROFILE);
  const job = valueOf(
    await addJob(database, { number: '9', title: 't', place: 'p', data: 'sheet 4' })
  );
  const lap = entered('lap', ['0.050', '0.063'], {
    widthIn: '6',
    dash: 4,
    edgeIn: '0.4',
    perInch: '2',
    perInchReason: 'test'
  });
  const joint = valueOf(await addJoint(database, job, 'Lap', lap, mechanic.id));
  valueOf(await releaseJoint(database, joint, 1, mechanic.id, LONG_AGO));
  const newest = await latestRelease(database, joint);
  if (!newest) throw new Error('not released');
  release = newest;
});
afterAll(async () => {
  await database.sequelize.close();
  await another.sequelize.close();
  await drop();
});

const at = (minutes: number) => ({
  id: randomUUID(),
  at: new Date(Date.UTC(2026, 2, 4, 9, minutes)).toISOString(),
  person: mechanic.id
});
const drive = async (hole: number, minutes: number) =>
  valueOf(
    await recordMoves(
      database,
      driveEvents,
      release.id,
      [DriveMove.parse({ ...at(minutes), kind: 'driven', hole })],
      mechanic
    )
  );
const rework = async (minutes: number, move: object) =>
  valueOf(
    await recordMoves(
      database,
      reworkEvents,
      release.id,
      [ReworkMove.parse({ ...at(minutes), ...move })],
      mechanic
    )
  );

describe('an open release', () => {
  it('is read as it stood at one instant', async () => {
    const count = async (of: Database) =>
      (await rowsOf<{ n: number }>(of, 'select count(*)::integer as n from people'))[0]?.n;
    // asked for from outside: within the view it would be part of it
    let add: () => void = () => undefined;
    const added = new Promise<void>((resolve) => {
      add = resolve;
    }).then(() => addPerson(another, { name: 'Benn Achterby', role: 'trainee' }));
    await inOneView(database, async () => {
      const before = await count(database);
      add();
      await added;
      expect(await count(database)).toBe(before);
    });
    expect(await count(database)).toBe(2);
  });

  it('says what is driven and out, and the camera sees that', async () => {
    expect(await openRelease(database, randomUUID())).toBeNull();
    await drive(1, 0);
    await drive(2, 1);
    const open = await openRelease(database, release.id);
    expect(open?.drive.holes.get(2)?.driven).toBe(true);
    expect(open).toMatchObject({ since: null, heads: [], jointId: expect.any(String) as string });
    const look = { indexIn: release.holes[1]?.xIn ?? 0, row: 1 };
    const seen = async () => valueOf(await simulatedShot(database, release.id, look)).picture;
    const head = await seen();
    await rework(5, { kind: 'out', hole: 2, school: 'under-shank', how: 'plain' });
    expect((await openRelease(database, release.id))?.drive.holes.get(2)?.driven ?? false).toBe(
      false
    );
    // a rivet that was drilled out shows no head
    expect(await seen()).not.toBe(head);
  });
});
