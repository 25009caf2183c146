import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import type { EnteredJoint } from '../../src/core/kinds/joint.ts';
import { predictedHeadIn3 } from '../../src/core/release/release.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint, getJoint, setJointProfile } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import {
  addProfile,
  currentProfile,
  listProfiles,
  saveProfile
} from '../../src/lib/server/services/profiles.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { signingView } from '../../src/lib/server/services/signing.ts';
import { ReworkMove } from '../../src/core/reworking/rework-moves.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { reworkEvents } from '../../src/lib/server/events/rework-events.ts';
import { recordFileOf } from '../../src/lib/server/services/record-files.ts';
import { inInches } from '../../src/lib/words/writing.ts';
import { pdfText } from './pdf-text.ts';
import { LONG_AGO, recordHead } from './record.ts';
import { valueOf } from './value-of.ts';

const database = useDatabase();
let person = '';
let job = '';

const make = async (joint: EnteredJoint) =>
  valueOf(await addJoint(database(), job, 'A joint', joint, person));

beforeAll(async () => {
  person = (await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' })).id;
  await addProfile(database(), DEFAULT_PROFILE);
  job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
});

const reading = (hole: number) => ({
  id: randomUUID(),
  hole,
  at: '2026-03-04T10:00:00Z',
  diameterIn: 0.19,
  heightIn: 0.062,
  flags: []
});

describe('issuing joints of every kind', () => {
  it('keeps a held-open hole out of what is riveted', async () => {
    const id = await make(
      entered('line', ['0.032', '0.040'], {
        carries: 'attach',
        dash: 4,
        lengthIn: '10',
        flangeIn: '1',
        bendRadiusIn: '1/8',
        edits: [
          {
            id: 'edit-1',
            line: 'line-1',
            index: 2,
            of: 8,
            state: 'held-open',
            nudgeIn: '',
            reason: 'nut plate',
            drill: '#30',
            asRivets: false,
            blind: 'NAS1398D4-2',
            blindLeastIn: '',
            blindMostIn: ''
          }
        ]
      })
    );
    valueOf(await releaseJoint(database(), id, 1, person, LONG_AGO));
    const release = await latestRelease(database(), id);
    expect(release?.holes.map(({ number }) => number)).toEqual([1, 2, 4, 5, 6, 7, 8]);
    expect(release?.heldOpen).toMatchObject([{ number: 3, reason: 'nut plate' }]);
    expect(release?.heldOpen[0]?.blind).toEqual({
      fastener: 'NAS1398D4-2',
      drillIn: 0.1285,
      grip: { leastIn: 0.0625, mostIn: 0.125, over: true }
    });
    const put = { id: randomUUID(), at: '2026-03-04T09:00:00Z', hole: 3 };
    const by = { id: person, name: 'Odile Marn' };
    valueOf(
      await recordMoves(
        database(),
        reworkEvents,
        release?.id ?? '',
        [ReworkMove.parse({ ...put, kind: 'blind-in', lot: 'BL-7' })],
        by
      )
    );
    const paper = { unit: 'in', paper: 'a4' } as const;
    const file = await recordFileOf(database(), id, 'record.pdf', 'r', paper as never, inInches);
    const pdf = (await pdfText(valueOf(file).body)).replace(/\s+/g, ' ');
    expect(pdf).toContain(
      'Blind rivet: NAS1398D4-2, hole 0.1285 in, grip over 0.0625 in up to 0.125 in; installed by Odile Marn'
    );
    expect(pdf).toContain('lot BL-7; installed, not inspected; not in the joint strength');
    const refused = await recordHead(database(), release?.id ?? '', reading(3), person);
    expect(refused.ok ? '' : refused.message).toMatch(/hole 3 is left open \(nut plate\)/);
    expect((await recordHead(database(), release?.id ?? '', reading(4), person)).ok).toBe(true);
  });

  it('keeps each hole’s own grip and rivet', async () => {
    const id = await make(
      entered('splice', ['0.040', '0.063'], {
        widthIn: '6',
        dash: 4,
        rows: 1,
        farSheetIn: '0.080',
        perInch: '2',
        perInchReason: 'test'
      })
    );
    valueOf(await releaseJoint(database(), id, 1, person, LONG_AGO));
    const release = await latestRelease(database(), id);
    const [near, far] = [release?.holes[0], release?.holes.at(-1)];
    if (!release || !near || !far) throw new Error('a release with holes');
    expect([near.gripIn, far.gripIn].map((grip) => Number(grip?.toFixed(6)))).toEqual([
      0.103, 0.143
    ]);
    // 0.103 + 0.1875 = 9.3/32; 0.143 + 0.1875 = 10.6/32
    expect(release.facts.stacks.map(({ partNumber }) => partNumber)).toEqual([
      'MS20470AD4-4.5',
      'MS20470AD4-5.5'
    ]);
    // π/4 (D²(L − G) − (0.1285² − D²) G)
    const volume = (lengthIn: number, gripIn: number) =>
      (Math.PI / 4) * (0.125 ** 2 * (lengthIn - gripIn) - (0.1285 ** 2 - 0.125 ** 2) * gripIn);
    expect(predictedHeadIn3(release.facts, near)).toBeCloseTo(volume(9 / 32, 0.103), 9);
    expect(predictedHeadIn3(release.facts, far)).toBeCloseTo(volume(11 / 32, 0.143), 9);
  });

  it('judges a hole by its own size', async () => {
    const id = await make(
      entered('tapered', ['0.032', '0.050'], {
        carries: 'attach',
        lengthIn: '20',
        flangeIn: '1 1/4',
        dash: 4,
        zones: [{ id: 'zone-3', dash: 5, toIn: '8' }]
      })
    );
    valueOf(await releaseJoint(database(), id, 1, person, LONG_AGO));
    const release = await latestRelease(database(), id);
    const sizes = new Set(release?.holes.map(({ dash }) => dash));
    expect(sizes).toEqual(new Set([4, 5]));
    const [first, last] = [release?.holes[0], release?.holes.at(-1)];
    const judge = async (hole: number) =>
      valueOf(await recordHead(database(), release?.id ?? '', reading(hole), person)).frozen
        .diameterD;
    // 0.19 over 5/32 and over 1/8
    expect(await judge(first?.number ?? 0)).toBeCloseTo(1.216, 9);
    expect(await judge(last?.number ?? 0)).toBeCloseTo(1.52, 9);
  });

  it('refuses while fewer rivets are left than the load asks for', async () => {
    const id = await make(
      entered('lap', ['0.040', '0.040'], {
        widthIn: '6',
        dash: 4,
        rows: 1,
        perInch: '2.1',
        perInchReason: 'test',
        edits: [
          {
            id: 'edit-2',
            line: 'row-1',
            index: 4,
            of: 13,
            state: 'removed',
            nudgeIn: '',
            reason: '',
            drill: '',
            asRivets: false,
            blind: '',
            blindLeastIn: '',
            blindMostIn: ''
          }
        ]
      })
    );
    const refused = await releaseJoint(database(), id, 1, person, LONG_AGO);
    expect(refused.ok ? '' : refused.message).toMatch(
      /Too few rivets on the joint: 12 are driven where 13 are needed/
    );
  });
});

describe('rule profiles', () => {
  it('are versioned, and only forward', async () => {
    const rules = { ...DEFAULT_PROFILE, diameter: 'thinnest' as const };
    const saved = valueOf(await saveProfile(database(), { rules, note: 'light repairs' }, person));
    expect(saved.version).toBe(2);
    const stale = await saveProfile(database(), { rules, note: 'again' }, person);
    expect(stale.ok ? '' : stale.message).toMatch(/at version 2 now, not 1/);
    expect((await currentProfile(database()))?.id).toBe(saved.id);
    const [newest, first] = await listProfiles(database());
    expect(newest).toMatchObject({
      rules: { version: 2, diameter: 'thinnest' },
      note: 'light repairs',
      madeBy: 'Odile Marn',
      current: true
    });
    expect(first?.rules).toMatchObject({ version: 1, diameter: 'thickest' });
    await expect(
      database().sequelize.query("update rule_profiles set note = 'other'")
    ).rejects.toThrow(/never changed/);
  });

  it('make one next version when two people save at once', async () => {
    const [newest] = await listProfiles(database());
    const rules = newest?.rules ?? DEFAULT_PROFILE;
    const outcomes = await Promise.all(
      ['a', 'b', 'c'].map((note) => saveProfile(database(), { rules, note }, person))
    );
    expect(outcomes.filter(({ ok }) => ok)).toHaveLength(1);
  });

  it('belong to a joint until someone moves it, as a revision of its own', async () => {
    const [, older] = await listProfiles(database());
    const id = await make(
      entered('lap', ['0.040', '0.040'], { widthIn: '6', location: 'single-lap' })
    );
    valueOf(await releaseJoint(database(), id, 1, person, LONG_AGO));
    const to = older?.id ?? '';
    expect(
      valueOf(await setJointProfile(database(), id, { profileId: to, baseRevision: 1 }, person))
    ).toEqual({ revision: 2 });
    const joint = valueOf(await getJoint(database(), id));
    expect([joint.profileId, joint.revision]).toEqual([to, 2]);
    // what was released before is of an older revision now
    expect((await latestRelease(database(), id))?.revision).toBe(1);
    expect(
      await setJointProfile(database(), id, { profileId: to, baseRevision: 1 }, person)
    ).toMatchObject({ ok: false, reason: 'stale' });
    expect(
      await setJointProfile(database(), id, { profileId: randomUUID(), baseRevision: 2 }, person)
    ).toMatchObject({ ok: false, reason: 'not-found' });
  });

  it('that bind a joint and are not the shop’s are told by who set them, and looser ones are a lead’s to release', async () => {
    const lead = (await addPerson(database(), { name: 'Runa Halvik', role: 'lead' })).id;
    const other = (await addPerson(database(), { name: 'Tove Rask', role: 'mechanic' })).id;
    const strict = {
      ...DEFAULT_PROFILE,
      name: 'Strict',
      signing: 'another',
      checking: 'another'
    } as const;
    const loose = { ...strict, name: 'Loose', checking: 'anyone', inspect: ['sheet'] } as const;
    const looseId = await addProfile(database(), { ...loose, inspect: ['sheet'] }, lead);
    const tightId = await addProfile(
      database(),
      { ...strict, name: 'Tight', headLimits: 'tight' },
      lead
    );
    await addProfile(database(), strict, lead);
    const id = await make(
      entered('lap', ['0.040', '0.040'], { widthIn: '6', location: 'single-lap' })
    );
    const under = async (profileId: string, by: string) => {
      const { revision } = valueOf(await getJoint(database(), id));
      return valueOf(
        await setJointProfile(database(), id, { profileId, baseRevision: revision }, by)
      ).revision;
    };
    const revision = await under(looseId, other);
    expect(await releaseJoint(database(), id, revision, person, LONG_AGO)).toMatchObject({
      ok: false,
      reason: 'not-possible',
      message: expect.stringMatching(
        /set by Tove Rask\. That is looser than the shop’s own rule: a lead/
      )
    });
    valueOf(await releaseJoint(database(), id, revision, lead, LONG_AGO));
    const release = await latestRelease(database(), id);
    expect(release?.facts.bound).toEqual([
      { rule: 'checking', shop: 'another', joint: 'anyone', by: 'Tove Rask', loosens: true },
      {
        rule: 'inspect',
        shop: 'flush, manufactured, sheet',
        joint: 'sheet',
        by: 'Tove Rask',
        loosens: true
      }
    ]);
    const view = valueOf(await signingView(database(), id, null));
    expect(view?.told.filter(({ code }) => code === 'bound-rule')).toHaveLength(2);

    // tighter limits go by whoever releases, and are told
    const tight = await under(tightId, person);
    valueOf(await releaseJoint(database(), id, tight, person, LONG_AGO));
    expect((await latestRelease(database(), id))?.facts.bound).toEqual([
      { rule: 'headLimits', shop: 'standard', joint: 'tight', by: 'Odile Marn', loosens: false }
    ]);
  });
});
