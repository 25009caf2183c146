import { describe, expect, it } from 'vitest';
import { HoleLook } from '../check/hole-look';
import type { HoleEvent } from '../check/hole-events';
import { type DriveEvent } from '../driving/drive-events';
import { DriveMove } from '../driving/drive-move';
import type { Issue } from '../issue/issue';
import { reworkStream, type ReworkEvent } from '../reworking/rework-events';
import { NO_REWORK } from '../reworking/rework-state';
import { ReworkMove } from '../reworking/rework-moves';
import { DEFAULT_PROFILE } from '../rules/profile';
import { rivetRecords, settingAt, type RivetSources } from './rivet-record';

const BEGAN = Date.parse('2031-06-03T07:00:00Z');
const at = (minutes: number) => new Date(BEGAN + minutes * 60_000).toISOString();
const ILSE = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c01';
const BENN = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c02';
const TOMAS = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c03';
const BATCH = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c0b';
const PART = 'MS20470AD5-6';
const room = { edgeIn: 0.42, pitchIn: 0.8, betweenRowsIn: null, sheetsIn: [0.06, 0.07] };
const hole = (number: number) => ({
  number,
  row: 1,
  xIn: number * 0.8,
  yIn: 0.42,
  markIn: number * 0.8,
  stack: 0,
  dash: 5 as const,
  gripIn: 0.13,
  room
});
const ISSUE = {
  facts: {
    dash: 5,
    head: 'universal',
    partNumber: PART,
    gripIn: 0.13,
    lengthIn: 0.375,
    holeIn: 0.159,
    widthIn: 4,
    overlapIn: 0.84,
    limits: 'standard',
    limitsReference: null,
    keptClosed: null,
    blinds: [],
    throughPlastic: null,
    bound: null,
    predictedIn3: 0.0046,
    rules: DEFAULT_PROFILE,
    stacks: []
  },
  holes: [hole(1), hole(2)],
  heldOpen: []
} satisfies Pick<Issue, 'facts' | 'holes' | 'heldOpen'>;

let made = 0;
const stamp = (minutes: number, person: string) => ({
  id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
  at: at(minutes),
  person
});
const drive = (minutes: number, move: object, person = BENN): DriveEvent => ({
  ...DriveMove.parse({ ...stamp(minutes, person), ...move }),
  by: 'somebody',
  frozen: { partNumber: PART, cold: null }
});
const look = (
  minutes: number,
  verdict: HoleEvent['frozen']['verdict'],
  more: object = {}
): HoleEvent => ({
  ...HoleLook.parse({
    ...stamp(minutes, TOMAS),
    kind: 'checked',
    hole: 1,
    diameterIn: 0.234,
    heightIn: 0.078,
    flags: [],
    clean: ['manufactured', 'shop', 'sheet'],
    ...more
  }),
  by: 'Tomas',
  frozen: { verdict, findings: [], diameterD: 1.5, heightD: 0.5, cannotTell: [], seat: null }
});
const reworked = (...moves: [number, object][]) => {
  let state = NO_REWORK;
  for (const [minutes, move] of moves) {
    const parsed = ReworkMove.parse({ ...stamp(minutes, ILSE), ...move });
    const may = reworkStream.follow(ISSUE, state, parsed);
    if (!may.ok) throw new Error(may.error.said.code);
    const event = { ...parsed, by: 'Ilse', frozen: may.result } as ReworkEvent;
    state = reworkStream.project(ISSUE, [event], state);
  }
  return state;
};
const records = (sources: Partial<RivetSources>, holes = [1, 2]) =>
  rivetRecords(
    {
      issue: ISSUE,
      rework: NO_REWORK,
      driving: [],
      heads: [],
      batchLots: new Map(),
      settings: [],
      ...sources
    },
    holes
  );

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

  it('is not complete as long as places were not looked at, and good once another has', () => {
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
