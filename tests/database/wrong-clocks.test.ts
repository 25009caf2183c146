import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { driveStream, NOT_DRIVEN } from '../../src/core/driving/drive-events.ts';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import { StockMove } from '../../src/core/stock/stock.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { isAway } from '../../src/lib/server/db/away.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { eventsOf } from '../../src/lib/server/events/read.ts';
import { MOST_AHEAD_MS, putTaken, recordMoves } from '../../src/lib/server/events/record.ts';
import { DRIVE_EVENTS, STOCK_EVENTS } from '../../src/lib/server/events/tables.ts';
import { logsAhead, setLogRight } from '../../src/lib/server/streams/set-right.ts';
import { beginTry } from '../../src/lib/server/people/tries.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { addProfile, currentProfile } from '../../src/lib/server/services/profiles.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { moveStock } from './record.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
const MINUTE = 60_000;
const RELEASED = new Date(Date.now() - 5 * 60 * MINUTE);
let person: PersonView;
let release = '';

beforeAll(async () => {
  person = await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' });
  await addProfile(database(), DEFAULT_PROFILE);
  const job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
  const lap = entered('lap', ['0.050', '0.063'], { widthIn: '7 3/8' });
  const joint = valueOf(await addJoint(database(), job, 'Lap', lap, person.id));
  valueOf(await releaseJoint(database(), joint, 1, person.id, RELEASED));
  release = (await latestRelease(database(), joint))?.id ?? '';
});

const tap = (hole: number, minutesFromNow: number) =>
  DriveMove.parse({
    id: randomUUID(),
    at: new Date(Date.now() + minutesFromNow * MINUTE).toISOString(),
    kind: 'driven',
    hole
  });
const drive = (...moves: DriveMove[]) =>
  recordMoves(database(), driveEvents, release, moves, person);
const stored = async () => (await eventsOf(database(), driveEvents, release)).map(({ id }) => id);

/** As a program of before stored it, that took what was dated up to a day ahead. */
const storedBefore = (move: DriveMove) =>
  putTaken(
    database(),
    DRIVE_EVENTS,
    [{ move, subjectId: release, frozen: { partNumber: null, cold: null } }],
    person
  );

