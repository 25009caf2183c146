import { randomUUID } from 'node:crypto';
import { beforeAll, expect, it } from 'vitest';
import { compare } from '../../scripts/soak/compare.ts';
import { Ledger } from '../../scripts/soak/ledger.ts';
import { placesOf } from '../../scripts/soak/places.ts';
import type { Places } from '../../scripts/soak/writers.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { driveEvents } from '../../src/lib/server/events/drive-events.ts';
import { recordMoves } from '../../src/lib/server/events/record.ts';
import { saveJoint } from '../../src/lib/server/services/joints.ts';
import { useDatabase } from './database.ts';
import { valueOf } from './value-of.ts';

// The soak itself runs in tests/command; here: that its comparison finds what it looks for.
const database = useDatabase('template_demo');
let places: Places;
let person: { id: string; name: string };
let since = new Date();

beforeAll(async () => {
  places = await placesOf(database());
  const found = await database().models.Person.findOne({
    where: { role: 'mechanic' },
    rejectOnEmpty: true
  });
  person = { id: found.id, name: found.name };
  const [clock] = await rowsOf<{ now: Date }>(database(), 'select clock_timestamp() as now');
  since = clock?.now ?? since;
});

const tap = async (): Promise<string> => {
  const id = randomUUID();
  const move = {
    id,
    at: new Date().toISOString(),
    kind: 'driven' as const,
    hole: places.release.holes[0]?.number ?? 0,
    quick: null,
    batch: null,
    hands: null,
    late: ''
  };
  valueOf(await recordMoves(database(), driveEvents, places.release.id, [move], person));
  return id;
};
const acknowledged = (id: string, payload: object = {}) => ({
  what: 'event' as const,
  table: 'drive_events',
  subject: places.release.id,
  id,
  payload: JSON.stringify(payload)
});

it('finds nothing where all that was acknowledged stands there as it was sent', async () => {
  const ledger = new Ledger();
  const id = await tap();
  ledger.sent.add(id);
  ledger.acknowledged.push(acknowledged(id, { hole: places.release.holes[0]?.number }));
  const { id: joint, revision: baseRevision, title, definition } = places.changed;
  ledger.titles.add(`${title} b`);
  const saved = valueOf(
    await saveJoint(database(), joint, { baseRevision, title: `${title} b`, definition }, person.id)
  );
  ledger.acknowledged.push({ what: 'save', joint, revision: saved.revision, title: `${title} b` });
  expect(await compare(database(), ledger, since)).toEqual({
    acknowledged: 2,
    missing: [],
    twice: [],
    kept: []
  });
});

it('names what is missing, what is other than it was sent, and what nobody sent', async () => {
  const ledger = new Ledger();
  const [known, gone, stranger] = [await tap(), randomUUID(), await tap()];
  ledger.sent.add(known).add(gone);
  ledger.acknowledged.push(
    acknowledged(known, { hole: -1 }),
    acknowledged(gone),
    { what: 'save', joint: places.changed.id, revision: 900, title: 'lost' },
    { what: 'release', joint: places.signed.id, revision: 1, number: 44 }
  );
  await rowsOf(database(), 'delete from hole_looks where issue_id = $1', [places.release.id]);
  const { missing, twice, kept } = await compare(database(), ledger, since);
  expect(new Set(missing)).toEqual(
    new Set([`drive_events ${known}`, `drive_events ${gone}`, 'save lost', 'release 44'])
  );
  expect(twice).toContain(`drive_events ${stranger}`);
  // of the first test: its ledger is another
  expect(twice.some((one) => one.startsWith('revision '))).toBe(true);
  expect(kept.some((one) => one.startsWith(`a look at ${places.release.id}`))).toBe(true);
});
