import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import type { CageMove } from '../../src/core/prepare/cage/setting.ts';
import type { CageSetup } from '../../src/core/prepare/cage/setup.ts';
import type { ReadyMove } from '../../src/core/prepare/progress.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import {
  addCage,
  beginSetting,
  getSetting,
  listCages
} from '../../src/lib/server/services/cages.ts';
import {
  cagesOfSteps,
  cageTaskOf,
  settingsOfJoint
} from '../../src/lib/server/services/cage-tasks.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { makeJointFile } from '../../src/lib/server/services/joint-files.ts';
import { listJoints } from '../../src/lib/server/services/joint-summaries.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import type { NewSetting } from '../../src/lib/api/cages.ts';
import type { Unstamped } from '../../src/core/events/stream.ts';
import { cageOf, setupOf } from '../support/cages.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { pdfText } from './pdf-text.ts';
import { LONG_AGO, recordCageMoves, recordReady } from './record.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
let person = '';
let cage = '';
let joint = '';
const AT = '2026-11-23T09:00:00.000Z';
const STEP = 'countersink-0-0';

const moveOf = (move: Unstamped<CageMove>): CageMove => ({ ...move, id: randomUUID(), at: AT });
const reading = (clicks: number, flushnessIn: number) =>
  moveOf({ kind: 'reading', clicks, flushnessIn, from: 'typed', cameUp: false, ring: false });
const finished = () => moveOf({ kind: 'finished', afterHoles: 0 });
const agreeing = (clicks = 9) => [
  reading(clicks, 0.0015),
  reading(clicks, 0.0012),
  reading(clicks, 0.0013)
];
const newSetting = (
  setup: Partial<CageSetup> = {},
  step: NewSetting['step'] = null
): NewSetting => ({ id: randomUUID(), setup: setupOf(setup), step, work: '' });
async function begun(setup: Partial<CageSetup> = {}, step: NewSetting['step'] = null) {
  return valueOf(await beginSetting(database(), cage, newSetting(setup, step), person, LONG_AGO));
}
const record = (setting: string, ...moves: CageMove[]) =>
  recordCageMoves(database(), setting, moves, person);

