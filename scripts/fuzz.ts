/** fuzz [--count 100000] [--seed 1] [--slow 1000]: wrong requests at every door. Drawings, which the browser reads: tests/unit/wrong-files.test.ts. */
import { parseArgs } from 'node:util';
import { seeded } from '../src/core/devices/random.ts';
import { rowsOf } from '../src/lib/server/db/transaction.ts';
import { freshShop, handOf, inDatabase, type Hand } from './fresh-shop.ts';
import { CALCULATIONS, corpusOf, doorsMissed, type Seed } from './fuzz/corpus.ts';
import { pick } from './fuzz/mutate.ts';
import { sendWrong, wrongOf, type Broken } from './fuzz/send.ts';
import { freePort, runApp } from './running-app.ts';

const { values } = parseArgs({
  options: {
    count: { type: 'string', default: '100000' },
    seed: { type: 'string', default: '1' },
    slow: { type: 'string', default: '1000' }
  }
});
const [count, seed, slowMs] = [Number(values.count), Number(values.seed), Number(values.slow)];
const say = (line: string) => process.stdout.write(`${line}\n`);

const AT_ONCE = 2;
/** Some requests sign people out, or put them out of the shop: they come in again. */
const COME_IN_EVERY = 400;
const PEOPLE = ['Runa Halvik', 'Ilse Varnholt', 'Tomas Ekbrand', 'Benn Achterby', 'Sunniva Ask'];
const ROLES = ['lead', 'mechanic', 'inspector', 'trainee', 'instructor'];
const MOST_SAID = 10;

const cluster = process.env['ZANJADOR_FUZZ_URL'];
if (!cluster) throw new Error('run this through ./zanjador fuzz');
const shop = await freshShop(cluster, 'fuzz');
const port = await freePort();
// a plan is given up before anyone calls it slow; every request comes from an address of its own, so that no limit helps
const app = await runApp(shop.roleUrl, port, {
  ZANJADOR_PLAN_DEADLINE_MS: String(Math.round(slowMs * 0.6)),
  ADDRESS_HEADER: 'x-fuzz-address',
  LOG_LEVEL: 'error'
});
const corpus = await inDatabase(shop.ownerUrl, corpusOf);
const missed = doorsMissed(corpus);

async function comeIn(): Promise<Hand[]> {
  return inDatabase(shop.ownerUrl, async (database) => {
    for (const [at, name] of PEOPLE.entries())
      await rowsOf(
        database,
        'update people set active = true, role = $2 where name = $1 returning id',
        [name, ROLES[at]]
      );
    return Promise.all(PEOPLE.map((name) => handOf(database, app.url, name)));
  });
}

const broken: Broken[] = [];
const byDoor = new Map<string, number>();
let done = 0;
let hands = await comeIn();
let coming: Promise<void> = Promise.resolve();

async function one(at: number): Promise<void> {
  // each by its own number: what breaks is found again alone
  const random = seeded(seed * 1_000_003 + at);
  const door = pick(random, doors);
  const wanted = pick(random, door);
  const hand = random() < 0.05 ? null : pick(random, hands);
  const wrong = wrongOf(random, wanted, hand);
  wrong.headers['origin'] = app.url;
  wrong.headers['x-fuzz-address'] = `10.${at >> 16}.${(at >> 8) & 255}.${at & 255}`;
  byDoor.set(wanted.door, (byDoor.get(wanted.door) ?? 0) + 1);
  const found = await sendWrong(app.url, wrong, slowMs);
  if (found === null) return;
  broken.push(found);
  if (broken.length <= MOST_SAID)
    say(
      `✗ ${at} ${found.what}: ${wrong.method} ${wrong.path.slice(0, 200)}\n    ${String(
        wrong.body instanceof FormData
          ? JSON.stringify(
              [...wrong.body.entries()].map(([name, value]) => [
                name,
                typeof value === 'string' ? value.slice(0, 80) : 'file'
              ])
            )
          : wrong.body
      ).slice(0, 400)}\n    ${found.said}`
    );
}

/** Calculations are as many as the other doors together, each calculation and each door as often as the next. */
const groups = new Map<string, Seed[]>();
for (const seed of corpus) {
  const key = seed.door === CALCULATIONS ? seed.path : `${seed.method} ${seed.door}`;
  groups.set(key, [...(groups.get(key) ?? []), seed]);
}
const calculations = [...groups.values()].filter(([first]) => first?.door === CALCULATIONS);
const others = [...groups.values()].filter(([first]) => first?.door !== CALCULATIONS);
const doors = [...calculations, ...calculations, ...others];

async function worker(): Promise<void> {
  for (;;) {
    const at = done++;
    if (at >= count || app.process.exitCode !== null) return;
    if (at % COME_IN_EVERY === 0 && at > 0)
      coming = comeIn().then((again) => {
        hands = again;
      });
    await coming;
    await one(at);
    if (at > 0 && at % 10_000 === 0) say(`${at} sent, ${broken.length} broken`);
  }
}
await Promise.all(Array.from({ length: AT_ONCE }, worker));
const crashed = app.process.exitCode !== null;
if (!crashed) await app.stop();

for (const door of missed) say(`✗ no request was made of ${door}`);
const sum = (what: Broken['what']) => broken.filter((one) => one.what === what).length;
say(
  `${Math.min(done, count)} tried at ${byDoor.size} doors, seed ${seed}: crashes ${crashed ? 1 : 0}, server errors ${sum('server error')}, no answer ${sum('no answer')}, ` +
    `over ${slowMs} ms ${sum('slow')}, unparsable ${sum('unparsable')}` +
    (sum('busy') > 0
      ? `; the machine was too busy for ${sum('busy')}, which were not answered`
      : '')
);
if (crashed || broken.some(({ what }) => what !== 'busy') || missed.length > 0)
  process.exitCode = 1;
