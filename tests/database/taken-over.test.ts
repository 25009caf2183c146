import { beforeAll, describe, expect, it } from 'vitest';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { reworkEvents } from '../../src/lib/server/events/rework-events.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { holeEvents } from '../../src/lib/server/events/hole-events.ts';
import { eventsOf } from '../../src/lib/server/events/read.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { randomUUID } from 'node:crypto';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import { HoleLook } from '../../src/core/inspect/hole-look.ts';
import { ReworkMove } from '../../src/core/reworking/rework-moves.ts';
import type { Release } from '../../src/core/release/release.ts';
import { findRivets } from '../../src/lib/server/services/find-rivets.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { makeJointFile } from '../../src/lib/server/services/joint-files.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint, saveJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { matterOf } from '../../src/lib/server/services/records.ts';
import { sinceOfRelease } from '../../src/lib/server/services/open-release.ts';
import { entered } from '../support/joints.ts';
import { pdfText } from './pdf-text.ts';
import { useDatabase } from './database.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
let mechanic: PersonView;
let joint = '';
let first: Release;
const BEGAN = Date.now() - 4 * 3_600_000;
const stamp = (minutes: number) => ({
  id: randomUUID(),
  at: new Date(BEGAN + minutes * 60_000).toISOString(),
  person: mechanic.id
});
const LAP = entered('lap', ['0.050', '0.063'], {
  widthIn: '8',
  dash: 4,
  edgeIn: '0.4',
  perInch: '2',
  perInchReason: 'own data'
});
const newest = async (): Promise<Release> => {
  const release = await latestRelease(database(), joint);
  if (!release) throw new Error('not released');
  return release;
};
const looked = (hole: number, minutes: number) =>
  HoleLook.parse({
    ...stamp(minutes),
    kind: 'checked',
    hole,
    diameterIn: 0.19,
    heightIn: 0.062,
    flags: [],
    clean: ['manufactured', 'shop', 'sheet']
  });

beforeAll(async () => {
  mechanic = await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' });
  await addProfile(database(), DEFAULT_PROFILE);
  const job = valueOf(
    await addJob(database(), { number: '9', title: 't', place: 'p', data: 'sheet 4' })
  );
  joint = valueOf(await addJoint(database(), job, 'Lap released anew', LAP, mechanic.id));
  valueOf(await releaseJoint(database(), joint, 1, mechanic.id, new Date(BEGAN - 60_000)));
  first = await newest();
  const taps = first.holes.map(({ number: hole }, at) =>
    DriveMove.parse({ ...stamp(at / 10), kind: 'driven', hole })
  );
  valueOf(await recordMoves(database(), driveEvents, first.id, taps, mechanic));
  const looks = first.holes.slice(1).map(({ number }, at) => looked(number, 10 + at));
  valueOf(await recordMoves(database(), holeEvents, first.id, looks, mechanic));
});

