import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import type { EnteredOf } from '../../src/core/kinds/joint.ts';
import { newJoint as blank } from '../../src/core/kinds/new-joint.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { migrate } from '../../src/lib/server/db/migrate.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob, getJob, listJobs } from '../../src/lib/server/services/jobs.ts';
import { holeStates, isMeasured } from '../../src/core/inspect/hole-events.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { listJoints } from '../../src/lib/server/services/joint-summaries.ts';
import { addJoint, getJoint, saveJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { useDatabase } from './database.ts';
import { LONG_AGO, eventsOfRelease, recordHead } from './record.ts';
import { valueOf } from './value-of.ts';
import { newSheet } from '../../src/core/joint/sheets';

const database = useDatabase();
let mechanic = '';
let job = '';

const FILLED: EnteredOf<'lap'> = {
  ...blank('lap'),
  widthIn: '4 1/2',
  sheets: [newSheet('skin', '0.032'), newSheet('strip', '0.032')]
};

const newJoint = async (definition: EnteredOf<'lap'> = FILLED) =>
  valueOf(await addJoint(database(), job, 'Float lap', definition, mechanic));

beforeAll(async () => {
  await addProfile(database(), DEFAULT_PROFILE);
  mechanic = (await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' })).id;
  job = valueOf(
    await addJob(database(), { number: '0901', title: 'Float', place: 'hull 9', data: 'sheet 1' })
  );
});

describe('migrations', () => {
  it('run once and are done', async () => {
    expect(await migrate(database())).toEqual([]);
  });

  it('leave a cluster that checks its pages', async () => {
    const [rows] = await database().sequelize.query(
      "select current_setting('data_checksums') as now"
    );
    expect(rows).toEqual([{ now: 'on' }]);
  });

  it('leave a server that listens on loopback only', async () => {
    const [rows] = await database().sequelize.query(
      "select current_setting('listen_addresses') as now"
    );
    expect(rows).toEqual([{ now: '127.0.0.1' }]);
  });
});

describe('jobs', () => {
  it('keep their number to themselves', async () => {
    const again = await addJob(database(), { number: '0901', title: 'x', place: 'x', data: 'x' });
    expect(again).toMatchObject({ ok: false, reason: 'conflict' });
  });

  it('are listed with their joints and what needs someone', async () => {
    await newJoint({
      ...FILLED,
      sheets: [newSheet('skin', '0.32'), newSheet('b', '.04')]
    });
    const view = valueOf(await getJob(database(), job));
    expect(view.joints.map((joint) => joint.state)).toContain('unreadable');
    expect(view.joints.flatMap((joint) => joint.attention).join()).toMatch(/decimal point/);
    expect((await listJobs(database())).map(({ number }) => number)).toEqual(['0901']);
  });
});

describe('saving a joint', () => {
  it('keeps exactly what was typed, revision by revision', async () => {
    const id = await newJoint();
    const typed = { ...FILLED, widthIn: ' 4 5/8 in', edgeIn: '9/3' };
    const save = { baseRevision: 1, title: 'Float lap, left', definition: typed };
    expect(valueOf(await saveJoint(database(), id, save, mechanic))).toMatchObject({
      saved: true,
      revision: 2
    });
    expect(valueOf(await getJoint(database(), id))).toMatchObject({
      title: 'Float lap, left',
      definition: typed,
      revision: 2,
      savedBy: 'Odile Marn'
    });
    expect(await database().models.JointRevision.count({ where: { jointId: id } })).toBe(2);
  });

  it('refuses a save upon an older revision, says what changed, and overwrites nothing', async () => {
    const id = await newJoint();
    const mine = { ...FILLED, widthIn: '7' };
    await saveJoint(
      database(),
      id,
      { baseRevision: 1, title: 'Float lap', definition: mine },
      mechanic
    );
    const late = { baseRevision: 1, title: 'Float lap', definition: { ...FILLED, edgeIn: '0.3' } };
    expect(valueOf(await saveJoint(database(), id, late, null))).toMatchObject({
      saved: false,
      revision: 2,
      savedBy: 'Odile Marn',
      changes: [{ path: 'definition.widthIn', was: '4 1/2', now: '7' }]
    });
    expect(valueOf(await getJoint(database(), id)).definition).toEqual(mine);
  });

  it('acknowledges a repeat whose first answer was lost', async () => {
    const id = await newJoint();
    const save = { baseRevision: 1, title: 'Float lap', definition: { ...FILLED, widthIn: '8' } };
    await saveJoint(database(), id, save, mechanic);
    expect(valueOf(await saveJoint(database(), id, save, mechanic))).toMatchObject({
      saved: true,
      revision: 2
    });
  });

  it('lets exactly one of two simultaneous saves through', async () => {
    const id = await newJoint();
    const outcomes = await Promise.all(
      ['9', '10', '11', '12'].map((widthIn) =>
        saveJoint(
          database(),
          id,
          { baseRevision: 1, title: 'Float lap', definition: { ...FILLED, widthIn } },
          null
        )
      )
    );
    expect(outcomes.map(valueOf).filter((outcome) => outcome.saved)).toHaveLength(1);
  });
});

describe('issuing and checking', () => {
  it('freezes the holes and is not made twice', async () => {
    const id = await newJoint();
    expect(valueOf(await releaseJoint(database(), id, 1, mechanic, LONG_AGO))).toEqual({
      number: 1
    });
    expect(valueOf(await releaseJoint(database(), id, 1, mechanic, LONG_AGO))).toEqual({
      number: 1
    });
    const release = await latestRelease(database(), id);
    // dash 3 by rule: 0.032/(0.5 × π/4 × 0.096²) = 8.84 → 8.8 × 4.5 = 39.6 → 40 rivets;
    // two rows of 20 would be 0.214 apart, under 3 D: three rows of 14.
    // 0.064 + 1.5 × 0.09375 = 0.2046 = 6.55/32 → 7/32 = -3.5
    expect(release?.holes).toHaveLength(42);
    expect(release?.facts).toMatchObject({ dash: 3, partNumber: 'MS20470AD3-3.5', holeIn: 0.098 });
  });

  it('refuses a joint that cannot be read, breaks a limit or moved on', async () => {
    const unread = await newJoint({ ...FILLED, widthIn: 'wide' });
    expect(await releaseJoint(database(), unread, 1, mechanic)).toMatchObject({
      ok: false,
      reason: 'not-possible'
    });
    const loose = await newJoint({ ...FILLED, edgeIn: '0.4' });
    const refused = await releaseJoint(database(), loose, 1, mechanic);
    expect(refused.ok ? '' : refused.message).toMatch(/above maximum/);
    expect(await releaseJoint(database(), loose, 3, mechanic)).toMatchObject({
      ok: false,
      reason: 'stale'
    });
  });

  it('stores a head once, judged by the server, and never changes it', async () => {
    const id = await newJoint();
    await releaseJoint(database(), id, 1, mechanic, LONG_AGO);
    const release = await latestRelease(database(), id);
    const checked = {
      id: randomUUID(),
      hole: 5,
      at: '2026-03-04T10:00:00Z',
      diameterIn: 0.11,
      heightIn: 0.08,
      flags: []
    };
    const send = () => recordHead(database(), release?.id ?? '', checked, mechanic);
    // 1.17 D wide under 1.30, 0.85 D high: stopped early
    expect(valueOf(await send())).toMatchObject({
      by: 'Odile Marn',
      frozen: { verdict: 'drive-more' }
    });
    await Promise.all([send(), send()]);
    expect(await eventsOfRelease(database(), release?.id ?? '')).toHaveLength(1);
    expect(
      await recordHead(database(), release?.id ?? '', { ...checked, heightIn: 0.05 }, mechanic)
    ).toMatchObject({ ok: false, reason: 'conflict' });
    await expect(database().sequelize.query("update hole_events set kind = 'x'")).rejects.toThrow(
      /never changed/
    );
    await expect(database().sequelize.query('delete from hole_events')).rejects.toThrow(
      /never changed/
    );
    expect((await listJobs(database()))[0]?.joints.flatMap((joint) => joint.attention)).toContain(
      '1 to drive further'
    );
  });

  it('a reading is the measurer’s, and counts by when it was taken, whoever sends it whenever', async () => {
    const id = await newJoint();
    await releaseJoint(database(), id, 1, mechanic, LONG_AGO);
    const release = (await latestRelease(database(), id))?.id ?? '';
    const { id: other } = await addPerson(database(), { name: 'Berit Solvang', role: 'inspector' });
    const look = (at: string, diameterIn: number, person?: string) => ({
      id: randomUUID(),
      hole: 7,
      at,
      diameterIn,
      heightIn: 0.062,
      flags: [],
      ...(person === undefined ? {} : { person })
    });
    // the second looked at ten past; what the first measured at ten comes in afterwards, from the second's bench
    await recordHead(database(), release, look('2026-03-04T10:10:00Z', 0.19), other);
    await recordHead(database(), release, look('2026-03-04T10:00:00Z', 0.11, mechanic), other);
    const events = await eventsOfRelease(database(), release);
    expect(events.map((event) => [event.by, isMeasured(event) && event.diameterIn])).toEqual([
      ['Berit Solvang', 0.19],
      ['Odile Marn', 0.11]
    ]);
    const [state] = holeStates([7], events).values();
    expect(state).toMatchObject({ last: { diameterIn: 0.19 }, looks: 2 });
    // the worst governs, in the lists too
    const marks = await rowsOf(database(), "select * from hole_marks($1) where mark <> 'to-do'", [
      release
    ]);
    expect(marks).toEqual([{ hole: 7, mark: 'replace', is_in: false }]);
    // someone who is not of the shop measures nothing
    expect(
      await recordHead(database(), release, look('2026-03-04T10:20:00Z', 0.19, randomUUID()), other)
    ).toMatchObject({ ok: false, reason: 'not-found' });
  });

  it('a joint that was changed since it was released is listed so, until it is released anew', async () => {
    const id = await newJoint();
    await releaseJoint(database(), id, 1, mechanic, LONG_AGO);
    const listed = async () => (await listJoints(database())).find((joint) => joint.id === id);
    expect((await listed())?.attention).toEqual([]);
    const save = {
      baseRevision: 1,
      title: 'Float lap',
      definition: { ...FILLED, widthIn: '4 5/8' }
    };
    valueOf(await saveJoint(database(), id, save, mechanic));
    expect((await listed())?.attention).toContain('changed since it was released');
    await releaseJoint(database(), id, 2, mechanic, LONG_AGO);
    expect((await listed())?.attention).toEqual([]);
  });

  it('refuses a hole that is not there and a reading that cannot be', async () => {
    const id = await newJoint();
    await releaseJoint(database(), id, 1, mechanic, LONG_AGO);
    const release = (await latestRelease(database(), id))?.id ?? '';
    const checked = {
      id: randomUUID(),
      hole: 1,
      at: '2026-03-04T10:00:00Z',
      diameterIn: 1.4,
      heightIn: 0.05,
      flags: []
    };
    const slipped = await recordHead(database(), release, checked, mechanic);
    expect(slipped.ok ? '' : slipped.message).toMatch(/decimal point/);
    expect(
      await recordHead(database(), release, { ...checked, hole: 999 }, mechanic)
    ).toMatchObject({
      reason: 'not-possible',
      message: 'there is no hole 999 in this release'
    });
    const good = { ...checked, diameterIn: 0.14 };
    expect(await recordHead(database(), release, good, randomUUID())).toMatchObject({
      reason: 'not-found'
    });
    expect(await eventsOfRelease(database(), release)).toEqual([]);
  });
});
