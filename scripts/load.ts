/** load [--people 200] [--seconds 60]: as many people as a large shop has, at work for a while, of one process and of two; written to docs/load.md. */
import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { parseArgs } from 'node:util';
import autocannon from 'autocannon';
import { releaseJoint } from '../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../src/lib/server/services/releases.ts';
import { listJobs } from '../src/lib/server/services/jobs.ts';
import { addJoint } from '../src/lib/server/services/joints.ts';
import { BOTTOM_LAP } from './demo-data.ts';
import { freshShop, handOf, inDatabase } from './fresh-shop.ts';
import { must } from './must.ts';
import { freePort, runApp, type RunningApp } from './running-app.ts';
import { plainTap } from './plain-tap.ts';

const { values } = parseArgs({
  options: {
    people: { type: 'string', default: '200' },
    seconds: { type: 'string', default: '60' }
  }
});
const [people, seconds] = [Number(values.people), Number(values.seconds)];
/** Somebody at work asks for something so often: taps and heads mostly, a page or a figure now and then. */
const EACH_S = 3;
/** The load tool asks what a second has to bring at its beginning: groups begin one after the other, as people do. */
const GROUPS = 10;
const JOINTS = 20;
const LOOK_MS = 1000;
const ALONE_S = 20;
const MIB = 1024 * 1024;

const cluster = process.env['ZANJADOR_LOAD_URL'];
if (!cluster) throw new Error('run this through ./zanjador load');
const token = randomUUID();

/** Releases that people work at, each another; a job they look at. */
interface Work {
  ownerUrl: string;
  roleUrl: string;
  joints: { id: string; release: string; holes: number }[];
  job: string;
}
async function work(cluster: string): Promise<Work> {
  const shop = await freshShop(cluster, 'load');
  return inDatabase(shop.ownerUrl, async (database) => {
    const [job] = await listJobs(database);
    const person = await database.models.Person.findOne({ rejectOnEmpty: true });
    const joints: Work['joints'] = [];
    for (let n = 1; n <= JOINTS; n++) {
      const id = must(await addJoint(database, job?.id ?? '', `Lap ${n}`, BOTTOM_LAP, person.id));
      must(await releaseJoint(database, id, 1, person.id));
      const release = await latestRelease(database, id);
      joints.push({ id, release: release?.id ?? '', holes: release?.holes.length ?? 1 });
    }
    return { ...shop, joints, job: job?.id ?? '' };
  });
}

/** What sixteen askings are: seven taps, four heads, a figure, four pages. */
async function requestsOf(
  { ownerUrl, joints, job }: Work,
  app: RunningApp
): Promise<autocannon.Request[]> {
  const { headers } = await inDatabase(ownerUrl, (database) =>
    handOf(database, app.url, 'Ilse Varnholt')
  );
  let turn = 0;
  /** One joint after the other, and of each one hole after the other. */
  const next = () => {
    const joint = joints[turn % joints.length];
    if (!joint) throw new Error('no joint');
    const hole = (Math.floor(turn++ / joints.length) % joint.holes) + 1;
    return { ...joint, hole };
  };
  const get = (path: () => string): autocannon.Request => ({
    method: 'GET',
    headers,
    setupRequest: (request) => ({ ...request, path: path() })
  });
  const post = (ask: () => { path: string; body: unknown }): autocannon.Request => ({
    method: 'POST',
    headers: { ...headers, 'content-type': 'application/json' },
    setupRequest: (request) => {
      const { path, body } = ask();
      return { ...request, path, body: JSON.stringify(body) };
    }
  });
  const stamp = () => ({ id: randomUUID(), at: new Date().toISOString() });
  const tap = post(() => {
    const { release, hole } = next();
    return { path: `/api/events/drive/${release}`, body: [{ ...stamp(), ...plainTap(hole) }] };
  });
  const head = post(() => {
    const { release, hole } = next();
    const look = { kind: 'checked', hole, diameterIn: 0.188, heightIn: 0.062, flags: [] };
    return { path: `/api/events/hole/${release}`, body: [{ ...stamp(), ...look }] };
  });
  const figure = post(() => ({
    path: '/api/calc/rivet-length',
    body: { sheetsIn: [0.041, 0.063], dash: 4, head: 'universal' }
  }));
  return [
    ...[tap, head, tap, figure, get(() => '/')],
    ...[tap, head, tap, get(() => `/joints/${next().id}/layout`)],
    ...[tap, head, tap, get(() => `/jobs/${job}`), tap, head, get(() => '/stock')]
  ];
}

/** What a process says of itself. */
interface Look {
  memoryMiB: number;
  heapMiB: number;
  delayMs: number;
}
async function look({ url }: RunningApp): Promise<Look> {
  const text = await (
    await fetch(`${url}/metrics`, { headers: { authorization: `Bearer ${token}` } })
  ).text();
  const read = (name: string) => Number(new RegExp(`^${name} (\\S+)`, 'm').exec(text)?.[1] ?? NaN);
  return {
    memoryMiB: read('process_resident_memory_bytes') / MIB,
    heapMiB: read('nodejs_heap_size_used_bytes') / MIB,
    delayMs: read('nodejs_eventloop_lag_p99_seconds') * 1000
  };
}

