import { narrow } from '../../src/lib/server/services/rivet-search.ts';
import {
  findRivets,
  countStatement,
  pageStatement
} from '../../src/lib/server/services/find-rivets.ts';
import { findReleases, releasesStatement } from '../../src/lib/server/services/find-releases.ts';
import { findingTrend, trendStatement } from '../../src/lib/server/services/finding-trend.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import type { RivetWish } from '../../src/lib/api/records-wish.ts';
import { addPerson } from '../../src/lib/server/services/people.ts';
import type { Database } from '../../src/lib/server/db/connect.ts';
import type { Served } from './server.ts';

const JOINTS = 10_000;
const RIVETS_A_JOINT = 100;
const PEOPLE = 12;
const YEARS = 6;

/**
 * A shop's records of some years, seeded: joints and releases copied from one of the demo data, rivets with what one knows
 * of them. Rare things are rare in it: a finding at one head in two hundred, a lot of two hundred rivets.
 */
export async function seedRecords(database: Database): Promise<void> {
  const people = await Promise.all(
    Array.from({ length: PEOPLE }, (_, at) =>
      addPerson(database, { name: `Hand ${String(at + 1).padStart(2, '0')}`, role: 'mechanic' })
    )
  );
  const [source] = await rowsOf<{ id: string }>(
    database,
    'select id from joint_issues order by issued_at limit 1'
  );
  if (!source) throw new Error('the demo data has no release');
  const ask = (sql: string, values: unknown[] = []) => rowsOf(database, sql, values);
  await ask('select setseed(0.4217)');
  await ask(
    `insert into jobs (id, number, title, place, data) select gen_random_uuid(), 'S' || lpad(n::text, 4, '0'), 'Seeded job ' || n, 'Quillwater Twin', 'seeded'
     from generate_series(1, 400) n`
  );
  await ask(
    `insert into joints (id, job_id, profile_id, title, definition, document_version, revision, saved_by)
     select gen_random_uuid(), (select id from jobs where number = 'S' || lpad((1 + n % 400)::text, 4, '0')), j.profile_id,
       'Seeded lap ' || n, j.definition, j.document_version, 1, j.saved_by
     from generate_series(1, $2::integer) n, joint_issues i join joints j on j.id = i.joint_id where i.id = $1`,
    [source.id, JOINTS]
  );
  await ask(
    `insert into joint_issues (id, joint_id, number, revision, definition, rules, facts, document_version, issued_at, issued_by)
     select gen_random_uuid(), j.id, 1, 1, '{}', '{}', '{}', i.document_version,
       now() - (substr(j.title, 12)::integer * interval '${YEARS} years' / ${JOINTS}), i.issued_by
     from joints j, joint_issues i where j.title like 'Seeded lap %' and i.id = $1`,
    [source.id]
  );
  await ask(
    `insert into rivet_records (issue_id, hole, life, joint_id, part_number, at, driven_at, looked_at, drove, looked, lot, verdict,
       findings, diameter_d, height_d)
     select i.id, h, 0, i.joint_id, 'MS20470AD' || (3 + j.n % 4) || '-' || (4 + j.n % 5), at, at, at + interval '1 hour',
       array[($1::uuid[])[1 + j.n % ${PEOPLE}]], array[($1::uuid[])[1 + (j.n * 7 + h) % ${PEOPLE}]],
       'L-' || ((j.n * ${RIVETS_A_JOINT} + h) / 200), kind.verdict, kind.findings,
       1.5 + 0.08 * (random() + random() - 1), 0.55 + 0.06 * (random() + random() - 1)
     from (select i.*, substr(j.title, 12)::integer as n from joint_issues i join joints j on j.id = i.joint_id
           where j.title like 'Seeded lap %') j
       join joint_issues i on i.id = j.id,
       generate_series(1, ${RIVETS_A_JOINT}) h,
       lateral (select i.issued_at + h * interval '1 minute' as at, random() + 0 * h as chance) t,
       lateral (select case when chance < 0.005 then 'replace' when chance < 0.02 then 'drive-more' else 'accept' end as verdict,
         case when chance < 0.001 then array['clinched'] when chance < 0.005 then array['over-driven']
           when chance < 0.02 then array['under-driven'] else '{}'::text[] end as findings) kind`,
    [people.map(({ id }) => id)]
  );
  await ask('analyze rivet_records');
  await ask('analyze joints');
  await ask('analyze joint_issues');
}

