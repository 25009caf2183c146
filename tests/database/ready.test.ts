import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import type { ReadyMove } from '../../src/core/prepare/progress.ts';
import { STARTING_FIGURES } from '../../src/core/prepare/shop-figures.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { makeJointFile } from '../../src/lib/server/services/joint-files.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import {
  readyEvents,
  setDrivingTools,
  setShopPlates,
  setShopFigures,
  shopFigures,
  timedWorks
} from '../../src/lib/server/services/ready.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { pdfText } from './pdf-text.ts';
import { recordReady } from './record.ts';
import { valueOf } from './value-of.ts';

const database = useDatabase();
let person = '';
let joint = '';

const tick = (change: Partial<ReadyMove> = {}): ReadyMove => ({
  id: randomUUID(),
  at: '2026-11-20T09:00:00.000Z',
  kind: 'ticked',
  step: 'pilot',
  hole: null,
  of: 24,
  done: true,
  timed: null,
  ...change
});

beforeAll(async () => {
  person = (await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' })).id;
  await addProfile(database(), DEFAULT_PROFILE);
  const job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
  joint = valueOf(
    await addJoint(
      database(),
      job,
      'Stringer “six” lap',
      entered('lap', ['0.040', '0.040'], {
        widthIn: '6',
        dash: 4,
        location: 'intermediate-frame'
      }),
      person
    )
  );
});

describe('ticks before driving', () => {
  it('are kept with who and when, in their order, once each', async () => {
    const once = tick({ hole: 3 });
    valueOf(await recordReady(database(), joint, [once, tick({ hole: 4 })], person));
    const stored = valueOf(await recordReady(database(), joint, [once], person));
    expect(stored.map(({ hole, by, at }) => [hole, by, at])).toEqual([
      [3, 'Odile Marn', '2026-11-20T09:00:00.000Z'],
      [4, 'Odile Marn', '2026-11-20T09:00:00.000Z']
    ]);
    expect(await recordReady(database(), joint, [{ ...once, done: false }], person)).toMatchObject({
      ok: false,
      reason: 'conflict'
    });
    expect(await recordReady(database(), randomUUID(), [tick()], person)).toMatchObject({
      ok: false,
      reason: 'not-found'
    });
    expect(await readyEvents(database(), joint)).toHaveLength(2);
    await expect(database().sequelize.query('delete from step_events')).rejects.toThrow(
      /never changed or removed/
    );
  });

  it('hand on the times that were taken', async () => {
    const timed = { op: 'pilot', count: 24, seconds: 312 } as const;
    valueOf(
      await recordReady(database(), joint, [tick({ timed }), tick({ timed, done: false })], person)
    );
    expect(await timedWorks(database())).toEqual([timed]);
  });
});

describe('the shop’s figures', () => {
  it('are what was set last', async () => {
    expect(await shopFigures(database())).toEqual(STARTING_FIGURES);
    const figures = {
      times: { deburr: 3.5 },
      holders: { every: 5, pilot: 20, final: 12 },
      recheckEvery: 8
    };
    const { times, holders, recheckEvery } = STARTING_FIGURES;
    const begun = { times, holders, recheckEvery };
    const first = { ...figures, recheckEvery: 9 };
    valueOf(await setShopFigures(database(), { was: begun, now: first }, person));
    valueOf(await setShopFigures(database(), { was: first, now: figures }, person));
    expect(await shopFigures(database())).toEqual({
      ...figures,
      tools: STARTING_FIGURES.tools,
      plates: []
    });
  });

  it('keep tools and plates when times are set, and the times when tools are', async () => {
    const tools = { ...STARTING_FIGURES.tools, bars: [], plate: false };
    const plates = [
      {
        id: 'p',
        name: 'plate 2',
        measuredAt: '2031-03-01T08:00:00Z',
        dueAfterDays: 180,
        sizes: [
          {
            dash: 4 as const,
            headHoleIn: 0.163,
            notchIn: 0.048,
            upperHoleIn: null,
            upperNotchIn: null
          }
        ]
      }
    ];
    valueOf(await setDrivingTools(database(), { was: STARTING_FIGURES.tools, now: tools }, person));
    valueOf(await setShopPlates(database(), { was: [], now: plates }, person));
    const { times: each, holders, recheckEvery } = STARTING_FIGURES;
    const times = { times: each, holders, recheckEvery };
    const { times: t, holders: h, recheckEvery: r } = await shopFigures(database());
    const was = { times: t, holders: h, recheckEvery: r };
    valueOf(await setShopFigures(database(), { was, now: times }, person));
    expect(await shopFigures(database())).toEqual({ ...times, tools, plates });
  });

  it('keep what two set at once, and refuse what one would take from the other', async () => {
    const { times, holders, recheckEvery, plates } = await shopFigures(database());
    const was = { times, holders, recheckEvery };
    const [plate] = plates;
    if (!plate) throw new Error('no plate');
    const results = await Promise.all([
      setShopFigures(database(), { was, now: { ...was, times: { deburr: 4 } } }, person),
      setShopFigures(database(), { was, now: { ...was, recheckEvery: 7 } }, person),
      setShopPlates(database(), { was: plates, now: [...plates, { ...plate, id: 'a' }] }, person),
      setShopPlates(database(), { was: plates, now: [...plates, { ...plate, id: 'b' }] }, person)
    ]);
    expect(results.map(({ ok }) => ok)).toEqual([true, true, true, true]);
    const now = await shopFigures(database());
    expect(now).toMatchObject({ times: { deburr: 4 }, recheckEvery: 7 });
    expect(now.plates.map(({ id }) => id).sort()).toEqual(['a', 'b', 'p']);
    // both set the same figure otherwise: the second is told, and nothing is lost in silence
    const late = { was, now: { ...was, recheckEvery: 5 } };
    expect(await setShopFigures(database(), late, person)).toMatchObject({
      ok: false,
      reason: 'stale'
    });
    expect((await shopFigures(database())).recheckEvery).toBe(7);
  });
});

describe('on paper', () => {
  it('the checklist has every step with its count and tool', async () => {
    const text = pdfText(valueOf(await makeJointFile(database(), joint, 'checklist.pdf')).body);
    // 23 rivets needed, 24 set; 24 × 2 sheets × 2 sides
    expect(text).toMatch(/Prepare: Stringer “six” lap, job 9/);
    expect(text).toMatch(/3\. Drill the pilots: 24 holes/);
    expect(text).toMatch(/Tool: #30, 0\.1285 in/);
    expect(text).toMatch(/Deburr every hole, both sides, every sheet: 96 hole sides/);
    expect(text).toMatch(/12\. Reassemble as marked/);
  });

  it('each part has its label', async () => {
    const text = pdfText(valueOf(await makeJointFile(database(), joint, 'labels.pdf')).body);
    expect(text).toMatch(/Part 1 of 2: upper sheet/);
    expect(text).toMatch(/Part 2 of 2: lower sheet/);
    expect(text).toMatch(/outside, under the manufactured heads/);
    expect(text.match(/datum end/g)).toHaveLength(2);
  });
});
