import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { jointFile } from '../../src/core/exchange/joint-file.ts';
import type { Database } from '../../src/lib/server/db/connect.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { shopFigures } from '../../src/lib/server/services/ready.ts';
import { ACCESS_POLICY, STREAM_ASKS } from '../../src/lib/server/people/access-policy.ts';
import type { EnteredJoint } from '../../src/core/kinds/joint.ts';
import type { RuleProfile } from '../../src/core/rules/profile.ts';
import { JOINT_FILES } from '../../src/lib/joint-files.ts';

export const CALCULATIONS = '/api/calc/[op]';

/** A good request that wrong ones are made from. */
export interface Seed {
  /** its door, as the list of doors names it */
  door: string;
  method: 'GET' | 'POST' | 'PUT';
  path: string;
  body: { kind: 'json'; value: unknown } | { kind: 'form'; fields: Record<string, string> } | null;
}

type Ids = Record<string, readonly string[]>;

const idsOf = async (database: Database, sql: string): Promise<string[]> =>
  (await rowsOf<{ id: string }>(database, sql)).map(({ id }) => id);

/** What stands for each parameter of an address. */
async function parameters(database: Database): Promise<Ids> {
  const releases = await idsOf(database, 'select id from joint_issues');
  return {
    job: await idsOf(database, 'select id from jobs'),
    joint: await idsOf(database, 'select id from joints'),
    release: releases,
    cage: await idsOf(database, 'select id from cages'),
    setting: await idsOf(
      database,
      'select id from cage_settings union all select id from tool_settings'
    ),
    coupon: [...(await idsOf(database, 'select id from graded_coupons')), randomUUID()],
    hole: ['1', '2', '999999', '-1', '1.5'],
    station: ['size', 'layout', 'stack-up', 'prepare', 'drive', 'inspect', 'sign'],
    file: [...JOINT_FILES, 'plate.dxf', 'plate.pdf', 'none'],
    op: Object.keys(casesByOp()),
    stream: Object.keys(STREAM_ASKS)
  };
}

interface Case {
  input: unknown;
}
let cases: Record<string, unknown[]> | null = null;
/** Inputs of the worked cases, by calculation. */
function casesByOp(): Record<string, unknown[]> {
  cases ??= Object.fromEntries(
    readdirSync('tests/cases').map((name) => {
      const read = JSON.parse(readFileSync(`tests/cases/${name}`, 'utf8')) as
        { cases?: Case[] } | Case[];
      const all = Array.isArray(read) ? read : (read.cases ?? []);
      return [name.replace('.json', ''), all.map(({ input }) => input)];
    })
  );
  return cases;
}

const STREAM_TABLES: Record<string, string> = {
  hole: 'hole_events',
  drive: 'drive_events',
  step: 'step_events',
  stock: 'stock_events',
  cage: 'cage_events',
  tool: 'tool_setting_events',
  cold: 'cold_events',
  rework: 'rework_events',
  'old-work': 'old_work_events',
  sign: 'sign_events'
};
const AT = new Date().toISOString();

/** A coupon of two places, half graded. */
const COUPON = {
  name: 'Coupon 3',
  student: 'Benn',
  head: 'universal',
  dash: 4,
  places: 2,
  criteria: [
    {
      key: 'height',
      expected: '0.062',
      limit: '0.006',
      points: '10',
      readings: [
        { student: '0.061; 0.063', instructor: '0.062' },
        { student: '1.6 mm', instructor: '' }
      ]
    }
  ],
  agreeWithin: '0.002',
  measuringPoints: '5'
};

/** Moves as they were sent once, of every stream. */
async function eventSeeds(database: Database): Promise<Seed[]> {
  const seeds: Seed[] = [];
  for (const [stream, table] of Object.entries(STREAM_TABLES)) {
    const rows = await rowsOf<{
      kind: string;
      subject_id: string;
      payload: object;
      person_id: string;
    }>(
      database,
      `select distinct on (kind) kind, subject_id, payload, person_id from ${table} order by kind, seq`
    );
    for (const { kind, subject_id, payload, person_id: person } of rows)
      seeds.push({
        door: '/api/events/[stream]/[[subject=id]]',
        method: 'POST',
        path: `/api/events/${stream}/${subject_id}`,
        body: {
          kind: 'json',
          value: [
            { id: randomUUID(), at: AT, kind, ...(stream === 'sign' ? { person } : {}), ...payload }
          ]
        }
      });
  }
  return seeds;
}

