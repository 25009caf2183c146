import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { ColdMove } from '../../src/core/driving/cold-events.ts';
import { driveStream, NOT_DRIVEN } from '../../src/core/driving/drive-events.ts';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { StockMove } from '../../src/core/stock/stock.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { namedByOthers } from '../../src/core/signing/signed-matter.ts';
import { keepCall } from '../../src/lib/server/events/team-calls.ts';
import { signingView } from '../../src/lib/server/services/signing.ts';
import { coldEvents } from '../../src/lib/server/events/cold-events.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { reworkEvents } from '../../src/lib/server/events/rework-events.ts';
import { ReworkMove } from '../../src/core/reworking/rework-moves.ts';
import { eventsAfter, eventsOf } from '../../src/lib/server/events/read.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { coldView, takeOut } from '../../src/lib/server/services/cold-batches.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { recordFileOf } from '../../src/lib/server/services/record-files.ts';
import { inInches } from '../../src/lib/words/writing.ts';
import type { IceboxTimes } from '../../src/core/rules/icebox.ts';
import { addProfile, currentProfile } from '../../src/lib/server/services/profiles.ts';
import { listBins } from '../../src/lib/server/services/stock.ts';
import { entered } from '../support/joints.ts';
import { makeJointFile } from '../../src/lib/server/services/joint-files.ts';
import { pdfText } from './pdf-text.ts';
import { useDatabase } from './database.ts';
import { LONG_AGO, moveStock } from './record.ts';
import { valueOf } from './value-of.ts';

const database = useDatabase();
let person: PersonView;
let job = '';

beforeAll(async () => {
  person = await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' });
  await addProfile(database(), DEFAULT_PROFILE);
  job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
});

async function released(alloy: 'AD' | 'DD') {
  const lap = entered('lap', ['0.050', '0.063'], { widthIn: '7 3/8', alloy });
  const joint = valueOf(await addJoint(database(), job, `Lap ${alloy}`, lap, person.id));
  valueOf(await releaseJoint(database(), joint, 1, person.id, LONG_AGO));
  const release = await latestRelease(database(), joint);
  if (!release) throw new Error('not released');
  return release;
}
type Driven = Extract<DriveMove, { kind: 'driven' }>;
const tap = (hole: number, more: object = {}) =>
  DriveMove.parse({
    id: randomUUID(),
    at: new Date().toISOString(),
    kind: 'driven',
    hole,
    ...more
  }) as Driven;
const undo = (hole: number) =>
  DriveMove.parse({ id: randomUUID(), at: new Date().toISOString(), kind: 'undriven', hole });
const drive = (release: string, ...moves: DriveMove[]) =>
  recordMoves(database(), driveEvents, release, moves, person);

