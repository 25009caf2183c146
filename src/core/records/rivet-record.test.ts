import { describe, expect, it } from 'vitest';
import { HoleLook } from '../inspect/hole-look';
import type { HoleEvent } from '../inspect/hole-events';
import type { DriveEvent } from '../driving/drive-events';
import type { RivetSources } from './rivet-record';
import {
  at,
  ILSE,
  BENN,
  TOMAS,
  BATCH,
  PART,
  stamp,
  drive,
  look,
  reworked,
  records
} from '../../../tests/support/rivet-sources';

describe('what is known of each rivet', () => {
  it('is nothing of one that nobody drove or looked at', () => {
    expect(records({})).toEqual([]);
  });

  it('is who drove it, from which lot, and who looked at it', () => {
    const [one, ...rest] = records({
      driving: [
        drive(0, { kind: 'loaded', part: PART, lot: 'R-118' }),
        drive(3, { kind: 'driven', hole: 1 }),
        drive(7, { kind: 'driven', hole: 1 }),
        drive(9, { kind: 'loaded', part: PART, lot: 'R-119' })
      ],
      heads: [look(5, 'drive-more'), look(8, 'accept')]
    });
    expect(rest).toEqual([]);
    expect(one).toMatchObject({
      hole: 1,
      life: 0,
      partNumber: PART,
      lot: 'R-118',
      drove: [BENN],
      looked: [TOMAS],
      drivenAt: at(3),
      lookedAt: at(8),
      verdict: 'accept',
      outAt: null
    });
  });

  it('is replaced where its batch had expired, though its head measures good', () => {
    const hit = (minutes: number, cold: 'ok' | 'expired') => ({
      ...drive(minutes, { kind: 'driven', hole: 1, late: 'lead agreed' }),
      frozen: { partNumber: PART, cold }
    });
    const of = (...driving: DriveEvent[]) => records({ driving, heads: [look(8, 'accept')] })[0];
    expect(of(hit(3, 'expired'))?.verdict).toBe('replace');
    expect(of(hit(3, 'ok'), hit(5, 'expired'))?.verdict).toBe('replace');
    expect(of(hit(3, 'ok'))?.verdict).toBe('accept');
    // the tap that was late was taken back
    expect(
      of(hit(3, 'ok'), hit(5, 'expired'), drive(6, { kind: 'undriven', hole: 1 }))?.verdict
    ).toBe('accept');
    // also where nobody looked yet
    expect(records({ driving: [hit(3, 'expired')] })[0]).toMatchObject({
      verdict: 'replace',
      lookedAt: null
    });
    expect(records({ driving: [hit(3, 'ok')] })[0]?.verdict).toBeNull();
  });

  it('is dated by its first look where driving was not logged, however often it is looked at', () => {
    const both = [look(300, 'accept'), look(5, 'drive-more')];
    const common = { at: at(5), lookedAt: at(300), drivenAt: null };
    // the worst look governs, until somebody says that it was driven further
    expect(records({ heads: both })[0]).toMatchObject({ ...common, verdict: 'drive-more' });
    const on = [look(300, 'accept', { drivenOn: true }), look(5, 'drive-more')];
    expect(records({ heads: on })[0]).toMatchObject({ ...common, verdict: 'accept' });
  });

  it('is not complete as long as places were not inspected, and good once another has', () => {
    const heads = [look(5, 'accept', { clean: [] })];
    expect(records({ heads })[0]?.verdict).toBe('not-complete');
    const rest: HoleEvent = {
      ...HoleLook.parse({
        ...stamp(9, ILSE),
        kind: 'eyed',
        hole: 1,
        flags: [],
        clean: ['manufactured', 'sheet']
      }),
      by: 'Ilse',
      frozen: { ...look(5, 'measure').frozen, diameterD: null, heightD: null }
    };
    expect(records({ heads: [...heads, rest] })[0]).toMatchObject({
      verdict: 'accept',
      looked: [TOMAS, ILSE]
    });
  });

  it('counts a rivet whose driving was recorded later from when it is stated to have been driven', () => {
    const [one] = records({
      driving: [
        drive(0, { kind: 'loaded', part: PART, lot: 'R-118' }),
        drive(4, { kind: 'loaded', part: PART, lot: 'R-119' }),
        drive(9, { kind: 'driven', hole: 1, stated: at(3) })
      ],
      heads: [look(5, 'accept')]
    });
    expect(one).toMatchObject({ verdict: 'accept', drivenAt: at(3), lot: 'R-118' });
  });

  it('counts no tap that was taken back, and every hand of one that two drove', () => {
    const hands = { gun: ILSE, bar: BENN };
    const taken = [
      drive(1, { kind: 'driven', hole: 1 }, TOMAS),
      drive(2, { kind: 'undriven', hole: 1 }, TOMAS)
    ];
    expect(records({ driving: taken })).toEqual([]);
    const [one] = records({
      driving: [...taken, drive(4, { kind: 'driven', hole: 1, hands, batch: BATCH })],
      batchLots: new Map([[BATCH, 'C-7']])
    });
    expect(one).toMatchObject({ drove: [ILSE, BENN], batch: BATCH, lot: 'C-7', drivenAt: at(4) });
  });

  it('says who sent what another did, of hits that count and of looks', () => {
    const sent = <E>(event: E, sentBy: string) => ({ ...event, sentBy });
    const [one] = records({
      driving: [
        sent(drive(1, { kind: 'driven', hole: 1 }), 'Odile'),
        drive(2, { kind: 'undriven', hole: 1 }),
        sent(drive(3, { kind: 'driven', hole: 1 }), 'Berit'),
        sent(drive(4, { kind: 'driven', hole: 1 }), 'Berit')
      ],
      heads: [look(5, 'accept'), sent(look(6, 'accept'), 'Oskar')]
    });
    expect(one?.sentBy).toEqual(['Berit', 'Oskar']);
    expect(records({ heads: [look(5, 'accept')] })[0]?.sentBy).toEqual([]);
  });

  it('keeps apart the rivets that were in a hole one after the other', () => {
    const sources: Partial<RivetSources> = {
      rework: reworked(
        [10, { kind: 'out', hole: 1, school: 'under-shank', how: 'plain' }],
        [12, { kind: 'measured', hole: 1, widestIn: 0.17, seen: [] }]
      ),
      driving: [
        drive(1, { kind: 'driven', hole: 1 }),
        {
          ...drive(15, { kind: 'driven', hole: 1 }, ILSE),
          frozen: { partNumber: 'MS20470AD6-7', cold: null }
        }
      ],
      heads: [look(20, 'accept'), look(4, 'replace', { flags: ['tilted'] })]
    };
    const bad = sources.heads?.[1];
    if (bad) bad.frozen.findings = ['tilted'];
    expect(
      records(sources).map(({ life, partNumber, verdict, findings, outAt, drove }) => ({
        life,
        partNumber,
        verdict,
        findings,
        outAt,
        drove
      }))
    ).toEqual([
      {
        life: 0,
        partNumber: PART,
        verdict: 'replace',
        findings: ['tilted'],
        outAt: at(10),
        drove: [BENN]
      },
      {
        life: 1,
        partNumber: 'MS20470AD6-7',
        verdict: 'accept',
        findings: [],
        outAt: null,
        drove: [ILSE]
      }
    ]);
  });

  it('takes no reading of a device that does not exist', () => {
    expect(records({ heads: [look(3, 'accept', { simulated: true })] })).toEqual([]);
  });

  it('names the setting that its run stood under when it was driven', () => {
    const setting = (id: string, begun: number, withdrawn: number | null, run = PART) => ({
      id,
      run,
      begunAt: at(begun),
      withdrawnAt: withdrawn === null ? null : at(withdrawn)
    });
    const settings = [
      setting('first', -60, 5),
      setting('second', 6, null),
      setting('of another', 6, null, 'MS20470AD4-4')
    ];
    const under = (minutes: number) =>
      records({ settings, driving: [drive(minutes, { kind: 'driven', hole: 2 })] })[0]?.setting;
    expect([under(-70), under(2), under(5.5), under(9)]).toEqual([null, 'first', null, 'second']);
  });
});
