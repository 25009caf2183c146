import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Unstamped } from '../../src/core/events/stream.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import type { ToolSetup } from '../../src/core/tool-setting/tool-setup.ts';
import type { ToolMove } from '../../src/core/tool-setting/tool-moves.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { toolEvents } from '../../src/lib/server/events/setting-events.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import {
  beginToolSetting,
  getToolSetting,
  toolSettings,
  toolTaskOf
} from '../../src/lib/server/services/tool-settings.ts';
import { BOTTOM_LAP } from '../../scripts/demo-data.ts';
import { squeezerOf } from '../support/tool-setups.ts';
import { useDatabase } from './database.ts';
import { LONG_AGO } from './record.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
let person = { id: '', name: 'Odile Marn' };
let joint = '';
const RUN = 'MS20470AD4-4.5';

const moveOf = (loose: Unstamped<ToolMove>): ToolMove => ({
  ...loose,
  id: randomUUID(),
  at: '2026-03-04T08:00:00.000Z'
});
const squeeze = (divisions: number, heightIn: number, fresh = false) =>
  moveOf({
    kind: 'trial',
    trial: { what: 'squeeze', divisions, read: { by: 'caliper', heightIn }, fresh }
  });
const head = () =>
  moveOf({
    kind: 'made',
    made: { what: 'head', diameterIn: 0.234, heightIn: 0.088, seconds: null },
    gripIn: null,
    lot: ''
  });
const kept = () => moveOf({ kind: 'kept' });
const record = (setting: string, ...moves: ToolMove[]) =>
  recordMoves(database(), toolEvents, setting, moves, person);
const begun = async (setup: ToolSetup = squeezerOf(), run: string | null = null) =>
  valueOf(
    await beginToolSetting(
      database(),
      {
        id: randomUUID(),
        setup,
        run: run === null ? null : { jointId: joint, key: run },
        work: ''
      },
      person.id,
      LONG_AGO
    )
  );

beforeAll(async () => {
  const { id } = await addPerson(database(), { name: person.name, role: 'mechanic' });
  person = { ...person, id };
  await addProfile(database(), DEFAULT_PROFILE);
  const job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
  joint = valueOf(await addJoint(database(), job, 'Bottom lap', BOTTOM_LAP, id));
});

describe('settings of tools in the database', () => {
  it('are set for a run as it was released, at its own grip', async () => {
    expect(await toolTaskOf(database(), joint, RUN)).toBeNull();
    valueOf(await releaseJoint(database(), joint, 1, person.id));
    const task = await toolTaskOf(database(), joint, RUN);
    expect(task).toMatchObject({ run: { partNumber: RUN, rivets: 50 } });
    expect(task?.setups.map(({ tool }) => tool)).toContain('gun');
    expect(task?.setups[0]).toMatchObject({ dash: 4, lengthIn: 0.28125, gripIn: 0.08 });
    expect(await toolTaskOf(database(), joint, 'MS20470AD9-4')).toBeNull();
    expect(await toolTaskOf(database(), randomUUID(), RUN)).toBeNull();
  });

  it('are found by trial, kept once, and offered to the next setting of that tool', async () => {
    const id = await begun(squeezerOf(), RUN);
    valueOf(await record(id, squeeze(0, 0.158, true), squeeze(11, 0.092)));
    // two hands keep it at one moment: one does
    const both = await Promise.all([record(id, kept()), record(id, kept())]);
    expect(both.filter(({ ok }) => ok)).toHaveLength(1);
    valueOf(await record(id, head(), head(), head()));
    const again = await begun(squeezerOf({ lengthIn: 0.4375 }));
    const view = valueOf(await getToolSetting(database(), again));
    expect(view.offered).toMatchObject({ tool: 'squeezer', divisions: 6, openedBy: 5 });
    const ofJoint = await toolSettings(database(), joint);
    expect(ofJoint.map((one) => [one.id, one.run])).toEqual([[id, RUN]]);
    // the same tool tried for something else stands no more where it was set
    expect(ofJoint[0]?.turnedAt).toBeNull();
    valueOf(await record(again, squeeze(6, 0.1, true)));
    expect((await toolSettings(database(), joint))[0]?.turnedAt).toBe('2026-03-04T08:00:00.000Z');
    // an earlier one is never offered a later one
    expect(valueOf(await getToolSetting(database(), id)).offered).toBeNull();
  });

  it('are begun once under one id, and refuse what is not there', async () => {
    const id = randomUUID();
    const begin = (setup: ToolSetup) =>
      beginToolSetting(database(), { id, setup, run: null, work: '' }, person.id);
    expect(valueOf(await begin(squeezerOf()))).toBe(id);
    expect(valueOf(await begin(squeezerOf()))).toBe(id);
    expect(await begin(squeezerOf({ gripIn: 0.18 }))).toMatchObject({ reason: 'conflict' });
    expect(
      await beginToolSetting(
        database(),
        {
          id: randomUUID(),
          setup: squeezerOf(),
          run: { jointId: randomUUID(), key: RUN },
          work: ''
        },
        person.id
      )
    ).toMatchObject({ reason: 'not-found' });
    expect(await record(randomUUID(), squeeze(0, 0.158, true))).toMatchObject({
      reason: 'not-found'
    });
    expect(whyNot(await getToolSetting(database(), randomUUID()))).toBe('not-found');
  });

  it('are not begun for a rivet that makes no good head', async () => {
    const long = await beginToolSetting(
      database(),
      { id: randomUUID(), setup: squeezerOf({ lengthIn: 0.5625 }), run: null, work: '' },
      person.id
    );
    expect(long).toMatchObject({ ok: false, reason: 'not-possible' });
    expect(!long.ok && long.message).toContain('use another length');
  });

  it('keep nothing of a batch of which one is refused', async () => {
    const id = await begun();
    const first = squeeze(12, 0.09, true);
    expect(await record(id, first, squeeze(9, 0.1))).toMatchObject({ reason: 'not-possible' });
    expect(valueOf(await getToolSetting(database(), id)).events).toEqual([]);
    // sent again by itself, and twice: stored once
    valueOf(await record(id, first));
    valueOf(await record(id, first));
    expect(valueOf(await getToolSetting(database(), id)).events).toHaveLength(1);
  });
});
