import { eventsOf } from '../../src/lib/server/events/read.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { stockEvents } from '../../src/lib/server/events/stock-events.ts';
import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { StockMove } from '../../src/core/stock/stock.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { addJob, getJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { jobBill, openShortages } from '../../src/lib/server/services/rivet-bills.ts';
import { listBins, onHand } from '../../src/lib/server/services/stock.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { moveStock } from './record.ts';
import { valueOf } from './value-of.ts';

const database = useDatabase();
let person = '';
let job = '';

const at = '2026-11-20T09:00:00Z';
const received = (partNumber: string, lot: string, count: number, cold = false) =>
  StockMove.parse({ kind: 'received', id: randomUUID(), at, partNumber, lot, cold, count });
const issued = (binId: string, count: number, jobId: string | null = null) =>
  StockMove.parse({ kind: 'issued', id: randomUUID(), at, binId, jobId, count });
const counted = (binId: string, count: number) =>
  StockMove.parse({ kind: 'counted', id: randomUUID(), at, binId, count });
const move = (...moves: StockMove[]) => moveStock(database(), moves, person);

beforeAll(async () => {
  person = (await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' })).id;
  await addProfile(database(), DEFAULT_PROFILE);
  job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'd' }));
});

describe('bins of rivets', () => {
  it('take what is theirs: a movement sent to a bin’s address is not taken, whatever it names', async () => {
    const [bin] = valueOf(await move(received('MS20470AD8-16', 'OWN-1', 20)));
    const stray = received('MS20426AD8-16', 'OWN-2', 500);
    const sent = await recordMoves(database(), stockEvents, bin?.binId ?? '', [stray], {
      id: person,
      name: 'Odile Marn'
    });
    expect(sent).toMatchObject({ ok: false, reason: 'not-possible' });
    const bins = await listBins(database());
    expect(bins.find(({ lot }) => lot === 'OWN-1')?.count).toBe(20);
    expect(bins.some(({ lot }) => lot === 'OWN-2')).toBe(false);
  });

  it('fill, empty and are corrected by events that stay', async () => {
    const [{ binId } = { binId: '' }] = valueOf(await move(received('MS20470AD4-4', 'A', 200)));
    expect(valueOf(await move(issued(binId, 35, job)))).toEqual([{ binId, count: 165 }]);
    expect(valueOf(await move(counted(binId, 160)))).toEqual([{ binId, count: 160 }]);
    const [bin] = await listBins(database());
    expect(bin).toMatchObject({ partNumber: 'MS20470AD4-4', lot: 'A', count: 160, cold: false });
    expect(
      (await eventsOf(database(), stockEvents, binId))
        .toReversed()
        .map(({ kind, count, by }) => [kind, count, by])
    ).toEqual([
      ['counted', 160, 'Odile Marn'],
      ['issued', 35, 'Odile Marn'],
      ['received', 200, 'Odile Marn']
    ]);
    await expect(
      database().sequelize.query('update stock_events set at = now() where true')
    ).rejects.toThrow(/never changed or removed/);
    await expect(database().sequelize.query('delete from stock_events')).rejects.toThrow(
      /never changed or removed/
    );
  });

  it('store what is sent twice once, and refuse another under its id', async () => {
    const once = received('MS20470AD5-6', 'B', 80);
    valueOf(await move(once));
    expect(valueOf(await move(once))[0]?.count).toBe(80);
    const [a, b] = await Promise.all([move(received('MS20470AD5-6', 'B', 5)), move(once)]);
    expect([a.ok, b.ok]).toEqual([true, true]);
    expect((await onHand(database()))['MS20470AD5-6']).toBe(85);
    expect(await move({ ...once, count: 81 } as StockMove)).toMatchObject({
      ok: false,
      reason: 'conflict'
    });
  });

  it('never hand out more than there is, to two hands at once either', async () => {
    const [{ binId } = { binId: '' }] = valueOf(await move(received('MS20470AD3-3', 'C', 30)));
    const both = await Promise.all([move(issued(binId, 20)), move(issued(binId, 20))]);
    expect(both.map(({ ok }) => ok).sort()).toEqual([false, true]);
    const refusal = both.find(({ ok }) => !ok);
    expect(refusal && !refusal.ok && refusal.message).toMatch(/^20 cannot go out: 10 of/);
    expect((await onHand(database()))['MS20470AD3-3']).toBe(10);
  });

  it('refuse another job or note under the id of what went out', async () => {
    const [{ binId } = { binId: '' }] = valueOf(await move(received('MS20470AD4-7', 'E', 40)));
    const out = issued(binId, 8, job);
    valueOf(await move(out));
    for (const other of [{ jobId: null }, { note: 'for the tail' }])
      expect(await move({ ...out, ...other } as StockMove)).toMatchObject({
        ok: false,
        reason: 'conflict'
      });
    expect((await onHand(database()))['MS20470AD4-7']).toBe(32);
  });

  it('never wait for each other, whichever way round two bins are named', async () => {
    const pair: string[] = [];
    for (const lot of ['F', 'G'])
      pair.push(valueOf(await move(received('MS20470AD4-8', lot, 100)))[0]?.binId ?? '');
    const outcomes = await Promise.all(
      Array.from({ length: 20 }, (_, at) =>
        move(...(at % 2 === 0 ? pair : pair.toReversed()).map((binId) => issued(binId, 1)))
      )
    );
    expect(outcomes.filter(({ ok }) => ok)).toHaveLength(20);
    expect((await onHand(database()))['MS20470AD4-8']).toBe(160);
  });

  it('take a table whole or not at all', async () => {
    const outcome = await move(
      received('MS20470AD6-8', 'D', 12),
      received('MS20470AD6-8', 'D', 4, true)
    );
    expect(outcome).toMatchObject({
      ok: false,
      message:
        'entry 2: lot D of MS20470AD6-8 is kept as received: a bin holds one kind of storage only; none was stored'
    });
    expect((await onHand(database()))['MS20470AD6-8']).toBeUndefined();
    expect(await move(issued(randomUUID(), 1))).toMatchObject({ ok: false, reason: 'not-found' });
  });
});

