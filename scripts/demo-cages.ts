/** The countersink cages of the made-up shop: everything here is invented. */
import { randomUUID } from 'node:crypto';
import type { Unstamped } from '../src/core/events/stream.ts';
import type { Cage } from '../src/core/prepare/cage/cage.ts';
import type { CageMove } from '../src/core/prepare/cage/setting.ts';
import type { CageSetup } from '../src/core/prepare/cage/setup.ts';
import type { NewSetting } from '../src/lib/api/cages.ts';
import type { Database } from '../src/lib/server/db/connect.ts';
import { cageEvents } from '../src/lib/server/events/setting-events.ts';
import { recordMoves, type Sender } from '../src/lib/server/events/record.ts';
import { addCage, beginSetting } from '../src/lib/server/services/cages.ts';
import { cageTaskOf } from '../src/lib/server/services/cage-tasks.ts';
import { must } from './must.ts';

const CAGES: Record<'four' | 'five', Cage> = {
  four: {
    name: 'Cage 1, blue tape',
    cutter: 'cutter 8',
    cutterDeg: 100,
    cutterIn: 0.4375,
    pilotIn: 0.1255,
    pilotLengthIn: 0.27
  },
  five: {
    name: 'Cage 2, red tape',
    cutter: 'cutter 11',
    cutterDeg: 100,
    cutterIn: 0.5,
    pilotIn: 0.1565,
    pilotLengthIn: 0.31
  }
};

const COMMON = {
  seat: 'rivet',
  skinIn: null,
  backingIn: 0.75,
  filmIn: 0,
  filmOn: null,
  thickMeant: false,
  school: 'two-proud',
  targetIn: null,
  recheckEvery: 10
} as const;
const FRAME: CageSetup = {
  ...COMMON,
  dash: 4,
  sheetIn: 0.063,
  material: '2024-T3 clad',
  skinIn: 0.025,
  holeIn: 0.1285,
  couponIn: 0.063,
  couponMaterial: '2024-T3 clad'
};
const ROOT: CageSetup = {
  ...COMMON,
  dash: 5,
  sheetIn: 0.071,
  material: '',
  holeIn: 0.159,
  couponIn: 0.0705,
  couponMaterial: '2024-T3 clad'
};

const DAY_MS = 24 * 3600 * 1000;
const TRIAL_MS = 3 * 60_000;

type Loose = Unstamped<CageMove>;
const reading = (clicks: number, flushnessIn: number): Loose => ({
  kind: 'reading',
  clicks,
  flushnessIn,
  from: 'typed',
  cameUp: false,
  ring: false
});
const recheck = (afterHoles: number, flushnessIn: number): Loose => ({
  kind: 'recheck',
  afterHoles,
  flushnessIn,
  from: 'typed'
});

/** Two cages: one set and re-checked, one set last week and being set again for a joint. */
export async function seedDemoCages(
  database: Database,
  person: Sender,
  flushLapId: string
): Promise<void> {
  const now = Date.now();
  const add = async (cage: Cage): Promise<string> =>
    must(await addCage(database, cage, randomUUID(), person.id));
  const set = async (
    cageId: string,
    setup: CageSetup,
    daysAgo: number,
    moves: Loose[],
    step: NewSetting['step'] = null,
    work = ''
  ): Promise<void> => {
    const begun = now - daysAgo * DAY_MS - moves.length * TRIAL_MS;
    const setting = { id: randomUUID(), setup, step, work };
    const id = must(await beginSetting(database, cageId, setting, person.id, new Date(begun)));
    const sent = moves.map((move, index): CageMove => ({
      ...move,
      id: randomUUID(),
      at: new Date(begun + index * TRIAL_MS).toISOString()
    }));
    must(await recordMoves(database, cageEvents, id, sent, person));
  };

  const four = await add(CAGES.four);
  await set(four, FRAME, 4, [
    reading(6, 0.0114),
    reading(13, 0.0039),
    reading(15, 0.0018),
    reading(15, 0.0014),
    reading(15, 0.0016),
    { kind: 'finished', afterHoles: 0 },
    recheck(10, 0.0015),
    recheck(20, 0.0012)
  ]);
  const five = await add(CAGES.five);
  await set(five, ROOT, 6, [
    reading(12, 0.0119),
    reading(20, 0.0034),
    reading(22, 0.0013),
    reading(22, 0.001),
    reading(22, 0.0012),
    { kind: 'finished', afterHoles: 0 }
  ]);
  const task = await cageTaskOf(database, flushLapId, 'countersink-0-0');
  if (!task) throw new Error('demo data: the flush lap has no countersinking step');
  await set(
    five,
    { ...ROOT, ...task.setup },
    0,
    [reading(14, 0.0098), reading(20, 0.0033)],
    { jointId: flushLapId, key: task.key, rests: task.rests },
    task.work
  );
}