describe('a clock that was set back', () => {
  it('lets in what was done hours ago, in its place', async () => {
    expect((await drive(tap(1, 0))).ok).toBe(true);
    expect((await drive(tap(2, -120))).ok).toBe(true);
  });

  it('lets in nothing from before the release', async () => {
    const early = tap(2, -((Date.now() - RELEASED.getTime()) / MINUTE) - 10);
    expect(await drive(early)).toMatchObject({
      ok: false,
      reason: 'not-possible',
      message: expect.stringMatching(/^Dated 10 min before its subject existed/)
    });
    // a clock that is a little behind is no reason
    expect((await drive(tap(2, -((Date.now() - RELEASED.getTime()) / MINUTE) - 1))).ok).toBe(true);
  });

  it('takes minutes ahead of the server’s, and lets the rest wait in its browser', async () => {
    expect((await drive(tap(1, 4))).ok).toBe(true);
    for (const minutes of [6, 23 * 60, 25 * 60]) {
      const ahead = tap(6, minutes);
      expect(await drive(ahead)).toMatchObject({
        ok: false,
        reason: 'clock',
        message: expect.stringMatching(/^Dated \d+ (h \d+ )?min in the future/)
      });
      expect(await stored()).not.toContain(ahead.id);
    }
    // all or none
    expect(whyNot(await drive(tap(4, 1), tap(5, 51)))).toBe('clock');
  });

  it('never makes what was done last count as older: it waits until a lead has set the log right', async () => {
    const lead = await addPerson(database(), { name: 'Runa Halvik', role: 'lead' });
    const ahead = tap(3, 23 * 60);
    await storedBefore(tap(3, 22 * 60));
    await storedBefore(ahead);
    await storedBefore(
      DriveMove.parse({
        id: randomUUID(),
        at: new Date(Date.now() + 22.5 * 60 * MINUTE).toISOString(),
        kind: 'undriven',
        hole: 3
      })
    );
    const now = tap(5, 0);
    expect(await drive(now)).toMatchObject({
      ok: false,
      reason: 'clock',
      message: expect.stringMatching(
        /dated 2[23] h \d+ min in the future: a clock was wrong.*A lead can correct/
      )
    });
    expect(await logsAhead(database())).toMatchObject([
      { log: 'drive', subject: release, of: 'Lap, release 1', by: 'Odile Marn' }
    ]);
    const right = (subject: string) =>
      setLogRight(
        database(),
        { log: 'drive', subject, why: 'the tablet was a day ahead' },
        lead.id
      );
    expect(whyNot(await right(randomUUID()))).toBe('not-possible');
    valueOf(await right(release));
    expect(await logsAhead(database())).toEqual([]);
    expect(whyNot(await right(release))).toBe('not-possible');
    valueOf(await drive(now));
    // they count in the order in which they were dated, none of them later than now
    const events = await eventsOf(database(), driveEvents, release);
    const [first, second] = events.filter((one) => 'hole' in one && one.hole === 3);
    // they were dated one after the other, within the time that takes
    const apartMs = Date.parse(second?.at ?? '') - Date.parse(first?.at ?? '');
    expect(Math.abs(apartMs - 60 * MINUTE)).toBeLessThan(MINUTE);
    expect(Math.max(...events.map(({ at }) => Date.parse(at)))).toBeLessThanOrEqual(
      Date.now() + MOST_AHEAD_MS
    );
    // and for the lists as for core
    const { subject } = (await driveEvents.open(database(), release)) ?? {};
    if (!subject) throw new Error('there is no release');
    const driven = [...driveStream.project(subject, events, NOT_DRIVEN).holes].flatMap(
      ([hole, state]) => (state.driven ? [{ hole, at: state.hitAt }] : [])
    );
    const listed = await rowsOf<{ hole: number; hit_at: Date }>(
      database(),
      'select hole, hit_at from rivets_in($1) order by hole',
      [release]
    );
    expect(listed.map(({ hole, hit_at }) => ({ hole, at: hit_at.toISOString() }))).toEqual(
      driven.sort((a, b) => a.hole - b.hole)
    );
    // as it was stored it stays, with who set it right and why
    const [row] = await rowsOf<{ at: Date; why: string; by: string }>(
      database(),
      `select e.at, r.why, p.name as by from drive_events e join logs_set_right r on r.subject_id = e.subject_id
         join people p on p.id = r.person_id where e.id = $1`,
      [ahead.id]
    );
    expect(row?.at.toISOString()).toBe(ahead.at);
    expect(row).toMatchObject({ why: 'the tablet was a day ahead', by: 'Runa Halvik' });
  });

  it('counts a bin as it was moved, once its log was set right', async () => {
    const at = (minutes: number) => new Date(Date.now() + minutes * MINUTE).toISOString();
    const moves = (...loose: object[]) =>
      loose.map((move) => StockMove.parse({ id: randomUUID(), ...move }));
    const [{ binId } = { binId: '' }] = valueOf(
      await moveStock(
        database(),
        moves({
          kind: 'received',
          at: at(-60),
          partNumber: 'MS20470AD4-5',
          lot: 'W-1',
          cold: false,
          count: 40
        }),
        person.id
      )
    );
    const count = async () =>
      (
        await rowsOf<{ count: number }>(
          database(),
          'update stock_bins set count = bin_count(id) where id = $1 returning count',
          [binId]
        )
      )[0]?.count;
    const [counted] = moves({ kind: 'counted', at: at(20 * 60), binId, count: 10 });
    if (!counted) throw new Error('nothing was counted');
    await putTaken(
      database(),
      STOCK_EVENTS,
      [{ move: counted, subjectId: binId, frozen: null }],
      person
    );
    expect(await count()).toBe(10);
    const take = () =>
      moveStock(
        database(),
        moves({ kind: 'issued', at: at(1), binId, jobId: null, count: 4 }),
        person.id
      );
    expect(whyNot(await take())).toBe('clock');
    valueOf(
      await setLogRight(database(), { log: 'stock', subject: binId, why: 'a day ahead' }, person.id)
    );
    expect(valueOf(await take())).toEqual([{ binId, count: 6 }]);
    expect(await count()).toBe(6);
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
  await rowsOf(
    database(),
    `create function is_full() returns trigger language plpgsql as $$
     begin raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$`,
    []
  );
  await rowsOf(
    database(),
    `create trigger full_disk before insert on drive_events
     for each statement execute function is_full()`,
    []
  );
  const move = tap(7, 1);
  const before = await stored();
  const broken = await drive(move).then(
    () => null,
    (error: unknown) => error
  );
  expect(isAway(broken)).toBe(true);
  expect(await stored()).toEqual(before);
  await rowsOf(database(), 'drop trigger full_disk on drive_events', []);
  valueOf(await drive(move));
  valueOf(await drive(move));
  expect((await stored()).filter((id) => id === move.id)).toHaveLength(1);
});