/** Bodies of the requests that are no events. */
async function documentSeeds(database: Database, ids: Ids): Promise<Seed[]> {
  const joints = await rowsOf<{ id: string; title: string; revision: number; definition: unknown }>(
    database,
    'select id, title, revision, definition from joints'
  );
  const one = async (sql: string): Promise<Record<string, unknown>> =>
    (await rowsOf<Record<string, unknown>>(database, sql))[0] ?? {};
  const profile = await one('select id, rules from rule_profiles limit 1');
  const cage = await one('select name, cutter, cage from cages limit 1');
  const setting = await one(
    'select cage_id, joint_id, step, setup from cage_settings order by joint_id limit 1'
  );
  const tool = await one(
    'select joint_id, run, setup from tool_settings order by joint_id limit 1'
  );
  const bin = await one('select id from stock_bins limit 1');
  const { tools, plates, ...figures } = await shopFigures(database);
  const json = (door: string, method: 'POST' | 'PUT', path: string, value: unknown): Seed => ({
    door,
    method,
    path,
    body: { kind: 'json', value }
  });
  const [joint = '', release = '', cageId = ''] = [
    ids['joint']?.[0],
    ids['release']?.[0],
    ids['cage']?.[0]
  ];
  return [
    ...joints.flatMap(({ id, title, revision, definition }) => [
      json('/api/joints/[joint=id]', 'PUT', `/api/joints/${id}`, {
        baseRevision: revision,
        title,
        definition
      }),
      json('/api/joints/[joint=id]/issues', 'POST', `/api/joints/${id}/issues`, { revision })
    ]),
    json('/api/joints/[joint=id]/rules', 'PUT', `/api/joints/${joint}/rules`, {
      profileId: profile['id'],
      baseRevision: 1
    }),
    json('/api/profiles', 'POST', '/api/profiles', { rules: profile['rules'], note: 'tried' }),
    json('/api/cages', 'POST', '/api/cages', { id: randomUUID(), cage: cage['cage'] }),
    json('/api/cages/[cage=id]/settings', 'POST', `/api/cages/${cageId}/settings`, {
      id: randomUUID(),
      step: { jointId: setting['joint_id'], key: setting['step'], rests: '' },
      setup: setting['setup'],
      work: ''
    }),
    json('/api/tool-settings', 'POST', '/api/tool-settings', {
      id: randomUUID(),
      setup: tool['setup'],
      run: { jointId: tool['joint_id'], key: tool['run'] },
      work: ''
    }),
    json('/api/cold', 'POST', '/api/cold', {
      id: randomUUID(),
      binId: bin['id'],
      jobId: ids['job']?.[0] ?? '',
      count: 3
    }),
    json('/api/shop', 'PUT', '/api/shop', { was: figures, now: figures }),
    json('/api/shop/tools', 'PUT', '/api/shop/tools', { was: tools, now: tools }),
    json('/api/shop/plates', 'PUT', '/api/shop/plates', { was: plates, now: plates }),
    json('/api/grading/[coupon=id]', 'PUT', `/api/grading/${randomUUID()}`, {
      revision: 0,
      coupon: COUPON
    }),
    json('/api/live/[release=id]', 'POST', `/api/live/${release}`, {
      device: randomUUID(),
      role: 'gun',
      call: 'go',
      hole: 1,
      turn: 1
    }),
    json('/api/devices/caliper/[release=id]', 'POST', `/api/devices/caliper/${release}`, {
      lines: ['D 0.188']
    }),
    json('/api/devices/depth-gauge/[cage=id]', 'POST', `/api/devices/depth-gauge/${cageId}`, {
      lines: ['READ']
    }),
    json('/api/devices/camera/[release=id]', 'POST', `/api/devices/camera/${release}`, {
      indexIn: 1,
      row: 1
    })
  ];
}