describe('the log of driving', () => {
  it('stores each tap once, in order, with what was put in', async () => {
    const release = await released('AD');
    const [first, second] = [tap(1), tap(2, { quick: 'more' })];
    valueOf(await drive(release.id, first, second));
    // sent again after a lost answer
    valueOf(await drive(release.id, first));
    const events = await eventsOf(database(), driveEvents, release.id);
    expect(events.map(({ id }) => id)).toEqual([first.id, second.id]);
    expect(events[0]?.frozen.partNumber).toBe(release.facts.partNumber);
    const state = driveStream.project({ ...release, batches: [] }, events, NOT_DRIVEN);
    expect(state.holes.get(2)).toMatchObject({ driven: true, quick: 'more', by: 'Odile Marn' });
    await expect(database().sequelize.query('delete from drive_events')).rejects.toThrow(
      /never changed or removed/
    );
  });

  it('says whose a tap is, also to somebody else who sends it again', async () => {
    const release = await released('AD');
    const other = await addPerson(database(), { name: 'Tove Ask', role: 'mechanic' });
    const first = tap(3);
    valueOf(await drive(release.id, first));
    const again = await recordMoves(database(), driveEvents, release.id, [first], other);
    expect(valueOf(again)).toMatchObject([{ id: first.id, by: 'Odile Marn' }]);
    expect(await eventsOf(database(), driveEvents, release.id)).toHaveLength(1);
  });

  it('is read on from an event, with what may have been on its way when that one was read', async () => {
    const release = await released('AD');
    const taps = [tap(1), tap(2), tap(3)];
    for (const one of taps) valueOf(await drive(release.id, one));
    const [first, second] = taps.map(({ id }) => id);
    /** as if its act had begun so long before the others, and ended after them */
    const begunBefore = async (hole: number, interval: string) => {
      const id = randomUUID();
      await rowsOf(
        database(),
        `insert into drive_events (id, subject_id, kind, payload, frozen, person_id, at, recorded_at)
         select $1, subject_id, kind, jsonb_build_object('hole', $2::integer), frozen, person_id, at, recorded_at - $3::interval
         from drive_events where id = $4`,
        [id, hole, interval, first ?? '']
      );
      return id;
    };
    const close = await begunBefore(4, '20 seconds');
    const long = await begunBefore(5, '1 hour');
    const read = async (after: string) =>
      (await eventsAfter(database(), driveEvents, release.id, after)).map(({ id }) => id);
    const ids = await read(second ?? '');
    expect(ids).toEqual([...taps.map(({ id }) => id), close]);
    // an event that this log has not: the whole log
    expect(await read(randomUUID())).toEqual([...taps.map(({ id }) => id), close, long]);
  });

  it('loses a look by camera that whoever took it says is false', async () => {
    const release = await released('AD');
    const seen = DriveMove.parse({
      id: randomUUID(),
      at: new Date().toISOString(),
      ...{ kind: 'seen', hole: 1, diameterIn: 0.2, plusMinusIn: 0.005, camera: 'rod' },
      simulated: false
    });
    valueOf(await drive(release.id, tap(1), seen));
    const move = (hole: number) =>
      ReworkMove.parse({
        id: randomUUID(),
        at: new Date().toISOString(),
        ...{ kind: 'voided-look', hole, look: seen.id, why: 'a shadow' }
      });
    const other = await addPerson(database(), { name: 'Tove Rask', role: 'mechanic' });
    const say = (hole: number, who: PersonView) =>
      recordMoves(database(), reworkEvents, release.id, [move(hole)], who);
    expect(await say(1, other)).toMatchObject({ ok: false });
    expect(await say(2, person)).toMatchObject({ ok: false });
    valueOf(await say(1, person));
    const { subject } = (await driveEvents.open(database(), release.id)) ?? {};
    if (!subject) throw new Error('there is no release');
    const events = await eventsOf(database(), driveEvents, release.id);
    expect(driveStream.project(subject, events, NOT_DRIVEN).seen.size).toBe(0);
  });

  it('keeps who was named at the gun or the bar as named only, until they were heard there', async () => {
    const release = await released('AD');
    const named = await addPerson(database(), { name: 'Eskil Bro', role: 'trainee' });
    const hands = { gun: person.id, bar: named.id };
    const frozen = async (hole: number, more: object = {}) =>
      valueOf(await drive(release.id, tap(hole, { hands, ...more })))[0]?.frozen;
    expect(await frozen(1)).toMatchObject({ unconfirmed: [named.id] });
    await keepCall(database(), release.id, { id: named.id, device: null });
    // at a release that there is not, nothing is kept and nothing breaks
    await keepCall(database(), randomUUID(), { id: named.id, device: null });
    // twice in a minute is once
    await keepCall(database(), release.id, { id: named.id, device: null });
    expect(await frozen(2)).not.toHaveProperty('unconfirmed');
    const longBefore = new Date(Date.now() - 20 * 60_000).toISOString();
    expect(await frozen(3, { at: longBefore })).toMatchObject({ unconfirmed: [named.id] });
    await expect(database().sequelize.query('delete from team_calls')).rejects.toThrow(
      /never changed or removed/
    );
    const events = await eventsOf(database(), driveEvents, release.id);
    const nameOf = (id: string) => (id === named.id ? 'Eskil Bro' : '?');
    expect(namedByOthers(events, nameOf)).toEqual([
      { by: 'Odile Marn', named: 'Eskil Bro', holes: [1, 3] }
    ]);
    // told as named by another until they say so themselves, at the taps they mean; nobody says it for them
    const [before, , longAgo] = events;
    const say = (taps: string[], who: PersonView) =>
      recordMoves(
        database(),
        driveEvents,
        release.id,
        [
          DriveMove.parse({
            id: randomUUID(),
            at: new Date().toISOString(),
            kind: 'confirmed',
            taps
          })
        ],
        who
      );
    valueOf(await say([before?.id ?? ''], named));
    valueOf(await say([longAgo?.id ?? ''], person));
    const since = await eventsOf(database(), driveEvents, release.id);
    for (const log of [since, since.toReversed()])
      expect(namedByOthers(log, nameOf)).toEqual([
        { by: 'Odile Marn', named: 'Eskil Bro', holes: [3] }
      ]);
    // it counts as having driven all the same
    const state = driveStream.project({ ...release, batches: [] }, events, NOT_DRIVEN);
    expect(state.holes.get(1)?.people).toContain(named.id);
    const joint = (
      await rowsOf<{ joint_id: string }>(
        database(),
        'select joint_id from joint_issues where id = $1',
        [release.id]
      )
    )[0]?.joint_id;
    const view = valueOf(await signingView(database(), joint ?? '', null));
    expect(view?.told).toContainEqual({
      code: 'named-only',
      ...{ by: 'Odile Marn', named: 'Eskil Bro', holes: [3] }
    });
  });

  it('takes no hole that the release has not', async () => {
    const release = await released('AD');
    expect(await drive(release.id, tap(500))).toMatchObject({
      ok: false,
      message: 'there is no hole 500 in this release'
    });
  });
});