describe('a joint released anew', () => {
  it('waits for the answer to a question that is open', async () => {
    const question = ReworkMove.parse({
      ...stamp(40),
      kind: 'referred',
      hole: null,
      question: 'May the lap be widened?'
    });
    valueOf(await recordMoves(database(), reworkEvents, first.id, [question], mechanic));
    const changed = { ...LAP, perInchReason: 'own data, sheet 5' };
    const saved = await saveJoint(
      database(),
      joint,
      { definition: changed, baseRevision: 1, title: 'Lap released anew' },
      mechanic.id
    );
    expect(saved).toMatchObject({ ok: true, value: { saved: true, revision: 2 } });
    const refusal = await releaseJoint(database(), joint, 2, mechanic.id);
    expect(refusal).toMatchObject({ ok: false, reason: 'not-possible' });
    const answer = ReworkMove.parse({
      ...stamp(45),
      kind: 'answered',
      referral: question.id,
      answer: 'no',
      answeredBy: 'data holder',
      authority: 'letter 7',
      then: { what: 'nothing' }
    });
    valueOf(await recordMoves(database(), reworkEvents, first.id, [answer], mechanic));
  });

  it('takes over what stays, as it was logged, and looks the same in every list', async () => {
    valueOf(await releaseJoint(database(), joint, 2, mechanic.id, new Date(BEGAN + 50 * 60_000)));
    const second = await newest();
    expect(second.number).toBe(2);
    const since = await sinceOfRelease(database(), second.id);
    expect(since?.carried).toHaveLength(first.holes.length);
    expect(since?.again).toEqual([
      {
        hole: first.holes[0]?.number,
        was: first.holes[0]?.number,
        why: 'not-looked-at',
        inIt: true
      }
    ]);
    const heads = await eventsOf(database(), holeEvents, second.id);
    expect(heads.map(({ hole, by, carried }) => [hole, by, carried?.release])).toEqual(
      first.holes.slice(1).map(({ number }) => [number, 'Odile Marn', 1])
    );
    const { missing, record } = valueOf(await matterOf(database(), second.id));
    expect(missing.must).toEqual([{ code: 'heads-due', holes: [first.holes[0]?.number] }]);
    expect(missing.told.map(({ code }) => code)).toContain('taken-over');
    expect(record.release.since?.release).toBe(1);
    // each rivet is on record once
    const { count } = await findRivets(database(), { joint: 'anew' });
    expect(count).toBe(first.holes.length);
  });

  it('lets nobody else say that something was taken over', async () => {
    const { id } = await newest();
    const carried = { issue: first.id, release: 1, hole: 1 };
    expect(
      await recordMoves(database(), holeEvents, id, [{ ...looked(1, 60), carried }], mechanic)
    ).toMatchObject({ ok: false, reason: 'not-possible' });
    const tap = DriveMove.parse({ ...stamp(61), kind: 'driven', hole: 1, carried });
    expect(await recordMoves(database(), driveEvents, id, [tap], mechanic)).toMatchObject({
      ok: false,
      reason: 'not-possible'
    });
  });

  it('draws a replaced rivet’s hole as it is, in every file, and drills nothing there', async () => {
    const { id, holes } = await newest();
    const hole = holes[2]?.number ?? 0;
    const moves = [
      { ...stamp(70), kind: 'out', hole, school: 'under-shank', how: 'plain' },
      { ...stamp(71), kind: 'measured', hole, widestIn: 0.148, seen: [] }
    ].map((move) => ReworkMove.parse(move));
    valueOf(await recordMoves(database(), reworkEvents, id, moves, mechanic));
    const body = async (file: 'pattern.svg' | 'marks.csv' | 'driving.pdf') =>
      valueOf(await makeJointFile(database(), joint, file)).body;
    const svg = String(await body('pattern.svg'));
    expect(svg).toMatch(/id="REPLACED".*<circle/);
    expect(svg).toContain(`1 reworked (${hole}), drill nothing there: MS20470AD5-`);
    const row = String(await body('marks.csv'))
      .split('\r\n')
      .find((line) => line.startsWith(`${hole},`));
    expect(row).toMatch(/,reworked,.*MS20470AD5-[\d.]+,,0\.159,/);
    expect(pdfText(await body('driving.pdf'))).toMatch(/\b1 × MS20470AD5-/);
  });

  it('takes nothing more into the release before: what comes late is sent to the newest', async () => {
    const hole = first.holes[1]?.number ?? 0;
    const late = await recordMoves(database(), holeEvents, first.id, [looked(hole, 90)], mechanic);
    expect(late).toMatchObject({ ok: false, reason: 'not-possible' });
    expect(late.ok ? '' : late.message).toMatch(/release \d+ has taken its place: reload the page/);
    const tap = DriveMove.parse({ ...stamp(91), kind: 'driven', hole });
    expect(whyNot(await recordMoves(database(), driveEvents, first.id, [tap], mechanic))).toBe(
      'not-possible'
    );
    // a repeat of what was stored before is answered as it was stored
    const [stored] = await eventsOf(database(), holeEvents, first.id);
    if (!stored) throw new Error('nothing was inspected');
    const again = Object.fromEntries(
      Object.entries(stored).filter(([name]) => name !== 'by' && name !== 'frozen')
    );
    const repeated = await recordMoves(
      database(),
      holeEvents,
      first.id,
      [HoleLook.parse(again)],
      mechanic
    );
    expect(repeated.ok).toBe(true);
  });
});
