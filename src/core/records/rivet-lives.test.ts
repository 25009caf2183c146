import { describe, expect, it } from 'vitest';
import { settingAt } from './rivet-record';
import {
  BEGAN,
  at,
  ILSE,
  BENN,
  BATCH,
  PART,
  drive,
  look,
  reworked,
  records
} from '../../../tests/support/rivet-sources';

describe('a rivet’s life on record', () => {
  const walk: [number, object][] = [
    [10, { kind: 'out', hole: 1, school: 'under-shank', how: 'plain' }],
    [12, { kind: 'measured', hole: 1, widestIn: 0.17, seen: [] }]
  ];

  it('begins a rivet’s life where the hole was ready, to the second', () => {
    const lives = (minutes: number) =>
      records({ rework: reworked(...walk), heads: [look(minutes, 'accept')] }).map(
        ({ life }) => life
      );
    expect([lives(11.9), lives(12), lives(12.1)]).toEqual([[0], [1], [1]]);
  });

  it('follows a hole through two removals, each with its end', () => {
    const rework = reworked(
      ...walk,
      [20, { kind: 'out', hole: 1, school: 'under-shank', how: 'plain' }],
      [22, { kind: 'measured', hole: 1, widestIn: 0.19, seen: [] }]
    );
    const driving = [1, 15, 25].map((minutes) => drive(minutes, { kind: 'driven', hole: 1 }));
    expect(records({ rework, driving }).map(({ life, outAt }) => [life, outAt])).toEqual([
      [0, at(10)],
      [1, at(20)],
      [2, null]
    ]);
    // nothing was ever put in between
    const rest = records({ rework, driving: driving.filter((_, place) => place !== 1) });
    expect(rest.map(({ life }) => life)).toEqual([0, 2]);
  });

  it('has no rivet after a blind fastener', () => {
    const blind = reworked([10, walk[0]?.[1] ?? {}], [11, { ...walk[1]?.[1], seen: ['cracked'] }]);
    const now = blind.holes.get(1);
    const rework = now
      ? {
          ...blind,
          holes: new Map([
            [
              1,
              {
                ...now,
                stage: 'blind' as const,
                readyAt: BEGAN + 13 * 60_000,
                blind: { fastener: 'b', drillIn: 0.2, gripIn: 0.13 }
              }
            ]
          ])
        }
      : blind;
    const driving = [drive(1, { kind: 'driven', hole: 1 })];
    expect(records({ rework, driving, heads: [look(20, 'accept')] })).toMatchObject([
      { life: 0, outAt: at(10), lookedAt: at(20) }
    ]);
  });

  it('names who hit it again, each once, and the part that the first hit put in', () => {
    const driving = [
      drive(1, { kind: 'driven', hole: 1 }, BENN),
      drive(2, { kind: 'driven', hole: 1 }, ILSE),
      drive(3, { kind: 'driven', hole: 1 }, BENN),
      { ...drive(4, { kind: 'driven', hole: 2 }), frozen: { partNumber: null, cold: null } }
    ];
    const [one, two] = records({ driving });
    expect(one).toMatchObject({ drove: [BENN, ILSE], drivenAt: at(1), at: at(1), lot: null });
    expect(two?.partNumber).toBe(PART);
    // the last hit taken back: who made it drove nothing that is in
    const back = drive(5, { kind: 'undriven', hole: 1 });
    expect(records({ driving: [...driving.slice(0, 2), back] })[0]?.drove).toEqual([BENN]);
    // a look in passing is no hit
    const quick = drive(6, { kind: 'looked', hole: 1, quick: 'good' });
    expect(records({ driving: [quick] })).toEqual([]);
  });

  it('has the findings of every look, each once, and the figures of the last that measured', () => {
    const first = look(5, 'replace');
    first.frozen.findings = ['tilted', 'smile'];
    const second = look(7, 'accept');
    second.frozen = { ...second.frozen, findings: ['smile'], diameterD: 1.44, heightD: 0.52 };
    const eyed = look(9, 'refer');
    eyed.frozen = { ...eyed.frozen, findings: ['bar-dent'], diameterD: null, heightD: null };
    expect(records({ heads: [eyed, first, second] })).toMatchObject([
      {
        findings: ['tilted', 'smile', 'bar-dent'],
        verdict: 'refer',
        diameterD: 1.44,
        heightD: 0.52
      }
    ]);
    expect(records({ heads: [eyed] })[0]).toMatchObject({ diameterD: null, heightD: null });
  });

  it('is on record where it was driven: what a release took over is not there twice', () => {
    const carried = { issue: ILSE, release: 1, hole: 1 };
    expect(records({ driving: [drive(1, { kind: 'driven', hole: 1, carried })] })).toEqual([]);
    expect(records({ heads: [look(1, 'accept', { carried })] })).toEqual([]);
    const both = records({
      driving: [drive(1, { kind: 'driven', hole: 1, carried })],
      heads: [look(3, 'accept')]
    });
    expect(both).toMatchObject([{ drivenAt: null, drove: [], lookedAt: at(3), setting: null }]);
  });

  it('is of the holes that are asked for, in their order, and of none that is not there', () => {
    const driving = [2, 1].map((hole) => drive(hole, { kind: 'driven', hole }));
    expect(records({ driving }, [2, 1]).map(({ hole: of }) => of)).toEqual([1, 2]);
    expect(records({ driving }, [2]).map(({ hole: of }) => of)).toEqual([2]);
    expect(records({ driving }, [9])).toEqual([]);
  });

  it('knows no lot of a batch that nobody knows, nor of one told after', () => {
    const driving = [
      drive(1, { kind: 'driven', hole: 1, batch: BATCH }),
      drive(2, { kind: 'driven', hole: 2 }),
      drive(5, { kind: 'loaded', part: PART, lot: 'late' })
    ];
    expect(records({ driving }).map(({ lot, batch }) => [lot, batch])).toEqual([
      [null, BATCH],
      [null, null]
    ]);
  });

  it('takes the latest of two settings that both stand, from the instant it was begun', () => {
    const setting = (id: string, begun: number, withdrawn: number | null = null) => ({
      id,
      run: PART,
      begunAt: at(begun),
      withdrawnAt: withdrawn === null ? null : at(withdrawn)
    });
    const rivet = { partNumber: PART, dimpledThrough: false };
    const settings = [setting('early', 0), setting('late', 10), setting('gone', 12, 14)];
    expect([9, 10, 12, 13.9, 14].map((minutes) => settingAt(rivet, settings, at(minutes)))).toEqual(
      ['early', 'late', 'gone', 'gone', 'late']
    );
    expect(settingAt({ ...rivet, dimpledThrough: true }, settings, at(20))).toBeNull();
  });
});
