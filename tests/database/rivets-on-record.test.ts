import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import { beforeAll, describe, expect, it } from 'vitest';
import { HoleLook } from '../../src/core/inspect/hole-look.ts';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import type { Release } from '../../src/core/release/release.ts';
import { ReworkMove } from '../../src/core/reworking/rework-moves.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import type { FoundRivet } from '../../src/lib/api/found-rivet.ts';
import { readWish, type RivetWish } from '../../src/lib/api/records-wish.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { holeEvents } from '../../src/lib/server/events/hole-events.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { reworkEvents } from '../../src/lib/server/events/rework-events.ts';
import { findReleases } from '../../src/lib/server/services/find-releases.ts';
import { findRivets } from '../../src/lib/server/services/find-rivets.ts';
import { MeasuredFinding, SeenFlag } from '../../src/core/inspect/findings.ts';
import { findingTrend } from '../../src/lib/server/services/finding-trend.ts';
import { holeHistory } from '../../src/lib/server/services/hole-history.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { rivetsTable } from '../../src/lib/server/services/rivets-table.ts';
import { searchOffers } from '../../src/lib/server/services/search-offers.ts';
import { settleRivets } from '../../src/lib/server/services/settle-rivets.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
const MINUTE = 60_000;
const BEGAN = Date.now() - 5 * 3_600_000;
const stamp = (minutes: number) => ({
  id: randomUUID(),
  at: new Date(BEGAN + minutes * MINUTE).toISOString()
});
let driver: PersonView;
let looker: PersonView;
let jobs: string[] = [];

/** A released lap of dash 4 with its rivets' lot told and every rivet driven, one a minute. */
async function driven(title: string, job: string, lot: string, from: number): Promise<Release> {
  const lap = entered('lap', ['0.050', '0.063'], {
    widthIn: '7',
    dash: 4,
    edgeIn: '0.4',
    perInch: '2',
    perInchReason: 'own data'
  });
  const joint = valueOf(await addJoint(database(), job, title, lap, driver.id));
  valueOf(await releaseJoint(database(), joint, 1, driver.id, new Date(BEGAN + from * MINUTE)));
  const release = await latestRelease(database(), joint);
  if (!release) throw new Error('not released');
  const moves = [
    { ...stamp(from), kind: 'loaded', part: release.facts.partNumber, lot },
    ...release.holes.map(({ number: hole }, at) => ({
      ...stamp(from + at + 1),
      kind: 'driven',
      hole
    }))
  ].map((move) => DriveMove.parse({ ...move, person: driver.id }));
  valueOf(await recordMoves(database(), driveEvents, release.id, moves, driver));
  return release;
}
const look = (hole: number, minutes: number, more: object = {}) =>
  HoleLook.parse({
    ...stamp(minutes),
    kind: 'checked',
    hole,
    diameterIn: 0.188 + hole / 2000,
    heightIn: 0.062,
    flags: [],
    clean: ['manufactured', 'shop', 'sheet'],
    person: looker.id,
    ...more
  });
const find = (wish: RivetWish, pageLength?: number) => findRivets(database(), wish, pageLength);
const asked = (query: string): RivetWish => {
  const { wish, problems } = readWish(new URLSearchParams(query));
  expect(problems).toEqual([]);
  return wish;
};
const names = (rivets: readonly FoundRivet[]) =>
  rivets.map(({ joint, hole }) => `${joint} ${hole}`);

let first: Release;
let second: Release;
beforeAll(async () => {
  driver = await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' });
  looker = await addPerson(database(), { name: 'Berit Solvang', role: 'inspector' });
  await addProfile(database(), DEFAULT_PROFILE);
  jobs = [];
  for (const number of ['41', '42'])
    jobs.push(
      valueOf(await addJob(database(), { number, title: 't', place: 'p', data: 'sheet 4' }))
    );
  first = await driven('Chine strip 100%', jobs[0] ?? '', 'K-7', 0);
  second = await driven('Step web_2', jobs[1] ?? '', 'K-8', 60);
  const looks = [
    ...first.holes.slice(0, 4).map(({ number }, at) => look(number, 120 + at)),
    look(first.holes[4]?.number ?? 0, 130, { flags: ['clinched'] })
  ];
  valueOf(await recordMoves(database(), holeEvents, first.id, looks, looker));
});

