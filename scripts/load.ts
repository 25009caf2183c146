/** load [--people 200] [--seconds 60]: as many people as a large shop has, at work for a while; written to docs/load.md. */
import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { parseArgs } from 'node:util';
import autocannon from 'autocannon';
import { rowsOf } from '../src/lib/server/db/work.ts';
import { freshShop, handOf, inDatabase } from './fresh-shop.ts';
import { freePort, runApp } from './running-app.ts';
import { plainTap } from './plain-tap.ts';
import { placesOf } from './soak/places.ts';

const { values } = parseArgs({
  options: {
    people: { type: 'string', default: '200' },
    seconds: { type: 'string', default: '60' }
  }
});
const [people, seconds] = [Number(values.people), Number(values.seconds)];
/** Somebody at work asks for something so often: taps and heads mostly, a page or a figure now and then. */
const EACH_S = 3;
const LOOK_MS = 1000;
const MIB = 1024 * 1024;

const cluster = process.env['ZANJADOR_LOAD_URL'];
if (!cluster) throw new Error('run this through ./zanjador load');
const shop = await freshShop(cluster, 'load');
const token = randomUUID();
const app = await runApp(shop.roleUrl, await freePort(), { ZANJADOR_METRICS_TOKEN: token });
const { headers, places, job } = await inDatabase(shop.ownerUrl, async (database) => ({
  headers: (await handOf(database, app.url, 'Ilse Varnholt')).headers,
  places: await placesOf(database),
  job: (await rowsOf<{ id: string }>(database, 'select id from jobs order by number limit 1'))[0]
    ?.id
}));

const at = () => new Date().toISOString();
const { holes } = places.issue;
let turn = 0;
/** One hole after the other. */
const hole = (): number => holes[turn++ % holes.length]?.number ?? 1;
const post = (path: string, body: () => unknown): autocannon.Request => ({
  method: 'POST',
  path,
  headers: { ...headers, 'content-type': 'application/json' },
  setupRequest: (request) => ({ ...request, body: JSON.stringify(body()) })
});
const get = (path: string): autocannon.Request => ({ method: 'GET', path, headers });
const tap = post(`/api/events/drive/${places.issue.id}`, () => [
  {
    id: randomUUID(),
    at: at(),
    ...plainTap(hole())
  }
]);
const head = post(`/api/events/hole/${places.issue.id}`, () => [
  {
    id: randomUUID(),
    at: at(),
    kind: 'checked',
    hole: hole(),
    diameterIn: 0.188,
    heightIn: 0.062,
    flags: []
  }
]);
const figure = post('/api/calc/rivet-length', () => ({
  sheetsIn: [0.041, 0.063],
  dash: 4,
  head: 'universal'
}));
const requests = [
  ...[tap, head, tap, figure, get('/')],
  ...[tap, head, tap, get(`/joints/${places.changed.id}/lay-out`)],
  ...[tap, head, tap, get(`/jobs/${job ?? ''}`), tap, head, get('/stock')]
];

/** What the process says of itself. */
interface Look {
  memoryMiB: number;
  heapMiB: number;
  delayMs: number;
}
async function look(): Promise<Look> {
  const text = await (
    await fetch(`${app.url}/metrics`, { headers: { authorization: `Bearer ${token}` } })
  ).text();
  const read = (name: string) => Number(new RegExp(`^${name} (\\S+)`, 'm').exec(text)?.[1] ?? NaN);
  return {
    memoryMiB: read('process_resident_memory_bytes') / MIB,
    heapMiB: read('nodejs_heap_size_used_bytes') / MIB,
    delayMs: read('nodejs_eventloop_lag_p99_seconds') * 1000
  };
}

const warm = await autocannon({ url: app.url, connections: 20, duration: 5, requests });
if (warm.non2xx + warm.errors > 0)
  throw new Error(
    `while warming up: ${JSON.stringify(warm.statusCodeStats)}, ${warm.errors} failed`
  );
const seen: Look[] = [await look()];
const watch = setInterval(() => void look().then((one) => seen.push(one)), LOOK_MS);
const result = await autocannon({
  url: app.url,
  connections: people,
  duration: seconds,
  overallRate: Math.round(people / EACH_S),
  requests
});
clearInterval(watch);
await app.stop();

/** The least of each fifth: what is left of memory and heap when garbage has just been collected. */
const leastOfFifths = (of: (one: Look) => number): string =>
  [0, 1, 2, 3, 4]
    .map((fifth) => seen.slice((fifth * seen.length) / 5, ((fifth + 1) * seen.length) / 5))
    .map((some) => whole(Math.min(...some.map(of))))
    .join(', ');
const delays = seen.map(({ delayMs }) => delayMs).sort((a, b) => a - b);
const whole = (value: number) => Math.round(value).toLocaleString('en');
const lines = [
  '# A large shop at work',
  '',
  `Written by \`./zanjador load\`: ${people} people on connections of their own, each asking for something every ${EACH_S} s for ${seconds} s, on loopback, one process, ${cpus().length} cores that the load tool shares.`,
  'Of sixteen things they ask seven are taps, four heads, one a figure, four pages.',
  '',
  '| what | measured |',
  '|---|---|',
  `| requests answered | ${whole(result.requests.total)}, ${whole(result.requests.average)} a second |`,
  `| refused, failed, timed out | ${result.non2xx}, ${result.errors}, ${result.timeouts} |`,
  `| half within | ${result.latency.p50} ms |`,
  `| 97.5 of a hundred within | ${result.latency.p97_5} ms |`,
  `| 99 of a hundred within | ${result.latency.p99} ms |`,
  `| event loop delay, p99 of a second, middle and largest | ${whole(delays[delays.length >> 1] ?? NaN)} ms, ${whole(delays.at(-1) ?? NaN)} ms |`,
  `| memory of the process, least of each fifth of the time | ${leastOfFifths(({ memoryMiB }) => memoryMiB)} MiB |`,
  `| of it the heap of scripts, least of each fifth | ${leastOfFifths(({ heapMiB }) => heapMiB)} MiB |`,
  ''
];
process.stdout.write(`${lines.join('\n')}\n`);
writeFileSync('docs/load.md', `${lines.join('\n')}`);
if (result.non2xx + result.errors > 0) process.exitCode = 1;