describe('a batch out of the cold', () => {
  /** A bin in the cold with 30 rivets received into it. */
  const coldBin = async (part: string, lot: string) => {
    valueOf(
      await moveStock(
        database(),
        [
          StockMove.parse({
            kind: 'received',
            id: randomUUID(),
            at: '2026-11-28T07:00:00Z',
            partNumber: part,
            lot,
            cold: true,
            count: 30
          })
        ],
        person.id
      )
    );
    return (await listBins(database())).find((bin) => bin.lot === lot);
  };

  it('leaves its bin, runs by the server’s clock, and is counted by what is driven', async () => {
    const release = await released('DD');
    const part = release.facts.partNumber;
    const bin = await coldBin(part, 'CC-4');
    const batch = { id: randomUUID(), binId: bin?.id ?? '', count: 9, jobId: job };
    const removed = new Date(Date.now() - 20 * 60_000);
    valueOf(await takeOut(database(), batch, person, removed));
    // asked again after a lost answer: once
    valueOf(await takeOut(database(), batch, person));
    const [open] = (await coldView(database())).batches;
    expect(open).toMatchObject({ partNumber: part, lot: 'CC-4', count: 9, left: 9 });
    expect(open?.removedAt).toBe(removed.toISOString());
    expect((await listBins(database())).find(({ lot }) => lot === 'CC-4')?.count).toBe(21);
    expect(
      await takeOut(database(), { ...batch, id: randomUUID(), count: 22 }, person)
    ).toMatchObject({ ok: false, reason: 'not-possible' });

    // no batch named, nothing logged
    expect(await drive(release.id, tap(1))).toMatchObject({ ok: false, reason: 'not-possible' });
    const inTime = (hole: number) =>
      tap(hole, { batch: batch.id, at: new Date(removed.getTime() + 60_000).toISOString() });
    valueOf(await drive(release.id, inTime(1), inTime(2), inTime(3)));
    // hit again it is the same rivet, also with that tap taken back; one taken back whole is none
    valueOf(await drive(release.id, inTime(2), undo(2)));
    valueOf(await drive(release.id, undo(3)));
    expect((await coldView(database())).batches[0]?.left).toBe(7);

    const late = new Date().toISOString();
    const tooLate = { ...inTime(4), at: late };
    expect(await drive(release.id, tooLate)).toMatchObject({ ok: false, reason: 'not-possible' });
    const [told] = valueOf(
      await drive(release.id, { ...tooLate, id: randomUUID(), late: 'the lead agreed' })
    );
    expect(told?.frozen.cold).toBe('expired');

    const away = (count: number) =>
      recordMoves(
        database(),
        coldEvents,
        batch.id,
        [
          ColdMove.parse({
            id: randomUUID(),
            at: new Date().toISOString(),
            kind: 'left-over',
            count,
            how: 'scrapped',
            note: ''
          })
        ],
        person
      );
    expect(await away(7)).toMatchObject({ ok: false, reason: 'not-possible' });
    valueOf(await away(6));
    expect((await coldView(database())).batches[0]?.left).toBe(0);
    // nothing goes back into the bin by itself
    expect((await listBins(database())).find(({ lot }) => lot === 'CC-4')?.count).toBe(21);
  });

  it('keeps the shop’s own times that it was taken out under', async () => {
    const release = await released('DD');
    const current = await currentProfile(database());
    if (!current) throw new Error('no rules');
    let { version } = current.rules;
    const rules = (DD: IceboxTimes | null) =>
      addProfile(database(), {
        ...current.rules,
        version: (version += 1),
        icebox: { D: null, DD }
      });
    const bin = await coldBin(release.facts.partNumber, 'CC-5');
    const out = async () => {
      const batch = { id: randomUUID(), binId: bin?.id ?? '', count: 3, jobId: null };
      valueOf(await takeOut(database(), batch, person, removed));
      return batch.id;
    };
    const removed = new Date(Date.now() - 25 * 60_000);
    await rules({ dueMinutes: 15, limitMinutes: 30, data: 'process sheet 12' });
    const longer = await out();
    await rules(null);
    const plain = await out();
    const view = await coldView(database());
    expect(view.icebox.DD).toBeNull();
    expect(view.batches.find(({ id }) => id === longer)?.times).toMatchObject({
      limitMinutes: 30,
      data: 'process sheet 12'
    });
    expect(view.batches.find(({ id }) => id === plain)?.times).toBeNull();
    const late = (hole: number, batch: string) =>
      tap(hole, { batch, at: new Date(removed.getTime() + 21 * 60_000).toISOString() });
    expect(await drive(release.id, late(1, plain))).toMatchObject({ ok: false });
    const [told] = valueOf(await drive(release.id, late(1, longer)));
    expect(told?.frozen.cold).toBe('due');
    const [{ joint_id: joint } = { joint_id: '' }] = await rowsOf<{ joint_id: string }>(
      database(),
      'select joint_id from joint_issues where id = $1',
      [release.id]
    );
    const paper = { unit: 'in', paper: 'a4' } as const;
    const file = await recordFileOf(database(), joint, 'record.pdf', 'r', paper as never, inInches);
    expect((await pdfText(valueOf(file).body)).replace(/\s+/g, ' ')).toContain(
      'Longer than the guidance’s 20 min: due at 15 min, limit 30 min by process sheet 12'
    );
  });

  it('is none of rivets driven as received', async () => {
    const [bin] = await rowsOf<{ id: string }>(
      database(),
      `insert into stock_bins (id, part_number, lot, place, cold, count)
       values ($1, 'MS20470AD4-5', 'plain', '', false, 50) returning id`,
      [randomUUID()]
    );
    expect(
      await takeOut(
        database(),
        { id: randomUUID(), binId: bin?.id ?? '', count: 5, jobId: null },
        person
      )
    ).toMatchObject({ ok: false, reason: 'not-possible' });
  });
});