describe('what the jobs want', () => {
  const lap = entered('lap', ['0.040', '0.040'], {
    widthIn: '6',
    dash: 4,
    location: 'intermediate-frame'
  });

  it('is the sum of their joints, planned or issued, spares and what was given counted', async () => {
    const first = valueOf(await addJoint(database(), job, 'Lap', lap, person));
    valueOf(await addJoint(database(), job, 'Half filled in', entered('lap', ['', '']), person));
    // 6.2 × 6 × 0.6 = 22.3 → 23 rivets, in two rows of 12: -4.5
    const before = jobBill(valueOf(await getJob(database(), job)), {});
    expect(before.open).toEqual(['Half filled in']);
    expect(before.bill.ok && before.bill.result.lines).toMatchObject([
      { partNumber: 'MS20470AD4-4.5', needed: 24, spares: 5, toDraw: 29, onHand: 0, short: 29 }
    ]);
    valueOf(await releaseJoint(database(), first, 1, person));
    expect(jobBill(valueOf(await getJob(database(), job)), {})).toEqual(before);

    const [{ binId } = { binId: '' }] = valueOf(await move(received('MS20470AD4-4.5', 'E', 40)));
    valueOf(await move(issued(binId, 15, job)));
    const { shortages, open } = await openShortages(database());
    expect(open).toEqual(['Half filled in']);
    expect(shortages.ok && shortages.result).toEqual([
      {
        partNumber: 'MS20470AD4-4.5',
        wanted: 14,
        onHand: 25,
        short: 0,
        jobs: [{ job: '9', wanted: 14 }]
      }
    ]);
  });
});
