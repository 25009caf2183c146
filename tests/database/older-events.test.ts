import { eventsOf } from '../../src/lib/server/events/read.ts';
import { stockEvents } from '../../src/lib/server/events/stock-events.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { StockEvent, StockMove } from '../../src/core/stock/stock.ts';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';
import { migrate } from '../../src/lib/server/db/migrate.ts';
import { firstTables } from '../../src/lib/server/db/migrations/0001-first-tables.ts';
import { kindsOfJoint } from '../../src/lib/server/db/migrations/0002-kinds-of-joint.ts';
import { stock } from '../../src/lib/server/db/migrations/0003-stock.ts';
import { makeReady } from '../../src/lib/server/db/migrations/0004-make-ready.ts';
import { cages } from '../../src/lib/server/db/migrations/0005-cages.ts';
import { cageEvents } from '../../src/lib/server/events/setting-events.ts';
import { findRivets } from '../../src/lib/server/services/find-rivets.ts';
import { listJoints } from '../../src/lib/server/services/joint-summaries.ts';
import { readyEvents, timedWorks } from '../../src/lib/server/services/ready.ts';
import { listBins } from '../../src/lib/server/services/stock.ts';
import { cageOf, setupOf } from '../support/cages.ts';
import { entered } from '../support/joints.ts';
import { makeDatabase } from './database.ts';
import { eventsOfRelease, moveStock, recordHead, recordReady } from './record.ts';
import { valueOf } from './value-of.ts';

let database: Database;
let drop: () => Promise<void>;
const name = () => randomUUID();
const ids = {
  person: name(),
  profile: name(),
  job: name(),
  joint: name(),
  release: name(),
  first: name(),
  second: name(),
  tick: name(),
  bin: name(),
  cage: name(),
  setting: name(),
  trial: name()
};
const AT = '2026-08-04T07:30:00.000Z';
const LATER = '2026-08-04T07:45:00.000Z';
const FACTS = {
  dash: 4,
  head: 'universal',
  partNumber: 'MS20470AD4-4.5',
  gripIn: 0.08,
  lengthIn: 0.28125,
  holeIn: 0.1285,
  widthIn: 5,
  overlapIn: 0.5625,
  limits: 'standard',
  predictedIn3: 0.0024
};
const head = (id: string, at: string, diameterIn: number) => ({
  id,
  hole: 2,
  at,
  diameterIn,
  heightIn: 0.062,
  flags: []
});
const judged = (verdict: string) => ({ verdict, findings: [], diameterD: 1.5, heightD: 0.5 });
const timed = { op: 'pilot', count: 12, seconds: 170 };
const trial = { id: ids.trial, at: AT, kind: 'reading', clicks: 7, flushnessIn: 0.004 };
const trialMove = { ...trial, from: 'typed', cameUp: false, ring: false };

beforeAll(async () => {
  const made = await makeDatabase('template0');
  drop = made.drop;
  database = openDatabase(made.url);
  const { sequelize } = database;
  const context = sequelize.getQueryInterface();
  await sequelize.query('create table migrations (name varchar(255) primary key)');
  for (const before of [firstTables, kindsOfJoint, stock, makeReady, cages]) {
    await before.up({ context });
    await sequelize.query('insert into migrations values (:name)', {
      replacements: { name: before.name }
    });
  }
  const put = (sql: string, more: Record<string, unknown> = {}) =>
    sequelize.query(sql, { replacements: { ...ids, at: AT, later: LATER, ...more } });
  await put("insert into people values (:person, 'Odile Marn', 'mechanic')");
  await put(
    "insert into rule_profiles (id, name, version, rules) values (:profile, 'Shop', 1, '{}')"
  );
  await put("insert into jobs (id, number, title, place, data) values (:job, '1', 'a', 'b', 'c')");
  await put(
    "insert into joints (id, job_id, profile_id, title, definition, revision) values (:joint, :job, :profile, 'Lap', :definition, 1)",
    { definition: JSON.stringify(entered('lap', ['0.040', '0.040'], { widthIn: '5' })) }
  );
  await put(
    "insert into joint_issues (id, joint_id, number, revision, definition, rules, facts, issued_at, issued_by) values (:release, :joint, 1, 1, '{}', '{}', :facts, '2020-01-01', :person)",
    { facts: JSON.stringify(FACTS) }
  );
  for (const number of [1, 2])
    await put(
      'insert into holes (issue_id, number, "row", x_in, y_in, mark_in) values (:release, :number, 1, 1, 1, 1)',
      { number }
    );
  for (const [id, at, diameterIn, verdict] of [
    [ids.first, AT, 0.15, 'drive-more'],
    [ids.second, LATER, 0.19, 'accept']
  ] as const)
    await put(
      "insert into hole_events (id, issue_id, hole, kind, reading, judged, person_id, at) values (:id, :release, 2, 'checked', :reading, :judged, :person, :when)",
      {
        id,
        when: at,
        reading: JSON.stringify(head(id, at, diameterIn)),
        judged: JSON.stringify(judged(verdict))
      }
    );
  await put(
    'insert into ready_events (id, joint_id, step, hole, "of", done, timed, person_id, at) values (:tick, :joint, \'pilot\', null, 12, true, :timed, :person, :at)',
    { timed: JSON.stringify(timed) }
  );
  await put(
    "insert into stock_bins (id, part_number, lot, place, cold) values (:bin, 'MS20470AD4-5', 'QL-4', 'drawer 2', false)"
  );
  for (const [kind, count, jobId] of [
    ['received', 90, null],
    ['issued', 20, ids.job],
    ['counted', 64, null],
    ['issued', 9, null]
  ])
    await put(
      "insert into stock_events (id, bin_id, kind, count, job_id, note, person_id, at) values (:id, :bin, :kind, :count, :jobId, 'n', :person, :at)",
      { id: name(), kind, count, jobId }
    );
  await put(
    "insert into cages (id, name, cutter, cage, person_id) values (:cage, 'One', 'c', :what, :person)",
    { what: JSON.stringify(cageOf()) }
  );
  await put(
    "insert into cage_settings (id, cage_id, work, setup, person_id) values (:setting, :cage, '', :setup, :person)",
    { setup: JSON.stringify(setupOf()) }
  );
  await put(
    'insert into cage_events (id, setting_id, move, found, person_id) values (:trial, :setting, :move, null, :person)',
    { move: JSON.stringify(trialMove) }
  );
  expect(await migrate(database)).toEqual([
    '0006-one-event-stream',
    '0007-what-a-setting-rests-on',
    '0008-looks-by-instant',
    '0009-driving',
    '0010-settings-of-tools',
    '0011-rework-and-signing',
    '0012-rivets-on-record',
    '0013-what-a-release-took-over',
    '0014-graded-coupons',
    '0015-sign-in',
    '0016-only-the-newest-release',
    '0017-audit-chain',
    '0018-as-it-happened',
    '0019-expired-rivets',
    '0020-looks-that-add-up',
    '0021-who-sent',
    '0022-notes-by-the-row',
    '0023-logs-set-right',
    '0024-begun-on-a-bench',
    '0025-rivets-say-who-sent',
    '0026-icebox-times',
    '0027-old-work',
    '0028-statements-with-a-plan',
    '0029-counted-by-kind',
    '0030-hole-marks',
    '0031-closed-jobs',
    '0032-stated-driving'
  ]);
});
afterAll(async () => {
  await database?.sequelize.close();
  await drop?.();
});

