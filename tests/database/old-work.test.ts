import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { OldWorkMove } from '../../src/core/old-work/old-work-stream.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { SealedRecord } from '../../src/core/signing/record.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { oldWorkEvents } from '../../src/lib/server/events/old-work-events.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { releaseJoint } from '../../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { addJob } from '../../src/lib/server/services/jobs.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { addPerson, type PersonView } from '../../src/lib/server/services/people.ts';
import { addProfile } from '../../src/lib/server/services/profiles.ts';
import { recordFileOf } from '../../src/lib/server/services/record-files.ts';
import { signingView } from '../../src/lib/server/services/signing.ts';
import { inInches } from '../../src/lib/words/writing.ts';
import { entered } from '../support/joints.ts';
import { useDatabase } from './database.ts';
import { pdfText } from './pdf-text.ts';
import { LONG_AGO } from './record.ts';
import { valueOf } from './value-of.ts';

const database = useDatabase();
let inspector: PersonView;
let joint = '';
const AT = '2026-03-04T10:00:00Z';

beforeAll(async () => {
  inspector = await addPerson(database(), { name: 'Berit Solvang', role: 'inspector' });
  await addProfile(database(), DEFAULT_PROFILE);
  const job = valueOf(
    await addJob(database(), { number: '9', title: 't', place: 'p', data: 'sheet 4' })
  );
  const lap = entered('lap', ['0.050', '0.063'], {
    widthIn: '6',
    dash: 4,
    edgeIn: '0.4',
    perInch: '2',
    perInchReason: 'test'
  });
  joint = valueOf(await addJoint(database(), job, 'Lap', lap, inspector.id));
});

const record = async (move: object, id = randomUUID()) => {
  const moves = [OldWorkMove.parse({ id, at: AT, ...move })];
  const outcome = await recordMoves(database(), oldWorkEvents, joint, moves, inspector);
  return { id, outcome };
};

describe('old work', () => {
  it('is logged without a release, told at signing, on record as found in service, and blames no driver', async () => {
    const { id: finding, outcome } = await record({
      kind: 'found',
      sign: 'smoking',
      where: 'old row, hole 5',
      hours: 4120
    });
    valueOf(outcome);
    const around = ['neighbors', 'structure-behind', 'oval-holes'] as const;
    for (const what of around)
      valueOf((await record({ kind: 'looked-around', finding, what })).outcome);
    const leave = { kind: 'disposed', finding, disposition: 'leave' };
    expect((await record(leave)).outcome).toMatchObject({ ok: false, reason: 'not-possible' });
    valueOf((await record({ ...leave, disposition: 'replace' })).outcome);

    valueOf(await releaseJoint(database(), joint, 1, inspector.id, LONG_AGO));
    const release = await latestRelease(database(), joint);
    const view = valueOf(await signingView(database(), joint, null));
    // the cause is still to be looked for
    expect(view?.told).toContainEqual({ code: 'old-work', findings: 1, open: 1 });
    const paper = { unit: 'in', paper: 'a4' } as never;
    const file = async (name: 'record.pdf' | 'record.json') =>
      valueOf(await recordFileOf(database(), joint, name, 'r', paper, inInches)).body;
    const pdf = (await pdfText((await file('record.pdf')) as never)).replace(/\s+/g, ' ');
    expect(pdf).toContain(
      'Found in service at old row, hole 5, 2026-03-04 10:00 UTC, by Berit Solvang, 4120 h'
    );
    expect(pdf).toContain('Disposition, Berit Solvang, 2026-03-04 10:00 UTC: replace');
    const json = SealedRecord.parse(JSON.parse(String(await file('record.json'))));
    expect(json.record.oldWork).toHaveLength(5);
    // no look at a head, no verdict, no finding of anybody's driving
    expect(json.record.heads).toEqual([]);
    expect(
      await rowsOf(database(), 'select 1 from hole_looks where issue_id = $1', [release?.id])
    ).toEqual([]);
  });

  it('may not be changed, and its rows are noted', async () => {
    await expect(rowsOf(database(), 'delete from old_work_events', [])).rejects.toThrow();
    const [noted] = await rowsOf<{ rows: number }>(
      database(),
      `select count(*)::integer as rows from audit_rows where source = 'old_work_events'`,
      []
    );
    expect(noted?.rows).toBeGreaterThanOrEqual(5);
  });
});