describe('the driving card', () => {
  it('has the order, the holders, what stays open, and says what was not told', async () => {
    const held = entered('lap', ['0.040', '0.040'], { widthIn: '7 3/8' });
    const joint = valueOf(await addJoint(database(), job, 'Card lap', held, person.id));
    expect(await makeJointFile(database(), joint, 'driving.pdf')).toMatchObject({
      ok: false,
      reason: 'not-possible'
    });
    valueOf(await releaseJoint(database(), joint, 1, person.id, LONG_AGO));
    const release = await latestRelease(database(), joint);
    if (!release) throw new Error('not released');
    const text = async () =>
      pdfText(valueOf(await makeJointFile(database(), joint, 'driving.pdf')).body);
    const before = await text();
    expect(before).toContain('release 1');
    expect(before).toContain('access not entered');
    expect(before).toContain('Never fire into the air');
    for (const { number } of release.holes) expect(before).toMatch(new RegExp(`\\b${number}\\b`));
    const order = release.holes.map(({ number }) => number).reverse();
    valueOf(
      await drive(
        release.id,
        DriveMove.parse({
          id: randomUUID(),
          at: new Date().toISOString(),
          kind: 'ordered',
          school: 'sequence',
          order
        }),
        DriveMove.parse({
          id: randomUUID(),
          at: new Date().toISOString(),
          kind: 'placed',
          access: {
            edges: { left: null, right: null, top: null, bottom: null },
            upstands: [],
            headRoomIn: null,
            shopRoomIn: null,
            faceDown: false,
            armsReach: false,
            closedMember: false
          }
        })
      )
    );
    const after = await text();
    expect(after).toContain('put by hand');
    expect(after).toContain('two people: one person’s arms do not reach both sides');
    expect(after).toContain('Bucking bar');
    // as it is printed: the last hole first
    const printed =
      after
        .slice(after.indexOf('Thick box'))
        .match(/\b\d+\b/g)
        ?.map(Number) ?? [];
    expect(printed.slice(0, 3)).toEqual(order.slice(0, 3));
  });
});