/** Which indexes a statement is answered by, from the database's own plan. */
async function indexesOf(
  database: Database,
  { text, values }: { text: string; values: unknown[] }
): Promise<string> {
  const plan = await rowsOf<{ 'QUERY PLAN': string }>(database, `explain ${text}`, values);
  const named = plan.flatMap(
    (line) => /(?:using|Index Scan on|Seq Scan on) (\w+)/.exec(line['QUERY PLAN'])?.[1] ?? []
  );
  const own = [...new Set(named)].filter((name) => name.startsWith('rivet_records'));
  return own.map((name) => (name === 'rivet_records' ? 'the whole table' : name)).join(', ');
}

async function slowest(act: () => Promise<unknown>): Promise<number> {
  let most = 0;
  for (let round = 0; round < 5; round++) {
    const from = performance.now();
    await act();
    most = Math.max(most, performance.now() - from);
  }
  return most;
}

/** How long each search of a million rivets takes, and by which indexes it is answered. */
export async function recordRows({ database }: Served): Promise<string[]> {
  await seedRecords(database);
  const [some] = await rowsOf<{ lot: string; person: string; job: string }>(
    database,
    `select r.lot, r.drove[1] as person, j.job_id as job from rivet_records r join joints j on j.id = r.joint_id
     where r.lot like 'L-4%' order by r.issue_id limit 1`
  );
  if (!some) throw new Error('the records were not seeded');
  const [counted] = await rowsOf<{ n: number }>(
    database,
    'select count(*)::integer as n from rivet_records'
  );
  const day = (yearsAgo: number) =>
    new Date(Date.now() - yearsAgo * 365.25 * 86_400_000).toISOString().slice(0, 10);
  const searches: [string, RivetWish][] = [
    ['nothing asked, the latest', {}],
    ['nothing asked, the smallest diameters', { sort: 'diameter', way: 'up' }],
    ['nothing asked, the greatest heights', { sort: 'height' }],
    ['nothing asked, by part number', { sort: 'part', way: 'up' }],
    ['a lot', { lot: some.lot }],
    ['a job', { job: some.job }],
    ['part of a joint’s name', { joint: 'lap 77' }],
    ['how a part number begins', { part: 'MS20470AD6' }],
    ['a person', { person: some.person }],
    ['a person who drove, by diameter', { person: some.person, did: 'drove', sort: 'diameter' }],
    ['a rare finding', { finding: 'clinched' }],
    [
      'a common finding, the smallest heights',
      { finding: 'under-driven', sort: 'height', way: 'up' }
    ],
    ['a verdict that most have, the oldest', { verdict: 'accept', way: 'up' }],
    ['a result never given', { verdict: 'refer' }],
    ['three months, years ago', { from: day(4), to: day(3.75) }],
    [
      'a person, a finding and a year',
      { person: some.person, finding: 'over-driven', from: day(3), to: day(2) }
    ],
    ['a part number never driven', { part: 'NAS9' }]
  ];
  const rows: string[] = [];
  const rivetsMs = new Map<string, number>();
  for (const [name, wish] of searches) {
    const ms = await slowest(() => findRivets(database, wish));
    rivetsMs.set(name, ms);
    const asked = await narrow(database, wish);
    const used = await indexesOf(database, pageStatement(asked, 51));
    const counting = await indexesOf(database, countStatement(asked));
    rows.push(`| rivets: ${name} | ${Math.round(ms)} ms | ${used} | ${counting} |`);
  }
  for (const [name, wish] of [
    ['nothing asked', {}],
    ['a rare finding', { finding: 'clinched' }],
    ['a result that most have', { verdict: 'accept' }],
    ['a lot', { lot: some.lot }]
  ] satisfies [string, RivetWish][]) {
    const ms = await slowest(() => findReleases(database, wish, 0));
    const rivets = rivetsMs.get(name);
    const against = rivets ? `${(ms / rivets).toFixed(1)} × its rivets` : '';
    rows.push(
      `| releases: ${name} | ${Math.round(ms)} ms | ${await indexesOf(database, releasesStatement(wish, 0))} | ${against} |`
    );
  }
  for (const by of ['all', 'tool', 'person'] as const) {
    const ms = await slowest(() => findingTrend(database, {}, 'over-driven', by));
    rows.push(
      `| a finding by week, ${by === 'all' ? 'together' : `by ${by}`} | ${Math.round(ms)} ms | ${await indexesOf(database, trendStatement({}, 'over-driven', by))} | |`
    );
  }
  return [
    `${(counted?.n ?? 0).toLocaleString('en')} rivets of ${JOINTS.toLocaleString('en')} joints, seeded; the slowest of five runs each, with the count as far as it is counted.`,
    '',
    '| search | slowest of five | the page by | the count by |',
    '|---|---|---|---|',
    ...rows
  ];
}
