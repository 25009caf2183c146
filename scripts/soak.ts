/** soak [--rounds 100] [--seed 1]: kills application, database or both under four writers, and looks whether anything is lost. */
import { parseArgs } from 'node:util';
import { seeded } from '../src/core/devices/random.ts';
import { linkRows } from '../src/lib/server/audit/chain.ts';
import { auditReport } from '../src/lib/server/audit/report.ts';
import { rowsOf } from '../src/lib/server/db/transaction.ts';
import { freePort, runApp, type RunningApp } from './running-app.ts';
import { clusterOfSoak, killCluster, startCluster } from './soak/cluster.ts';
import { compare, type Compared } from './soak/compare.ts';
import { Ledger } from './soak/ledger.ts';
import { freshShop, handOf, inDatabase } from './fresh-shop.ts';
import { ownGuards } from './own-guards.ts';
import { placesOf } from './soak/places.ts';
import { changeJoint, driveAndTick, lookAtHeads, releaseAndSign } from './soak/writers.ts';

const { values } = parseArgs({
  options: {
    rounds: { type: 'string', default: '100' },
    seed: { type: 'string', default: '1' }
  }
});
const rounds = Number(values.rounds);
// the writers' own: how often they ask hangs on the machine
const [random, ofWriters] = [seeded(Number(values.seed)), seeded(Number(values.seed) + 1)];
const say = (line: string) => process.stdout.write(`${line}\n`);
const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

const VICTIMS = ['application', 'database', 'both'] as const;
const LONGEST_QUIET_MS = 2500;
const LONGEST_AWAY_MS = 800;
const BACK_MS = 30_000;

const cluster = clusterOfSoak();
const shop = await freshShop(cluster.url, 'soak');
const port = await freePort();
const url = `http://127.0.0.1:${port}`;
const ledger = new Ledger();
const { since, places, mechanic, inspector } = await inDatabase(shop.ownerUrl, async (database) => {
  const [clock] = await rowsOf<{ now: Date }>(database, 'select now() as now');
  return {
    since: clock?.now ?? new Date(),
    places: await placesOf(database),
    mechanic: await handOf(database, url, 'Ilse Varnholt'),
    inspector: await handOf(database, url, 'Tomas Ekbrand')
  };
});
let app: RunningApp = await runApp(shop.roleUrl, port);

let going = true;
const round = { places, ledger, random: ofWriters, going: () => going };
const writers = [
  lookAtHeads(mechanic, round),
  driveAndTick(mechanic, round),
  changeJoint(mechanic, round),
  releaseAndSign(inspector, round)
];

/** How long a page takes to say that the database is away. */
let slowestMs = 0;
async function askWhileAway(): Promise<void> {
  const from = performance.now();
  const answer = await fetch(url, { headers: mechanic.headers }).catch(() => null);
  await answer?.text();
  slowestMs = Math.max(slowestMs, performance.now() - from);
  if (answer && answer.status !== 503)
    ledger.refused.push(`a page while the database was away: ${answer.status}`);
}

/** It serves again, by itself. */
async function back(): Promise<void> {
  const until = Date.now() + BACK_MS;
  while (Date.now() < until) {
    const ready = await fetch(`${url}/ready`).catch(() => null);
    if (ready?.ok) return;
    await later(50);
  }
  throw new Error(`not ready ${BACK_MS / 1000} s after the database came back`);
}

const faults = { missing: new Set<string>(), twice: new Set<string>(), kept: new Set<string>() };
function note({ missing, twice, kept }: Compared): void {
  for (const one of missing) faults.missing.add(one);
  for (const one of twice) faults.twice.add(one);
  for (const one of kept) faults.kept.add(one);
}

for (let count = 1; count <= rounds; count++) {
  await later(200 + random() * LONGEST_QUIET_MS);
  // each of them once, then whatever comes
  const which = count <= VICTIMS.length ? count - 1 : Math.floor(random() * VICTIMS.length);
  const victim = VICTIMS[which] ?? 'both';
  if (victim !== 'application') killCluster(cluster);
  if (victim !== 'database') await app.kill();
  if (victim === 'database') await askWhileAway();
  await later(random() * LONGEST_AWAY_MS);
  if (victim !== 'application') await startCluster(cluster);
  if (victim !== 'database') app = await runApp(shop.roleUrl, port);
  await back();
  const compared = await inDatabase(shop.ownerUrl, (database) => compare(database, ledger, since));
  note(compared);
  say(
    `round ${count}: ${victim} killed; ${compared.acknowledged} acknowledged, ${compared.missing.length} missing, ${compared.twice.length} twice`
  );
}
going = false;
await Promise.all(writers);
const last = await inDatabase(shop.ownerUrl, async (database) => {
  await linkRows(database);
  const audit = await auditReport(database, await ownGuards(shop.ownerUrl));
  return { compared: await compare(database, ledger, since), audit };
});
note(last.compared);
await app.stop();

const sums = {
  'not as the events come to': faults.kept,
  refused: new Set(ledger.refused),
  'audit findings': new Set(
    last.audit.findings.map(({ what, table, key }) => `${table} ${key} ${what}`)
  )
};
for (const [what, found] of Object.entries({ ...faults, ...sums }))
  for (const one of [...found].slice(0, 10)) say(`✗ ${what}: ${one}`);
say(
  `${rounds} rounds, ${ledger.sent.size} events and ${ledger.titles.size} saves sent, ${ledger.again} tries again; slowest page while the database was away ${Math.round(slowestMs)} ms`
);
say(
  `acknowledged ${last.compared.acknowledged}, acknowledged and missing ${faults.missing.size}, stored twice ${faults.twice.size}, ` +
    Object.entries(sums)
      .map(([what, found]) => `${what} ${found.size}`)
      .join(', ')
);
const wrong = [...Object.values(faults), ...Object.values(sums)].some(({ size }) => size > 0);
if (wrong || last.compared.acknowledged === 0) process.exitCode = 1;