/** Forms of the pages, filled in well; a joint file as its text. */
async function formSeeds(database: Database, ids: Ids): Promise<Seed[]> {
  const form = (door: string, path: string, fields: Record<string, string>): Seed => ({
    door,
    method: 'POST',
    path,
    body: { kind: 'form', fields }
  });
  const [person = ''] = await idsOf(database, `select id from people where role = 'trainee'`);
  const [joint] = await rowsOf<{ title: string; definition: EnteredJoint; rules: RuleProfile }>(
    database,
    'select title, definition, rules from joints j join rule_profiles r on r.id = j.profile_id limit 1'
  );
  const job = ids['job']?.[0] ?? '';
  const at = `/jobs/${job}`;
  return [
    form('/', '/?/open', { number: '0001', title: 'tried', place: 'hull', data: 'sheet 1' }),
    form('/', '/?/practice', {}),
    form('/jobs/[job=id]', `${at}?/make`, { title: 'tried', kind: 'lap' }),
    form('/jobs/[job=id]', `${at}?/move`, { joint: ids['joint']?.[0] ?? '', job }),
    form('/jobs/[job=id]', `${at}?/fromFile`, {
      file: joint ? JSON.stringify(jointFile(joint.title, joint.definition, joint.rules)) : ''
    }),
    form('/who', '/who?/password', { login: 'tried', password: 'tried' }),
    form('/who', '/who?/pin', { person, pin: '1234' }),
    form('/who', '/who?/demo', { person }),
    form('/who/code', '/who/code', { login: 'x', code: 'ABCD-EFGH', password: 'long enough 1' }),
    form('/who/out', '/who/out', {}),
    form('/account', '/account?/password', { now: 'x', password: 'long enough 2' }),
    form('/account', '/account?/pin', { now: 'x', pin: '1234' }),
    form('/account', '/account?/everywhere', {}),
    form('/people', '/people?/enter', { name: 'Tried', login: 'tried', role: 'trainee' }),
    form('/people', '/people?/code', { person }),
    form('/people', '/people?/role', { person, role: 'trainee' }),
    form('/people', '/people?/presence', { person, active: 'true' }),
    form('/people', '/people?/trust', { name: 'Bench 9' }),
    form('/people', '/people?/end', { bench: randomUUID() })
  ];
}

/** Every address that is read, with each of its parameters' values. */
function readSeeds(ids: Ids): Seed[] {
  return Object.entries(ACCESS_POLICY).flatMap(([door, methods]) => {
    if (!methods.GET) return [];
    const names = [...door.matchAll(/\[+(\w+)(?:=\w+)?\]+/g)].map(([, name]) => name ?? '');
    const most = Math.max(1, ...names.map((name) => Math.min(12, ids[name]?.length ?? 1)));
    return Array.from({ length: most }, (_, at): Seed => {
      const path = door.replace(/\[+(\w+)(?:=\w+)?\]+/g, (__, name: string) => {
        const values = ids[name === 'subject' ? 'release' : name] ?? ['1'];
        return values[at % values.length] ?? '1';
      });
      return { door, method: 'GET', path, body: null };
    });
  });
}

/** Good requests at every door there is. */
export async function corpusOf(database: Database): Promise<Seed[]> {
  const ids = await parameters(database);
  const calculations = Object.entries(casesByOp()).flatMap(([op, inputs]) =>
    inputs.map((value): Seed => ({
      door: CALCULATIONS,
      method: 'POST',
      path: `/api/calc/${op}`,
      body: { kind: 'json', value }
    }))
  );
  return [
    ...calculations,
    ...(await eventSeeds(database)),
    ...(await documentSeeds(database, ids)),
    ...(await formSeeds(database, ids)),
    ...readSeeds(ids),
    {
      door: '/bare/insert',
      method: 'POST',
      path: '/bare/insert',
      body: { kind: 'json', value: { id: randomUUID(), payload: {} } }
    }
  ];
}

/** Doors that no seed goes through. */
export const doorsMissed = (corpus: readonly Seed[]): string[] => {
  const visited = new Set(corpus.map(({ door, method }) => `${method} ${door}`));
  return Object.entries(ACCESS_POLICY)
    .flatMap(([door, methods]) => Object.keys(methods).map((method) => `${method} ${door}`))
    .filter((door) => !visited.has(door));
};
