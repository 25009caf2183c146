import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import type { CheckedHead } from '../../src/core/inspect/hole-look.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { MOST_CONNECTIONS } from '../../src/lib/server/db/connect.ts';
import { holeEvents } from '../../src/lib/server/events/hole-events.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob, listJobs } from '../../src/lib/server/services/jobs.ts';
import { addJoint, getJoint, saveJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { openShortages } from '../../src/lib/server/services/rivet-bills.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { statementsOf } from './queries.ts';
import { LONG_AGO, eventsOfRelease } from './record.ts';
import { valueOf } from './value-of.ts';

const database = useDatabase();
let person: PersonView;
let job = '';
const LAP = entered('lap', ['0.040', '0.040'], { widthIn: '6', dash: 4 });
const make = async (title: string) =>
  valueOf(await addJoint(database(), job, title, LAP, person.id));

beforeAll(async () => {
  person = await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' });
  await addProfile(database(), DEFAULT_PROFILE);
  job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
});

describe('a full pool', () => {
  it('three times as many stale saves as connections are all answered, at once', async () => {
    const id = await make('Lap');
    const save = (widthIn: string) =>
      saveJoint(
        database(),
        id,
        { baseRevision: 1, title: 'Lap', definition: { ...LAP, widthIn } },
        person.id
      );
    valueOf(await save('7'));
    const late = await Promise.all(
      Array.from({ length: 3 * MOST_CONNECTIONS }, (_, index) => save(`8.${index}`))
    );
    expect(late).toHaveLength(24);
    for (const outcome of late)
      expect(outcome).toMatchObject({
        ok: true,
        value: { saved: false, revision: 2, changes: [{ path: 'definition.widthIn', now: '7' }] }
      });
  }, 10_000);
});

describe('reads that do not grow', () => {
  it('the Bench, a job and Stock take as many statements for twelve joints as for three', async () => {
    const bench = () => statementsOf(database(), () => listJobs(database()));
    const stock = () => statementsOf(database(), () => openShortages(database()));
    for (const title of ['a', 'b', 'c']) {
      const id = await make(title);
      valueOf(await releaseJoint(database(), id, 1, person.id, LONG_AGO));
    }
    const few = [await bench(), await stock()];
    for (let n = 0; n < 9; n++) {
      const id = await make(`m ${n}`);
      valueOf(await releaseJoint(database(), id, 1, person.id, LONG_AGO));
    }
    expect([await bench(), await stock()]).toEqual(few);
    expect(Math.max(...few)).toBeLessThanOrEqual(12);
  });

  it('a batch of a hundred heads takes four statements at most, and again when it is sent again', async () => {
    const id = await make('Long');
    valueOf(await releaseJoint(database(), id, 1, person.id, LONG_AGO));
    const release = await latestRelease(database(), id);
    const heads = Array.from({ length: 100 }, (_, index): CheckedHead => ({
      kind: 'checked',
      id: randomUUID(),
      at: '2026-11-20T09:00:00.000Z',
      hole: (release?.holes[index % release.holes.length]?.number ?? 0) as number,
      diameterIn: 0.18 + index / 10_000,
      heightIn: 0.06,
      flags: []
    }));
    const send = () =>
      statementsOf(database(), async () =>
        valueOf(await recordMoves(database(), holeEvents, release?.id ?? '', heads, person))
      );
    expect(await send()).toBeLessThanOrEqual(4);
    expect(await send()).toBeLessThanOrEqual(4);
    const stored = await eventsOfRelease(database(), release?.id ?? '');
    expect(stored.map((event) => event.id)).toEqual(heads.map((head) => head.id));
  });

  it('a batch with one bad head stores none of them', async () => {
    const id = await make('Bad');
    valueOf(await releaseJoint(database(), id, 1, person.id, LONG_AGO));
    const release = (await latestRelease(database(), id))?.id ?? '';
    const head = (hole: number): CheckedHead => ({
      kind: 'checked',
      id: randomUUID(),
      at: '2026-11-20T09:00:00.000Z',
      hole,
      diameterIn: 0.19,
      heightIn: 0.06,
      flags: []
    });
    expect(
      await recordMoves(database(), holeEvents, release, [head(1), head(900), head(2)], person)
    ).toMatchObject({
      ok: false,
      message: 'entry 2: there is no hole 900 in this release; none was stored'
    });
    expect(await eventsOfRelease(database(), release)).toEqual([]);
  });
});

describe('a document that cannot be read', () => {
  it('is shown as such, and takes no list down', async () => {
    const id = await make('Torn');
    await database().sequelize.query('update joints set definition = :torn where id = :id', {
      replacements: { id, torn: JSON.stringify({ kind: 'lap', widthIn: 6 }) }
    });
    await database().sequelize.query('delete from joint_summaries where joint_id = :id', {
      replacements: { id }
    });
    const newer = await make('From tomorrow');
    await database().sequelize.query('update joints set document_version = 99 where id = :newer', {
      replacements: { newer }
    });
    const [listed] = await listJobs(database());
    expect(listed?.joints.find((joint) => joint.id === id)).toMatchObject({
      title: 'Torn',
      state: 'unreadable',
      headline: 'its record cannot be read'
    });
    expect(listed?.joints.filter(({ state }) => state === 'planned').length).toBeGreaterThan(0);
    expect(await getJoint(database(), id)).toMatchObject({ ok: false, reason: 'unreadable' });
    expect(await getJoint(database(), newer)).toMatchObject({
      ok: false,
      reason: 'unreadable',
      message: expect.stringMatching(/newer version of the program/) as string
    });
  });
});