beforeAll(async () => {
  person = (await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' })).id;
  await addProfile(database(), DEFAULT_PROFILE);
  const job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
  joint = valueOf(
    await addJoint(
      database(),
      job,
      'Tank cover',
      entered('line', ['0.063', '0.040'], {
        carries: 'attach',
        dash: 4,
        head: 'countersunk',
        lengthIn: '10',
        flangeIn: '1',
        bendRadiusIn: '1/8'
      }),
      person
    )
  );
  cage = valueOf(await addCage(database(), cageOf(), randomUUID(), person));
});

describe('cages', () => {
  it('are known by name and cutter, once each', async () => {
    const id = randomUUID();
    const other = cageOf({ cutter: 'no. 9' });
    expect(valueOf(await addCage(database(), other, id, person))).toBe(id);
    expect(valueOf(await addCage(database(), other, id, person))).toBe(id);
    const third = cageOf({ name: other.name, cutter: 'cutter 77' });
    expect(await addCage(database(), third, id, person)).toMatchObject({
      ok: false,
      message: 'another stop countersink has this id'
    });
    expect(await addCage(database(), other, randomUUID(), person)).toMatchObject({
      ok: false,
      reason: 'conflict'
    });
    await expect(database().sequelize.query('delete from cages')).rejects.toThrow(
      /never changed or removed/
    );
  });

  it('are not set while something before the first hole is wrong', async () => {
    const deep = newSetting({ backingIn: 0.1 });
    expect(await beginSetting(database(), cage, deep, person)).toMatchObject({
      ok: false,
      reason: 'not-possible',
      message: expect.stringMatching(/backing is 0\.1 in/) as string
    });
    expect(await beginSetting(database(), randomUUID(), newSetting(), person)).toMatchObject({
      reason: 'not-found'
    });
  });

  it('a setting begun twice is one', async () => {
    const setting = newSetting();
    const first = valueOf(await beginSetting(database(), cage, setting, person, LONG_AGO));
    expect(valueOf(await beginSetting(database(), cage, setting, person, LONG_AGO))).toBe(first);
    const other = { ...setting, setup: setupOf({ dash: 3, holeIn: 0.098 }) };
    expect(whyNot(await beginSetting(database(), cage, other, person))).toBe('not-possible');
  });
});

describe('a setting', () => {
  it('is found by its trials, frozen, and stays as it was', async () => {
    const setting = await begun();
    const [a, b, c] = agreeing();
    if (!a || !b || !c) throw new Error('three readings were expected');
    expect(await record(setting, a, finished())).toMatchObject({
      ok: false,
      message: expect.stringMatching(/not set yet\. Leave it at 9/) as string
    });
    // refused together: not even the reading before it was stored
    expect(valueOf(await getSetting(database(), setting)).events).toEqual([]);
    valueOf(await record(setting, a, b));
    valueOf(await record(setting, b, c, finished()));
    const { events } = valueOf(await getSetting(database(), setting));
    expect(events.map(({ kind, by }) => [kind, by])).toEqual([
      ['reading', 'Odile Marn'],
      ['reading', 'Odile Marn'],
      ['reading', 'Odile Marn'],
      ['finished', 'Odile Marn']
    ]);
    expect(events.at(-1)?.frozen).toMatchObject({ clicks: 9, deepestIn: 0.0012, holes: 3 });
    expect(await record(setting, { ...a, clicks: 4 } as CageMove)).toMatchObject({
      reason: 'conflict'
    });
    await expect(
      database().sequelize.query('update cage_events set frozen = null')
    ).rejects.toThrow(/never changed or removed/);
  });

  it('is finished by one of two hands only', async () => {
    const setting = await begun({ school: 'aerodynamic' });
    valueOf(await record(setting, ...agreeing()));
    const both = await Promise.all([record(setting, finished()), record(setting, finished())]);
    expect(both.map(({ ok }) => ok).sort()).toEqual([false, true]);
  });

  it('is offered the next time, until it is withdrawn', async () => {
    const thick = { sheetIn: 0.08, couponIn: 0.08 };
    const first = await begun(thick);
    valueOf(await record(first, ...agreeing(17), finished()));
    const second = await begun(thick);
    expect(valueOf(await getSetting(database(), second)).offered).toMatchObject({
      clicks: 17,
      at: AT,
      by: 'Odile Marn',
      couponIn: 0.08
    });
    // it is not offered to itself, nor to an earlier one
    expect(valueOf(await getSetting(database(), first)).offered).toBeNull();
    valueOf(await record(first, moveOf({ kind: 'withdrawn', why: 'new cutter' })));
    const third = await begun(thick);
    expect(valueOf(await getSetting(database(), third)).offered).toBeNull();
  });
});

describe('a joint’s own step', () => {
  it('fills a setting in, and lists those made for it', async () => {
    const task = await cageTaskOf(database(), joint, STEP);
    expect(task).toMatchObject({
      work: expect.stringMatching(/^Tank cover: /) as string,
      recheckEvery: 10,
      setup: { dash: 4, sheetIn: 0.063, holeIn: 0.1285 }
    });
    expect(await cageTaskOf(database(), joint, 'countersink-0-1')).toBeNull();
    expect(await cageTaskOf(database(), randomUUID(), STEP)).toBeNull();

    const setup = { ...task?.setup, couponIn: 0.063 };
    const setting = await begun(setup, { jointId: joint, key: STEP, rests: '' });
    expect(await settingsOfJoint(database(), joint)).toMatchObject([
      { id: setting, step: STEP, cage: 'Cage two, no. 7', state: { found: null } }
    ]);
    expect(
      await beginSetting(
        database(),
        cage,
        newSetting({}, { jointId: randomUUID(), key: STEP, rests: '' }),
        person,
        LONG_AGO
      )
    ).toMatchObject({ reason: 'not-found' });
  });

  it('counts the holes that are ticked off', async () => {
    const setting = await begun({}, { jointId: joint, key: STEP, rests: '' });
    const cut = async () => valueOf(await getSetting(database(), setting)).holesCut;
    const tick = (hole: number | null, done = true): ReadyMove => ({
      id: randomUUID(),
      at: AT,
      kind: 'ticked',
      step: STEP,
      hole,
      of: 8,
      done,
      timed: null
    });
    expect(await cut()).toBe(0);
    valueOf(
      await recordReady(database(), joint, [tick(1), tick(2), tick(3), tick(2, false)], person)
    );
    expect(await cut()).toBe(2);
    valueOf(await recordReady(database(), joint, [tick(null)], person));
    expect(await cut()).toBe(8);
    expect(valueOf(await getSetting(database(), await begun())).holesCut).toBeNull();
  });

  it('is cut with the cage set for it: on the list, on paper, and on the bench when it is due', async () => {
    const setting = await begun({}, { jointId: joint, key: STEP, rests: '' });
    valueOf(await record(setting, ...agreeing(14), finished()));
    // all eight are ticked off by now, and a look is wanted every ten
    const words = async () => (await cagesOfSteps(database(), [joint])).get(joint)?.get(STEP);
    expect(await words()).toMatchObject({
      found: { clicks: 14 },
      status: { state: 'good', nextAfter: 10 }
    });
    const paper = valueOf(await makeJointFile(database(), joint, 'checklist.pdf'));
    expect(pdfText(paper.body)).toMatch(/Cage two, no\. 7: flush at 14 clicks/);
    const attention = async () =>
      (await listJoints(database())).find(({ id }) => id === joint)?.attention;
    expect(await attention()).toEqual([]);
    valueOf(
      await record(
        setting,
        moveOf({ kind: 'recheck', afterHoles: 8, flushnessIn: -0.001, from: 'typed' })
      )
    );
    expect(await words()).toMatchObject({ status: { state: 'too-deep', suspect: '1–8' } });
    expect(await attention()).toEqual(['Cage two, no. 7: cuts too deep, stop']);
  });

  it('shows every cage with its settings, the latest first', async () => {
    const { settings } = (await listCages(database())).find(({ id }) => id === cage) ?? {
      settings: []
    };
    expect(settings.length).toBeGreaterThan(5);
    const times = settings.map(({ begunAt }) => begunAt);
    expect(times).toEqual([...times].sort().reverse());
  });
});
