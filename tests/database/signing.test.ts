import { createHash, randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { HoleLook } from '../../src/core/inspect/hole-look.ts';
import type { DriveEvent } from '../../src/core/driving/drive-events.ts';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import type { Release } from '../../src/core/release/release.ts';
import { ReworkMove } from '../../src/core/reworking/rework-moves.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { toldKey } from '../../src/core/signing/told.ts';
import { SealedRecord } from '../../src/core/signing/record.ts';
import { SignMove } from '../../src/core/signing/sign-events.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { holeEvents } from '../../src/lib/server/events/hole-events.ts';
import { eventsOf } from '../../src/lib/server/events/read.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { reworkEvents } from '../../src/lib/server/events/rework-events.ts';
import { signEvents } from '../../src/lib/server/streams/sign-events.ts';
import { brokenParts } from '../../src/lib/server/record/seal.ts';
import { listJoints } from '../../src/lib/server/services/joint-summaries.ts';
import { makeJointFile } from '../../src/lib/server/services/joint-files.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { signingView } from '../../src/lib/server/services/signing.ts';
import { inInches } from '../../src/lib/words/writing.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { pdfText } from './pdf-text.ts';
import { valueOf } from './value-of.ts';
import { whyNot } from '../support/why-not.ts';

const database = useDatabase();
let mechanic: PersonView;
let inspector: PersonView;
let job = '';
const BEGAN = Date.now() - 3 * 3_600_000;
const MINUTE = 60_000;
const stamp = (minutes: number) => ({
  id: randomUUID(),
  at: new Date(BEGAN + minutes * MINUTE).toISOString()
});

beforeAll(async () => {
  mechanic = await addPerson(database(), { name: 'Odile Marn', role: 'mechanic' });
  inspector = await addPerson(database(), { name: 'Berit Solvang', role: 'inspector' });
  await addProfile(database(), DEFAULT_PROFILE);
  job = valueOf(await addJob(database(), { number: '9', title: 't', place: 'p', data: 'sheet 4' }));
});

/** A released lap of dash 4 in 0.050 and 0.063, every rivet driven by the mechanic. */
async function driven(): Promise<{ joint: string; release: Release }> {
  const lap = entered('lap', ['0.050', '0.063'], {
    widthIn: '6',
    dash: 4,
    edgeIn: '0.4',
    perInch: '2',
    perInchReason: 'own data'
  });
  const joint = valueOf(await addJoint(database(), job, 'Lap to sign', lap, mechanic.id));
  valueOf(await releaseJoint(database(), joint, 1, mechanic.id, new Date(BEGAN - MINUTE)));
  const release = await latestRelease(database(), joint);
  if (!release) throw new Error('not released');
  const taps = release.holes.map(({ number: hole }, at) =>
    DriveMove.parse({ ...stamp(at / 10), kind: 'driven', hole, person: mechanic.id })
  );
  valueOf(await recordMoves(database(), driveEvents, release.id, taps, mechanic));
  return { joint, release };
}
const head = (hole: number, minutes: number, more: object = {}) =>
  HoleLook.parse({
    ...stamp(minutes),
    kind: 'checked',
    hole,
    diameterIn: 0.19,
    heightIn: 0.062,
    flags: [],
    clean: ['manufactured', 'shop', 'sheet'],
    ...more
  });
const look = (release: Release, ...looks: HoleLook[]) =>
  recordMoves(database(), holeEvents, release.id, looks, mechanic);
const rework = async (release: Release, minutes: number, move: object) => {
  const made = ReworkMove.parse({ ...stamp(minutes), ...move });
  const outcome = await recordMoves(database(), reworkEvents, release.id, [made], mechanic);
  return { outcome, id: made.id };
};
const sign = async (release: Release, by: PersonView, more: object = {}) => {
  const made = SignMove.parse({
    ...stamp(170),
    kind: 'signed',
    person: by.id,
    entitled: 'stamp 3',
    accepted: [],
    ...more
  });
  return recordMoves(database(), signEvents, release.id, [made], by);
};
/** What the signer was told, ticked off. */
async function toldOf(joint: string): Promise<string[]> {
  const view = valueOf(await signingView(database(), joint, null));
  return (view?.told ?? []).map(toldKey);
}
const listed = async (joint: string) =>
  (await listJoints(database(), inInches, { job })).find(({ id }) => id === joint);

describe('a rivet that is taken out', () => {
  it('is driven and looked at again, as the lists say', async () => {
    const { joint, release } = await driven();
    const [first, second] = release.holes;
    const hole = second?.number ?? 0;
    valueOf(await look(release, head(first?.number ?? 0, 20), head(hole, 21, { heightIn: 0.04 })));
    expect(await listed(joint)).toMatchObject({ inspected: 2, driven: release.holes.length });
    valueOf(
      (await rework(release, 30, { kind: 'out', hole, school: 'under-shank', how: 'plain' }))
        .outcome
    );
    // an empty hole is neither driven nor looked at
    expect(await listed(joint)).toMatchObject({ inspected: 1, driven: release.holes.length - 1 });
    const tap = DriveMove.parse({ ...stamp(31), kind: 'driven', hole });
    expect(await recordMoves(database(), driveEvents, release.id, [tap], mechanic)).toMatchObject({
      ok: false,
      message: expect.stringContaining('Measure the hole in Inspect') as string
    });
    // a look from before, sent late, is of the rivet that is out
    valueOf(await look(release, head(hole, 22)));
    expect((await listed(joint))?.inspected).toBe(1);
    const measured = await rework(release, 35, {
      kind: 'measured',
      hole,
      widestIn: 0.137,
      seen: []
    });
    expect(valueOf(measured.outcome)[0]?.frozen).toMatchObject({
      decision: 'next-size',
      rivet: { dash: 5 }
    });
    const again = DriveMove.parse({ ...stamp(40), kind: 'driven', hole });
    const [event] = valueOf(
      await recordMoves(database(), driveEvents, release.id, [again], mechanic)
    );
    // what was put in is the new size
    expect(event?.frozen.partNumber).toMatch(/^MS20470AD5-/);
    // 0.19 × 0.062 is a good dash 4 head; of dash 5 it is short of metal
    const [judged] = valueOf(await look(release, head(hole, 45)));
    expect(judged?.frozen).toMatchObject({ verdict: 'replace', findings: ['short-of-metal'] });
    const summary = await listed(joint);
    expect(summary).toMatchObject({ inspected: 2, driven: release.holes.length });
    expect(summary?.parts?.map(({ count }) => count).sort()).toEqual(
      [1, release.holes.length - 1].sort()
    );
  });

  it('counts again what was seen when its removal was a mistake', async () => {
    const { joint, release } = await driven();
    const hole = release.holes[0]?.number ?? 0;
    valueOf(await look(release, head(hole, 20)));
    valueOf(
      (await rework(release, 30, { kind: 'out', hole, school: 'under-shank', how: 'plain' }))
        .outcome
    );
    expect((await listed(joint))?.inspected).toBe(0);
    valueOf((await rework(release, 31, { kind: 'still-in', hole })).outcome);
    expect(await listed(joint)).toMatchObject({ inspected: 1, driven: release.holes.length });
  });

  it('is taken out once, however many say so at one moment', async () => {
    const { release } = await driven();
    const hole = release.holes[0]?.number ?? 0;
    const outcomes = await Promise.all(
      Array.from({ length: 6 }, (_, at) =>
        rework(release, 30 + at, { kind: 'out', hole, school: 'under-shank', how: 'plain' })
      )
    );
    expect(outcomes.filter(({ outcome }) => outcome.ok)).toHaveLength(1);
  });
});

describe('a signature', () => {
  const everyHead = (release: Release) =>
    release.holes.map(({ number }, at) => head(number, 60 + at / 10));

  it('waits for every head, answer and reading, and for another hand', async () => {
    const { joint, release } = await driven();
    expect(await sign(release, inspector)).toMatchObject({ ok: false, reason: 'not-possible' });
    valueOf(await look(release, ...everyHead(release)));
    const asked = await rework(release, 80, {
      kind: 'referred',
      hole: 1,
      question: 'Scratch beside it?'
    });
    const told = await toldOf(joint);
    expect(await sign(release, inspector, { accepted: told })).toMatchObject({
      ok: false,
      message: expect.stringContaining('1 thing keeps this release from being signed') as string
    });
    valueOf(
      (
        await rework(release, 85, {
          kind: 'answered',
          referral: asked.id,
          answer: 'polish it out',
          answeredBy: 'engineer',
          authority: 'sheet 4, note 2',
          then: { what: 'nothing' }
        })
      ).outcome
    );
    expect(await sign(release, inspector)).toMatchObject({
      ok: false,
      message: expect.stringContaining('not acknowledged') as string
    });
    expect(await sign(release, mechanic, { accepted: told })).toMatchObject({
      ok: false,
      message: expect.stringContaining('cannot sign it') as string
    });
    // in another's name
    expect(await sign(release, mechanic, { accepted: told, person: inspector.id })).toMatchObject({
      ok: false,
      message: expect.stringContaining('only sign for yourself') as string
    });
    valueOf(await sign(release, inspector, { accepted: told }));
    expect(valueOf(await signingView(database(), joint, null))).toMatchObject({
      must: [],
      signature: { by: 'Berit Solvang', entitled: 'stamp 3' }
    });
    expect(await listed(joint)).toMatchObject({ state: 'signed', signedBy: 'Berit Solvang' });
  });

  it('waits for other eyes than the driver’s, where the shop’s rule asks for them', async () => {
    await addProfile(database(), { ...DEFAULT_PROFILE, version: 2, checking: 'another' });
    const { joint, release } = await driven();
    await addProfile(database(), { ...DEFAULT_PROFILE, version: 3 });
    const [first, second] = release.holes.map(({ number }) => number);
    const own = await look(release, head(first ?? 0, 60, { person: mechanic.id }));
    expect(own).toMatchObject({ ok: false, reason: 'not-possible' });
    expect(own.ok ? '' : own.message).toContain('the driver cannot inspect it');
    // sent by its driver without a name it is the driver’s all the same
    expect(whyNot(await look(release, head(first ?? 0, 60)))).toBe('not-possible');
    expect((await look(release, head(first ?? 0, 61, { person: inspector.id }))).ok).toBe(true);
    // the inspector looked at the second too; a blow of theirs comes in after that
    valueOf(await look(release, head(second ?? 0, 62, { person: inspector.id })));
    const late = DriveMove.parse({
      ...stamp(59),
      kind: 'driven',
      hole: second,
      person: inspector.id
    });
    valueOf(await recordMoves(database(), driveEvents, release.id, [late], inspector));
    const view = valueOf(await signingView(database(), joint, inspector.id));
    expect(view?.must).toContainEqual({ code: 'heads-by-driver', holes: [second] });
  });

  it('closes the release: nothing is added after it, by whatever door', async () => {
    const { joint, release } = await driven();
    valueOf(await look(release, ...everyHead(release)));
    valueOf(await sign(release, inspector, { accepted: await toldOf(joint) }));
    const refusedBy = expect.stringContaining('signed') as string;
    expect(await look(release, head(1, 171))).toMatchObject({ ok: false, message: refusedBy });
    const tap = DriveMove.parse({ ...stamp(172), kind: 'undriven', hole: 1 });
    expect(whyNot(await recordMoves(database(), driveEvents, release.id, [tap], mechanic))).toBe(
      'not-possible'
    );
    const out = { kind: 'out', hole: 1, school: 'under-shank', how: 'plain' };
    expect((await rework(release, 173, out)).outcome).toMatchObject({
      ok: false,
      message: refusedBy
    });
    expect(whyNot(await sign(release, inspector))).toBe('not-possible');
    // behind the program's back
    await expect(
      rowsOf(
        database(),
        `insert into hole_events (id, subject_id, kind, payload, person_id, at)
         values ($1, $2, 'checked', '{"hole": 1}', $3, now())`,
        [randomUUID(), release.id, mechanic.id]
      )
    ).rejects.toThrow('this release is signed');
    await expect(rowsOf(database(), 'delete from signed_records', [])).rejects.toThrow();
  });

  it('knows what it holds when it is sent once more, and takes nothing of it for new', async () => {
    const { joint, release } = await driven();
    const heads = everyHead(release);
    valueOf(await look(release, ...heads));
    const [stored] = await eventsOf(database(), driveEvents, release.id);
    valueOf(await sign(release, inspector, { accepted: await toldOf(joint) }));
    // a device that never heard the answer
    const again = valueOf(await look(release, ...heads));
    expect(again.map(({ frozen }) => frozen.verdict)).toEqual(heads.map(() => 'accept'));
    const { by, frozen, ...tap } = stored as DriveEvent;
    expect(by).not.toBe('');
    expect(frozen.partNumber).not.toBeNull();
    const tapped = await recordMoves(
      database(),
      driveEvents,
      release.id,
      [tap as DriveMove],
      mechanic
    );
    expect(valueOf(tapped)).toHaveLength(1);
    expect(await eventsOf(database(), driveEvents, release.id)).toHaveLength(release.holes.length);
    // another head under the id of a stored one is still none
    const other = { ...(heads[0] as HoleLook), heightIn: 0.06 } as HoleLook;
    expect(whyNot(await look(release, other))).toBe('conflict');
  });

  it('and a look at one moment: the look is in what was signed, or refused', async () => {
    const { joint, release } = await driven();
    valueOf(await look(release, ...everyHead(release)));
    const told = await toldOf(joint);
    const [signed, ...looks] = await Promise.all([
      sign(release, inspector, { accepted: told }),
      ...Array.from({ length: 12 }, (_, at) => look(release, head(1, 100 + at)))
    ]);
    expect(signed?.ok).toBe(true);
    const taken = looks.filter(({ ok }) => ok).length;
    const file = valueOf(await makeJointFile(database(), joint, 'record.json'));
    const { record } = SealedRecord.parse(JSON.parse(String(file.body)));
    expect(record.heads).toHaveLength(release.holes.length + taken);
  });

  it('leaves a record that another reads, and that is held against its seal', async () => {
    const { joint, release } = await driven();
    valueOf(await look(release, ...everyHead(release)));
    valueOf(await sign(release, inspector, { accepted: await toldOf(joint) }));
    const json = String(valueOf(await makeJointFile(database(), joint, 'record.json')).body);
    const { record, seal } = JSON.parse(json) as {
      record: Record<string, unknown>;
      seal: SealedRecord['seal'];
    };
    expect(brokenParts(record, seal)).toEqual([]);
    expect(record['signature']).toMatchObject({ by: 'Berit Solvang', entitled: 'stamp 3' });
    // the canonical form by hand: members sorted, no spaces
    const canonical = (value: unknown): string =>
      Array.isArray(value)
        ? `[${value.map(canonical).join(',')}]`
        : value !== null && typeof value === 'object'
          ? `{${Object.entries(value)
              .sort(([a], [b]) => (a < b ? -1 : 1))
              .map(([key, one]) => `${JSON.stringify(key)}:${canonical(one)}`)
              .join(',')}}`
          : JSON.stringify(value);
    expect(createHash('sha256').update(canonical(record)).digest('hex')).toBe(seal.digest);
    const changed = json.replace(/"diameterIn": 0\.19(?=\s)/, '"diameterIn": 0.18');
    expect(changed).not.toBe(json);
    const other = JSON.parse(changed) as typeof record & { record: Record<string, unknown> };
    expect(brokenParts(other.record, seal)).toEqual(['heads.0']);

    const pdf = valueOf(await makeJointFile(database(), joint, 'record.pdf'));
    const text = await pdfText(Buffer.from(pdf.body));
    expect(text).toContain('SIGNED by Berit Solvang (stamp 3)');
    expect(text).toContain(seal.digest);
    expect(text).toContain('Data: sheet 4');
    // which sheets, how thick and of what, in order from the manufactured heads
    expect(text.replace(/\s+/g, ' ')).toMatch(
      /1\. upper sheet: 0\.05 in, .+ 2\. lower sheet: 0\.063 in, /
    );
    expect(text).not.toContain('See the JSON record');
    // given another name since: what was signed keeps its own, and both are told
    await rowsOf(database(), 'update joints set title = $2 where id = $1 returning id', [
      joint,
      'Lap, as it is called now'
    ]);
    const renamed = valueOf(await makeJointFile(database(), joint, 'record.pdf'));
    const words = (await pdfText(Buffer.from(renamed.body))).replace(/\s+/g, ' ');
    expect(words).toMatch(/On record as “.+”; the joint is called “Lap, as it is called now” now/);
    const again = valueOf(await makeJointFile(database(), joint, 'record.json'));
    expect(String(again.body)).not.toContain('called now');
    expect(text).toContain('Assumptions');
    const csv = String(valueOf(await makeJointFile(database(), joint, 'heads.csv')).body);
    expect(csv.trim().split('\r\n')).toHaveLength(release.holes.length + 1);
  });

  it('waits for every place that the rule asks for, and tells what was voided, in its files too', async () => {
    const { joint, release } = await driven();
    const all = release.holes.map(({ number }) => number);
    const [one = 0, two = 0] = all;
    valueOf(await look(release, ...all.map((hole) => head(hole, 20, { clean: ['shop'] }))));
    const open = async () => valueOf(await signingView(database(), joint, null))?.must ?? [];
    expect(await open()).toEqual([
      { code: 'heads-due', holes: expect.arrayContaining(all) as number[] }
    ]);
    const farSide = all.map((hole) =>
      HoleLook.parse({
        ...stamp(30),
        ...{ kind: 'eyed', hole, flags: [], clean: ['manufactured', 'sheet'] }
      })
    );
    valueOf(await recordMoves(database(), holeEvents, release.id, farSide, inspector));
    expect(await open()).toEqual([]);
    // a look at another head, logged here: it governs until whoever took it says so
    const wrong = head(two, 40, { heightIn: 0.04 });
    valueOf(await look(release, wrong));
    expect(await open()).toEqual([{ code: 'heads-bad', holes: [two] }]);
    const voided = { kind: 'voided-look', hole: two, look: wrong.id, why: 'that was head 1' };
    expect((await rework(release, 50, { ...voided, hole: one })).outcome.ok).toBe(false);
    valueOf((await rework(release, 51, voided)).outcome);
    expect(await open()).toEqual([]);
    const told = valueOf(await signingView(database(), joint, null))?.told ?? [];
    expect(told).toContainEqual({ code: 'looks-voided', holes: [two] });
    const csv = String(valueOf(await makeJointFile(database(), joint, 'heads.csv')).body);
    const lines = csv.trim().split('\r\n');
    expect(lines[0]?.endsWith(',at,clean,voided,sent_by')).toBe(true);
    expect(lines.filter((line) => line.endsWith(',that was head 1,'))).toHaveLength(1);
    // the far side is no verdict of the head
    expect(lines.filter((line) => line.includes('manufactured head; sheet'))).toHaveLength(
      all.length
    );
    const pdf = valueOf(await makeJointFile(database(), joint, 'record.pdf'));
    expect(await pdfText(Buffer.from(pdf.body))).toContain('voided: that was head 1');
    // codes stay, and beside each stand the words that every other file has for it
    const [head1 = ''] = lines.slice(1);
    expect(lines[0]).toContain(',verdict,verdict_in_words,findings,finding_codes,');
    expect(head1).toContain(',accept,accepted,,,');
  });

  it('is said to be missing on a record that nobody has signed', async () => {
    const { joint } = await driven();
    const pdf = valueOf(await makeJointFile(database(), joint, 'record.pdf'));
    expect(await pdfText(Buffer.from(pdf.body))).toContain('NOT SIGNED');
  });
});
