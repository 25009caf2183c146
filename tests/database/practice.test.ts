import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { HoleLook } from '../../src/core/inspect/hole-look.ts';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { StockMove } from '../../src/core/stock/stock.ts';
import { SignMove } from '../../src/core/signing/sign-events.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { holeEvents } from '../../src/lib/server/events/hole-events.ts';
import { stockEvents } from '../../src/lib/server/events/stock-events.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { findReleases } from '../../src/lib/server/services/find-releases.ts';
import { findRivets } from '../../src/lib/server/services/find-rivets.ts';
import { holeHistory } from '../../src/lib/server/services/hole-history.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob, getJob, jobNames, NewJob } from '../../src/lib/server/services/jobs.ts';
import { makeJointFile } from '../../src/lib/server/services/joint-files.ts';
import { addJoint, getJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import { copyFromPractice, practiceJob } from '../../src/lib/server/services/practice.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { openShortages } from '../../src/lib/server/services/rivet-bills.ts';
import { beginToolSetting } from '../../src/lib/server/services/tool-settings.ts';
import { signEvents } from '../../src/lib/server/streams/sign-events.ts';
import { entered } from '../support/joints.ts';
import { squeezerOf } from '../support/tool-setups.ts';
import { whyNot } from '../support/why-not.ts';
import { useDatabase } from './database.ts';
import { pdfPagesText } from './pdf-text.ts';
import { LONG_AGO, moveStock } from './record.ts';
import { valueOf } from './value-of.ts';

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

  it('is released as practice, and nothing it comes to is on any record', async () => {
    const practice = await practiceJob(database());
    const joint = valueOf(await addJoint(database(), practice, 'Practice joint', LAP, person));
    valueOf(await releaseJoint(database(), joint, 1, person, LONG_AGO));
    const release = await latestRelease(database(), joint);
    if (!release) throw new Error('not released');
    expect(release.facts.practice).toBe(true);
    const [first, second] = release.holes.map(({ number }) => number);
    const move = (hole: number | undefined, more: object = {}) =>
      DriveMove.parse({
        id: randomUUID(),
        at: new Date().toISOString(),
        kind: 'driven',
        hole,
        ...more
      });
    const who = { id: person, name: 'Runa Ostrava' };
    valueOf(await recordMoves(database(), driveEvents, release.id, [move(first)], who));
    const look = HoleLook.parse({
      id: randomUUID(),
      at: new Date().toISOString(),
      kind: 'checked',
      hole: first,
      diameterIn: 0.19,
      heightIn: 0.063,
      flags: []
    });
    valueOf(await recordMoves(database(), holeEvents, release.id, [look], who));
    // nothing comes out of the icebox for it
    const refused = await recordMoves(
      database(),
      driveEvents,
      release.id,
      [move(second, { batch: randomUUID() })],
      who
    );
    expect(refused.ok ? '' : refused.message).toMatch(/takes no rivets from stock/);
    // nor out of a bin
    const bin = valueOf(
      await moveStock(
        database(),
        [
          StockMove.parse({
            id: randomUUID(),
            at: new Date().toISOString(),
            kind: 'received',
            partNumber: 'MS20470AD4-5',
            lot: 'P-1',
            cold: false,
            count: 50
          })
        ],
        person
      )
    )[0]?.binId;
    const out = await recordMoves(
      database(),
      stockEvents,
      null,
      [
        StockMove.parse({
          id: randomUUID(),
          at: new Date().toISOString(),
          kind: 'issued',
          binId: bin,
          jobId: practice,
          count: 5
        })
      ],
      who
    );
    expect(out.ok ? '' : out.message).toMatch(/practice takes no rivets from stock/);
    const found = await findRivets(database(), {});
    expect(found.rivets).toEqual([]);
    expect((await findReleases(database(), {}, 0)).releases).toEqual([]);
    expect((await openShortages(database())).jobs).toEqual([]);
    const signed = await recordMoves(
      database(),
      signEvents,
      release.id,
      [
        SignMove.parse({
          id: randomUUID(),
          at: new Date().toISOString(),
          kind: 'signed',
          person,
          entitled: 'A-1',
          accepted: []
        })
      ],
      who
    );
    expect(signed.ok ? '' : signed.message).toMatch(/practice: nothing is signed/);
    const setting = await beginToolSetting(
      database(),
      { id: randomUUID(), setup: squeezerOf(), run: { jointId: joint, key: 'x' }, work: '' },
      person
    );
    expect(setting.ok ? '' : setting.message).toMatch(/practice qualifies no setting/);
    for (const file of ['record.pdf', 'driving.pdf', 'pattern.pdf', 'checklist.pdf'] as const) {
      const made = valueOf(await makeJointFile(database(), joint, file));
      const pages = pdfPagesText(made.body);
      expect(pages.length, file).toBeGreaterThan(0);
      for (const page of pages) expect(page, file).toContain('PRACTICE');
    }
    expect(valueOf(await holeHistory(database(), release.id, first ?? 0)).practice).toBe(true);
    for (const file of ['marks.csv', 'joint.json', 'record.json', 'heads.csv'] as const) {
      const made = valueOf(await makeJointFile(database(), joint, file));
      expect(String(made.body), file).toMatch(/practice/i);
      expect(made.name).toMatch(/^practice-/);
    }
  });

  it('gives its plan to a job and nothing else', async () => {
    const practice = await practiceJob(database());
    const joint = valueOf(await addJoint(database(), practice, 'Practice two', LAP, person));
    valueOf(await releaseJoint(database(), joint, 1, person));
    const job = valueOf(
      await addJob(database(), { number: '77', title: 't', place: 'p', data: 'd' })
    );
    expect(whyNot(await copyFromPractice(database(), joint, practice, 'x', person))).toBe(
      'conflict'
    );
    const copy = valueOf(await copyFromPractice(database(), joint, job, 'Keel strap', person));
    expect(valueOf(await getJoint(database(), copy))).toMatchObject({
      title: 'Keel strap',
      job: { number: '77' },
      definition: LAP,
      revision: 1
    });
    expect(await latestRelease(database(), copy)).toBeNull();
    // it stays where it is, with what was done of it
    expect(valueOf(await getJoint(database(), joint)).job.number).toBe('practice');
    expect(await latestRelease(database(), joint)).not.toBeNull();
    const again = await copyFromPractice(database(), copy, job, 'x', person);
    expect(again.ok ? '' : again.message).toMatch(/only the plan of a practice joint/);
    expect((await jobNames(database())).map(({ number }) => number)).not.toContain('practice');
  });
});