const whole = (value: number) => Math.round(value).toLocaleString('en');

/** One column of the table, and how many were not answered well. */
async function atWork(
  cluster: string,
  processes: number
): Promise<{ column: string[]; bad: number }> {
  const shop = await work(cluster);
  const apps: RunningApp[] = [];
  for (let one = 0; one < processes; one++)
    apps.push(await runApp(shop.roleUrl, await freePort(), { ZANJADOR_METRICS_TOKEN: token }));
  const asked = await Promise.all(
    apps.map(async (app) => ({ url: app.url, requests: await requestsOf(shop, app) }))
  );
  for (const one of asked) {
    const warm = await autocannon({ ...one, connections: 20, duration: 5 });
    if (warm.non2xx + warm.errors > 0)
      throw new Error(
        `while warming up: ${JSON.stringify(warm.statusCodeStats)}, ${warm.errors} failed`
      );
  }
  const [one] = asked;
  if (!one) throw new Error('no process');
  // the yardstick: each of these requests with nothing beside it
  const alone = await autocannon({ ...one, connections: 1, duration: ALONE_S });
  const looks = async () => Promise.all(apps.map(look));
  const seen: Look[][] = [await looks()];
  const watch = setInterval(() => void looks().then((all) => seen.push(all)), LOOK_MS);
  const results = await Promise.all(
    Array.from({ length: GROUPS }, async (_, group) => {
      await new Promise((resolve) => setTimeout(resolve, (group * 1000) / GROUPS));
      const of = asked[group % processes];
      if (!of) throw new Error('no process');
      return autocannon({
        ...of,
        connections: Math.round(people / GROUPS),
        duration: seconds,
        overallRate: people / GROUPS / EACH_S
      });
    })
  );
  clearInterval(watch);
  for (const app of apps) await app.stop();

  /** The least of each fifth, of all processes together: what is left when garbage has just been collected. */
  const leastOfFifths = (of: (one: Look) => number): string =>
    [0, 1, 2, 3, 4]
      .map((fifth) => seen.slice((fifth * seen.length) / 5, ((fifth + 1) * seen.length) / 5))
      .map((some) =>
        whole(Math.min(...some.map((all) => all.reduce((sum, one) => sum + of(one), 0))))
      )
      .join(', ');
  const delays = seen
    .flat()
    .map(({ delayMs }) => delayMs)
    .sort((a, b) => a - b);
  const sum = (of: (one: autocannon.Result) => number): number =>
    results.reduce((total, one) => total + of(one), 0);
  /** of the group that waited longest, and against one that asks alone */
  const slowest = (of: (one: autocannon.Result) => number): string => {
    const ms = Math.max(...results.map(of));
    return `${whole(ms)} ms, ${(ms / of(alone)).toFixed(1)} × alone`;
  };
  const [refused, failed, late] = [
    sum(({ non2xx }) => non2xx),
    sum(({ errors }) => errors),
    sum(({ timeouts }) => timeouts)
  ];
  return {
    bad: refused + failed,
    column: [
      `${whole(sum(({ requests }) => requests.total))}, ${whole(sum(({ requests }) => requests.average))} a second`,
      `${refused}, ${failed}, ${late}`,
      slowest(({ latency }) => latency.p50),
      slowest(({ latency }) => latency.p97_5),
      slowest(({ latency }) => latency.p99),
      `${whole(delays[delays.length >> 1] ?? NaN)} ms, ${whole(delays.at(-1) ?? NaN)} ms`,
      `${leastOfFifths(({ memoryMiB }) => memoryMiB)} MiB`,
      `${leastOfFifths(({ heapMiB }) => heapMiB)} MiB`
    ]
  };
}

const WHAT = [
  'requests answered',
  'refused, failed, timed out',
  'median',
  '97.5th percentile',
  '99th percentile',
  'event loop delay, p99 of a second, middle and largest',
  'memory of the processes, least of each fifth of the time',
  'of it the heap of scripts, least of each fifth'
];
const [one, two] = [await atWork(cluster, 1), await atWork(cluster, 2)];
const lines = [
  '# A large shop at work',
  '',
  `Written by \`./zanjador load\`: ${people} people on connections of their own, each asking for something every ${EACH_S} s for ${seconds} s, on loopback, ${cpus().length} cores that the database and the load tool share.`,
  `Of sixteen things they ask seven are taps, four heads, one a figure, four pages, at ${JOINTS} releases of 50 rivets. Two processes serve half of them each, on one database. Times are of that tenth of the people who waited longest; alone: the same requests one after the other over one connection, in the same run.`,
  '',
  '| what | one process | two processes |',
  '|---|---|---|',
  ...WHAT.map((what, row) => `| ${what} | ${one.column[row] ?? ''} | ${two.column[row] ?? ''} |`),
  ''
];
process.stdout.write(`${lines.join('\n')}\n`);
writeFileSync('docs/load.md', lines.join('\n'));
if (one.bad + two.bad > 0) process.exitCode = 1;