describe('rivets on record', () => {
  it('are found by what is known of them, as it was logged', async () => {
    const all = await find({});
    expect(all.count).toBe(first.holes.length + second.holes.length);
    expect((await find(asked('lot=k-8'))).count).toBe(second.holes.length);
    const { rivets } = await find(asked('lot=K-8'));
    expect(rivets).toHaveLength(second.holes.length);
    expect(rivets.every(({ joint, job }) => joint === 'Step web_2' && job === '42')).toBe(true);
    expect((await find(asked(`job=${jobs[0]}`))).count).toBe(first.holes.length);
    expect((await find(asked(`person=${looker.id}`))).count).toBe(5);
    expect((await find(asked(`person=${looker.id}&did=drove`))).count).toBe(0);
    expect((await find(asked('part=ms20470ad4'))).count).toBe(all.count);
    expect((await find(asked('part=MS20426'))).count).toBe(0);
    const [bad, ...others] = (await find(asked('finding=clinched'))).rivets;
    expect(others).toEqual([]);
    expect(bad).toMatchObject({
      hole: first.holes[4]?.number,
      verdict: 'replace',
      findings: ['clinched'],
      drove: ['Odile Marn'],
      looked: ['Berit Solvang'],
      lot: 'K-7'
    });
    expect((await find(asked('verdict=none'))).count).toBe((all.count ?? 0) - 5);
  });

  it('offer the settings of tools that rivets are of, and the one that is asked for', async () => {
    expect(await searchOffers(database(), {})).toEqual({ settings: [], batches: [] });
    const [used, unused] = [randomUUID(), randomUUID()];
    for (const [id, name] of [
      [used, 'Squeezer by the window'],
      [unused, 'Squeezer by the door']
    ])
      await rowsOf(
        database(),
        `insert into tool_settings (id, work, setup, person_id) values ($1, '', $2, $3) returning id`,
        [id, JSON.stringify({ name }), driver.id]
      );
    await rowsOf(
      database(),
      'update rivet_records set setting = $1 where issue_id = $2 returning hole',
      [used, first.id]
    );
    const { settings } = await searchOffers(database(), {});
    expect(settings).toMatchObject([{ id: used, name: 'Squeezer by the window' }]);
    expect((await searchOffers(database(), { setting: unused })).settings).toHaveLength(2);
    expect((await find(asked(`setting=${used}`))).count).toBe(first.holes.length);
    await rowsOf(
      database(),
      'update rivet_records set setting = null where setting = $1 returning hole',
      [used]
    );
  });

  it.each(['100%', '%', '_2', "'; drop table rivet_records; --", '\\'])(
    'take %s in a name as it stands',
    async (text) => {
      const { rivets } = await find({ joint: text });
      const holds = ['Chine strip 100%', 'Step web_2'].filter((title) => title.includes(text));
      expect([...new Set(rivets.map(({ joint }) => joint))].sort()).toEqual(holds.sort());
    }
  );

  it('are found by their days, ends included', async () => {
    const day = (ms: number) => {
      const at = new Date(ms);
      return `${at.getFullYear()}-${String(at.getMonth() + 1).padStart(2, '0')}-${String(at.getDate()).padStart(2, '0')}`;
    };
    const [from, to] = [day(BEGAN), day(Date.now())];
    expect((await find({ from, to })).count).toBe(first.holes.length + second.holes.length);
    expect((await find({ from: day(Date.now() + 48 * 3_600_000) })).count).toBe(0);
    expect((await find({ to: day(BEGAN - 48 * 3_600_000) })).count).toBe(0);
  });

  it.each(['at', 'part', 'diameter', 'height'] as const)(
    'sorted by %s, are each on one page, there and back',
    async (sort) => {
      for (const way of ['up', 'down'] as const) {
        const whole = (await find({ sort, way }, 1000)).rivets;
        const there: FoundRivet[] = [];
        let page = await find({ sort, way }, 4);
        const pages = [page];
        there.push(...page.rivets);
        while (page.after !== null) {
          page = await find(
            asked(`sort=${sort}&way=${way}&after=${encodeURIComponent(page.after)}`),
            4
          );
          pages.push(page);
          there.push(...page.rivets);
        }
        expect(names(there)).toEqual(names(whole));
        for (let at = pages.length - 1; at > 0; at--) {
          const mark = pages[at]?.before ?? '';
          const back = await find(
            asked(`sort=${sort}&way=${way}&before=${encodeURIComponent(mark)}`),
            4
          );
          expect(names(back.rivets)).toEqual(names(pages[at - 1]?.rivets ?? []));
        }
        const value = ({ at, partNumber, diameterD, heightD }: FoundRivet) =>
          ({ at, part: partNumber, diameter: diameterD ?? 0, height: heightD ?? 0 })[sort];
        const sorted = [...whole].sort((a, b) =>
          value(a) < value(b) ? -1 : value(a) > value(b) ? 1 : 0
        );
        if (way === 'down') sorted.reverse();
        expect(whole.map(value)).toEqual(sorted.map(value));
      }
    }
  );

  it('go on from no page mark that was made up', async () => {
    for (const sort of ['diameter', 'height', 'at'] as const)
      for (const value of ['1e999', '-1', 'NaN', '0000-01-01T00:00:00Z', ''])
        expect(
          (await find({ sort, after: [value, randomUUID(), '1', '0'] })).rivets.length
        ).toBeGreaterThan(0);
    for (const mark of ['x', 'a,b,c,d', `1e9,${randomUUID()},-1,0`, '2031-99-99T00:00:00Z,,1,0'])
      expect((await find({ after: mark.split(',') })).rivets.length).toBeGreaterThan(0);
  });

  it('stay as the log has them however logging and searching cross', async () => {
    const release = await driven('Crossing', jobs[1] ?? '', 'K-9', 150);
    const acts = release.holes.flatMap(({ number: hole }, at) => [
      recordMoves(database(), holeEvents, release.id, [look(hole, 200 + at)], looker),
      settleRivets(database())
    ]);
    await Promise.all(acts);
    const { rivets } = await find({ joint: 'Crossing' });
    expect(rivets).toHaveLength(release.holes.length);
    expect(rivets.every(({ verdict }) => verdict === 'accept')).toBe(true);
    expect(await rowsOf(database(), 'select * from rivets_due')).toEqual([]);
  });

  it('keep a rivet that was taken out beside the one that took its place', async () => {
    const release = await driven('Twice', jobs[1] ?? '', 'K-10', 180);
    const hole = release.holes[2]?.number ?? 0;
    valueOf(
      await recordMoves(
        database(),
        holeEvents,
        release.id,
        [look(hole, 210, { flags: ['cracked'] })],
        looker
      )
    );
    for (const [minutes, move] of [
      [215, { kind: 'out', hole, school: 'under-shank', how: 'plain' }],
      [218, { kind: 'measured', hole, widestIn: 0.129, seen: [] }]
    ] as const)
      valueOf(
        await recordMoves(
          database(),
          reworkEvents,
          release.id,
          [ReworkMove.parse({ ...stamp(minutes), ...move })],
          looker
        )
      );
    const again = DriveMove.parse({ ...stamp(220), kind: 'driven', hole, person: looker.id });
    valueOf(await recordMoves(database(), driveEvents, release.id, [again], looker));
    const { rivets } = await find({ joint: 'Twice' });
    expect(
      rivets
        .filter((rivet) => rivet.hole === hole)
        .map(({ life, verdict, outAt }) => [life, verdict, outAt !== null])
    ).toEqual([
      [1, null, false],
      [0, 'replace', true]
    ]);
    const history = valueOf(await holeHistory(database(), release.id, hole));
    expect(history.rivets.map(({ life, lot }) => [life, lot])).toEqual([
      [0, 'K-10'],
      [1, 'K-10']
    ]);
    expect(history.rework.map(({ kind }) => kind)).toEqual(['out', 'measured']);
    expect(history.driving.map(({ kind }) => kind)).toEqual(['driven', 'driven']);
    expect(whyNot(await holeHistory(database(), release.id, 999))).toBe('not-found');
  });
});

