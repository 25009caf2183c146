import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { sideBySide, underLoad, type Ask } from './load.ts';
import { addJoints, type Served } from './server.ts';

const BATCH = 100;
const MANY_JOINTS = 200;
/** What is logged happens now: nothing is logged before its release. */
export const now = (): string => new Date().toISOString();

export const ratio = (value: number): string => value.toFixed(2);
export const whole = (value: number): string => Math.round(value).toLocaleString('en');

/** A release of the demo data that still takes events, with its first rivet. */
export async function someRelease({ database }: Served): Promise<{ id: string; hole: number }> {
  const [release] = await rowsOf<{ id: string; hole: number }>(
    database,
    `select issue_id as id, min(number) as hole from holes h where state = 'rivet'
       and not exists (select from sign_events where subject_id = h.issue_id)
       and not exists (select from rework_events where subject_id = h.issue_id)
     group by issue_id order by issue_id limit 1`
  );
  if (!release) throw new Error('the demo data has no release');
  return release;
}

/** The same payload put into a table with nothing on it, by the same server. */
export const bareInsert = ({ url, headers }: Served, payload: (id: string) => unknown): Ask => ({
  url,
  headers,
  path: '/bare/insert',
  body: (id) => {
    const made = id();
    return { id: made, payload: payload(made) };
  }
});

/** Recording of heads against one bare insert on the same server, one by one and as an outbox sends them. */
export async function eventRows(served: Served): Promise<string[]> {
  const { url, headers } = served;
  const { id: release, hole } = await someRelease(served);
  const head = (id: string) => ({
    id,
    at: now(),
    kind: 'checked',
    hole,
    diameterIn: 0.189,
    heightIn: 0.062,
    flags: []
  });
  const event = (count: number): Ask => ({
    url,
    headers,
    path: `/api/events/hole/${release}`,
    body: (id) => Array.from({ length: count }, () => head(id()))
  });
  const bare = bareInsert(served, head);
  const one = await sideBySide(event(1), bare);
  const batch = await underLoad(event(BATCH));
  return [
    `| one head | ${whole(one.one.perS)} | ${ratio(one.ratio)} of a bare insert through the same server (${whole(one.other.perS)}) | ${one.one.slowMs} ms |`,
    `| ${BATCH} heads at once | ${whole(batch.perS)} | ${whole(batch.perS * BATCH)} heads a second, ${ratio((batch.perS * BATCH) / one.other.perS)} × the bare inserts | ${batch.slowMs} ms |`
  ];
}

/** Pages that list every joint, against a page with nothing on it; first with the demo data, then with 200 joints more. */
export async function pageRows(served: Served): Promise<string[]> {
  const { url, headers } = served;
  const bare: Ask = { url, headers, path: '/bare' };
  const [job] = await rowsOf<{ id: string }>(
    served.database,
    'select id from jobs order by number limit 1'
  );
  const pages = [
    ['Jobs', '/'],
    ['job', `/jobs/${job?.id ?? ''}`],
    ['Stock', '/stock']
  ] as const;
  const lines: string[] = [];
  const row = async (joints: string) => {
    for (const [name, path] of pages) {
      const { ratio: share, one, other } = await sideBySide({ url, headers, path }, bare);
      lines.push(
        `| ${name}, ${joints} | ${whole(one.perS)} | ${ratio(share)} of a bare page (${whole(other.perS)}) | ${one.slowMs} ms |`
      );
    }
  };
  await row('demo data');
  await addJoints(served, MANY_JOINTS);
  await row(`${MANY_JOINTS} joints more`);
  lines.push(
    '',
    `One client, ${MANY_JOINTS} joints more:`,
    '',
    '| page | queries | middle |',
    '|---|---|---|'
  );
  for (const [name, path] of pages) {
    const { queries, middleMs } = await alone(served, path);
    lines.push(`| ${name} | ${queries} | ${middleMs.toFixed(0)} ms |`);
  }
  return lines;
}

const VISITS = 60;
/** The database tells its counts about once a second. */
const COUNTED_MS = 1500;

/** One visitor after another: what a page takes when nobody else is there, and how many statements it is. */
async function alone(
  { url, headers, database }: Served,
  path: string
): Promise<{ queries: number; middleMs: number }> {
  const visit = async () => (await fetch(url + path, { headers })).text();
  const statements = async (): Promise<number> => {
    await new Promise((resolve) => setTimeout(resolve, COUNTED_MS));
    // whatever is still held back is told with the next statement
    for (let again = 0; again < 3; again++) await visit();
    await new Promise((resolve) => setTimeout(resolve, COUNTED_MS));
    const [row] = await rowsOf<{ count: string }>(
      database,
      'select xact_commit as count from pg_stat_database where datname = current_database()'
    );
    return Number(row?.count);
  };
  const before = await statements();
  const times: number[] = [];
  for (let count = 0; count < VISITS; count++) {
    const from = performance.now();
    await visit();
    times.push(performance.now() - from);
  }
  const counted = (await statements()) - before;
  times.sort((a, b) => a - b);
  return {
    // three visits more and the counting itself
    queries: Math.round(counted / (VISITS + 3)),
    middleMs: times[VISITS >> 1] ?? NaN
  };
}