describe('events of an earlier version', () => {
  it('heads are all there, in their order, with their verdicts', async () => {
    expect(await eventsOfRelease(database, ids.release)).toEqual([
      {
        ...head(ids.first, AT, 0.15),
        kind: 'checked',
        person: ids.person,
        by: 'Odile Marn',
        frozen: { ...judged('drive-more'), cannotTell: [], seat: null }
      },
      {
        ...head(ids.second, LATER, 0.19),
        kind: 'checked',
        person: ids.person,
        by: 'Odile Marn',
        frozen: { ...judged('accept'), cannotTell: [], seat: null }
      }
    ]);
    const [joint] = await listJoints(database);
    // nobody logged that it was driven further between the two: the worse one governs until somebody says so
    expect(joint?.marks).toMatchObject({ accept: 0, 'not-complete': 0, 'drive-more': 1 });
  });

  it('a head that was sent before the change is known when it is sent again', async () => {
    const again = valueOf(
      await recordHead(database, ids.release, head(ids.second, LATER, 0.19) as never, ids.person)
    );
    expect(again.frozen).toEqual({ ...judged('accept'), cannotTell: [], seat: null });
    expect(await eventsOfRelease(database, ids.release)).toHaveLength(2);
    expect(
      await recordHead(database, ids.release, head(ids.second, LATER, 0.18) as never, ids.person)
    ).toMatchObject({ ok: false, reason: 'conflict' });
  });

  it('heads are found in the records, though nothing noted them when they were recorded', async () => {
    const { rivets } = await findRivets(database, {});
    expect(rivets).toMatchObject([
      {
        hole: 2,
        partNumber: FACTS.partNumber,
        verdict: 'drive-more',
        drivenAt: null,
        lookedAt: LATER
      }
    ]);
  });

  it('ticks and the times with them', async () => {
    const tick = {
      id: ids.tick,
      at: AT,
      kind: 'ticked' as const,
      step: 'pilot',
      hole: null,
      of: 12,
      done: true,
      timed
    };
    expect(await readyEvents(database, ids.joint)).toEqual([
      { ...tick, person: ids.person, by: 'Odile Marn', frozen: null }
    ]);
    expect(await timedWorks(database)).toEqual([timed]);
    valueOf(await recordReady(database, ids.joint, [tick as never], ids.person));
    expect(await readyEvents(database, ids.joint)).toHaveLength(1);
  });

  it('bins hold what their movements come to', async () => {
    // counted 64, then 9 handed out
    expect(await listBins(database)).toMatchObject([{ partNumber: 'MS20470AD4-5', count: 55 }]);
    const moves = await eventsOf(database, stockEvents, ids.bin);
    expect(moves.map(({ kind, count }) => [kind, count])).toEqual([
      ['received', 90],
      ['issued', 20],
      ['counted', 64],
      ['issued', 9]
    ]);
    const sent = { ...moves[0] } as Partial<StockEvent>;
    delete sent.by;
    delete sent.frozen;
    expect(valueOf(await moveStock(database, [sent as StockMove], ids.person))).toEqual([
      { binId: ids.bin, count: 55 }
    ]);
  });

  it('trials of a cage', async () => {
    expect(await eventsOf(database, cageEvents, ids.setting)).toEqual([
      { ...trialMove, person: ids.person, by: 'Odile Marn', frozen: null }
    ]);
  });

  it('new events come after the old ones', async () => {
    const id = name();
    valueOf(
      await recordHead(
        database,
        ids.release,
        { ...head(id, LATER, 0.2), hole: 1 } as never,
        ids.person
      )
    );
    expect((await eventsOfRelease(database, ids.release)).at(-1)?.id).toBe(id);
  });
});