describe('releases and weeks', () => {
  it('are found by the rivets in them', async () => {
    const { releases } = await findReleases(database(), asked('finding=clinched'), 0);
    expect(releases.map(({ joint, rivets, signedBy }) => [joint, rivets, signedBy])).toEqual([
      ['Chine strip 100%', 1, null]
    ]);
    expect((await findReleases(database(), asked(`job=${jobs[0]}`), 0)).releases).toHaveLength(1);
    expect((await findReleases(database(), {}, 7)).releases).toEqual([]);
  });

  it('count a finding among the heads that were looked at, by who drove', async () => {
    const trend = await findingTrend(database(), asked('joint=Chine'), 'clinched', 'person');
    expect(trend.weeks).toHaveLength(27);
    expect(trend.weeks).toContain(trend.groups[0]?.weeks[0]?.week);
    expect(
      trend.groups.map(({ name, weeks }) => [
        name,
        weeks.map(({ looked, found }) => [looked, found])
      ])
    ).toEqual([['Odile Marn', [[5, 1]]]]);
    // a list of the rivets of a group is asked by its key
    expect(
      (await findRivets(database(), asked(`person=${trend.groups[0]?.key}&did=drove`))).rivets
    ).not.toEqual([]);
    const findings = await findingTrend(database(), asked('joint=Chine'), null, 'finding');
    expect(
      findings.groups.map(({ name, key, weeks }) => [
        name,
        key,
        weeks.map(({ looked, found }) => [looked, found])
      ])
    ).toContainEqual(['clinched', 'clinched', [[5, 1]]]);
    // each group is what is counted of that finding alone
    for (const { key, weeks } of findings.groups) {
      const alone = await findingTrend(
        database(),
        asked('joint=Chine'),
        SeenFlag.or(MeasuredFinding).parse(key),
        'all'
      );
      expect(alone.groups[0]?.weeks).toEqual(weeks);
    }
    const tools = await findingTrend(database(), asked('joint=Chine'), null, 'tool');
    expect(tools.groups).toMatchObject([{ name: null, weeks: [{ looked: 5, found: 1 }] }]);
  });
});

describe('the table of rivets', () => {
  it('is read by another reader as it was found', async () => {
    const text = valueOf(await rivetsTable(database(), asked('finding=clinched')));
    const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
    expect(data).toHaveLength(1);
    expect(data[0]).toMatchObject({
      joint: 'Chine strip 100%',
      lot: 'K-7',
      findings: 'clinched',
      verdict: 'replace',
      driven_by: 'Odile Marn'
    });
  });
});
