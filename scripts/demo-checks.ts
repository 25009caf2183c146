/** Heads, rework, questions and a signature of the made-up shop: everything here is invented. */
import { randomUUID } from 'node:crypto';
import { rivetSize } from '../src/core/catalog/rivets.ts';
import { Place, type SeenFlag } from '../src/core/inspect/findings.ts';
import type { CheckedHead } from '../src/core/inspect/hole-look.ts';
import type { DriveMove } from '../src/core/driving/drive-move.ts';
import { predictedHeadIn3, type Release, type ReleasedHole } from '../src/core/release/release.ts';
import type { ReworkMove } from '../src/core/reworking/rework-moves.ts';
import { toldKey } from '../src/core/signing/told.ts';
import type { SignMove } from '../src/core/signing/sign-events.ts';
import type { Unstamped } from '../src/core/events/stream.ts';
import type { Database } from '../src/lib/server/db/connect.ts';
import { driveEvents } from '../src/lib/server/events/drive-events.ts';
import { holeEvents } from '../src/lib/server/events/hole-events.ts';
import { recordMoves, type Sender } from '../src/lib/server/events/record.ts';
import { reworkEvents } from '../src/lib/server/events/rework-events.ts';
import { signEvents } from '../src/lib/server/streams/sign-events.ts';
import { releaseJoint } from '../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../src/lib/server/services/releases.ts';
import { matterOf } from '../src/lib/server/services/records.ts';
import { must } from './must.ts';
import { plainTap } from './plain-tap.ts';

/** Who does what in the shop. */
interface Crew {
  mechanic: Sender;
  apprentice: Sender;
  inspector: Sender;
}

const MINUTE_MS = 60_000;
/** An ordinary head holds this much of the predicted metal. */
const ORDINARY = 0.93;

async function released(
  database: Database,
  jointId: string,
  by: Sender,
  atMs: number
): Promise<Release> {
  must(await releaseJoint(database, jointId, 1, by.id, new Date(atMs)));
  const release = await latestRelease(database, jointId);
  if (!release) throw new Error('demo data: the release just made is not there');
  return release;
}

const stamp = (atMs: number) => ({ id: randomUUID(), at: new Date(atMs).toISOString() });

/** A head so high, and as wide as the metal there is makes it. */
function headOf(
  release: Release,
  hole: ReleasedHole,
  highD: number,
  share: number,
  flags: SeenFlag[] = []
): Unstamped<CheckedHead> {
  const D = rivetSize(hole.dash).diameterIn;
  const heightIn = highD * D;
  const volumeIn3 = share * (predictedHeadIn3(release.facts, hole) ?? 0);
  const wideIn = Math.sqrt((4 * volumeIn3) / (Math.PI * heightIn));
  const rounded = (valueIn: number) => Math.round(valueIn * 1000) / 1000;
  return {
    kind: 'checked',
    hole: hole.number,
    diameterIn: rounded(wideIn),
    heightIn: rounded(heightIn),
    flags,
    ...(flags.length === 0 ? { clean: [...Place.options] } : {})
  };
}

/** A bag of rivets opened. */
const bag = (part: string, lot: string, atMs: number): DriveMove => ({
  ...stamp(atMs),
  kind: 'loaded',
  part,
  lot
});

const tap = (hole: number, atMs: number): DriveMove => ({ ...stamp(atMs), ...plainTap(hole) });

/** A strip that is being checked: most heads good, one of each kind of bad one, rivets replaced, questions put. */
export async function seedDemoChecks(
  database: Database,
  { mechanic, apprentice }: Crew,
  jointId: string
): Promise<void> {
  const began = Date.now() - 240 * MINUTE_MS;
  const release = await released(database, jointId, mechanic, began - 30 * MINUTE_MS);
  await recordMoves(
    database,
    driveEvents,
    release.id,
    [
      bag(release.facts.partNumber, 'K-2207', began - 60_000),
      ...release.holes.map(({ number }, at) => tap(number, began + at * 30_000))
    ],
    apprentice
  ).then(must);
  const LOOKS: [number, number, SeenFlag[]][] = [
    [0.6, ORDINARY, []],
    [0.61, 0.95, []],
    [0.59, 0.92, []],
    [0.98, 0.9, []],
    [0.33, 0.94, []],
    [0.6, 0.93, ['tilted']],
    [0.44, 0.52, []],
    [0.6, 0.94, []],
    [0.62, 0.91, ['bar-dent']],
    [0.6, 0.92, ['ring-mark']]
  ];
  const looked = began + 60 * MINUTE_MS;
  const looks = release.holes.slice(0, LOOKS.length).map((hole, at) => {
    const [highD, share, flags] = LOOKS[at] ?? [0.6, ORDINARY, []];
    return { ...headOf(release, hole, highD, share, flags), ...stamp(looked + at * 40_000) };
  });
  must(await recordMoves(database, holeEvents, release.id, looks, mechanic));

  const hole = (at: number) => release.holes[at]?.number ?? 0;
  const rework = async (minutes: number, move: Unstamped<ReworkMove>): Promise<string> => {
    const stamped = { ...move, ...stamp(looked + minutes * MINUTE_MS) } as ReworkMove;
    must(await recordMoves(database, reworkEvents, release.id, [stamped], mechanic));
    return stamped.id;
  };
  // the one driven too far: out, its hole as it was, another in, and good
  await rework(20, { kind: 'out', hole: hole(4), school: 'under-shank', how: 'plain', note: '' });
  const holeIn = release.facts.stacks[release.holes[4]?.stack ?? 0]?.holeIn ?? release.facts.holeIn;
  await rework(24, {
    kind: 'measured',
    hole: hole(4),
    widestIn: holeIn + 0.001,
    tooDeepIn: null,
    seen: []
  });
  must(
    await recordMoves(
      database,
      driveEvents,
      release.id,
      [tap(hole(4), looked + 30 * MINUTE_MS)],
      apprentice
    )
  );
  const again = release.holes[4];
  if (again)
    must(
      await recordMoves(
        database,
        holeEvents,
        release.id,
        [{ ...headOf(release, again, 0.6, 0.92), ...stamp(looked + 33 * MINUTE_MS) }],
        mechanic
      )
    );
  // the one whose metal went elsewhere: out, and its hole has grown
  await rework(36, {
    kind: 'out',
    hole: hole(6),
    school: 'hole-drill',
    how: 'swelled',
    note: 'the sheets stood apart there'
  });
  const dent = await rework(40, {
    kind: 'referred',
    hole: hole(8),
    question: 'Bar dent 0.004 in deep, 3/8 in from the rivet, float side. May it be blended?'
  });
  await rework(90, {
    kind: 'answered',
    referral: dent,
    answer: 'Blend to 0.005 in at the most over 3/4 in, look for cracks with dye; the rivet stays.',
    answeredBy: 'engineer on call',
    authority: 'shop repair sheet QR-33, note 7',
    then: { what: 'leave' }
  });
  await rework(100, {
    kind: 'referred',
    hole: hole(9),
    question: 'Ring mark half way round, a fingernail catches. Blend, or cut out the strip?'
  });
}

/** A member that is driven, looked at head by head, and signed by somebody who drove none of it. */
export async function seedDemoSigned(
  database: Database,
  { mechanic, apprentice, inspector }: Crew,
  jointId: string
): Promise<void> {
  const began = Date.now() - 26 * 60 * MINUTE_MS;
  const release = await released(database, jointId, mechanic, began - 45 * MINUTE_MS);
  const driven = release.holes.map(({ number }, at) => tap(number, began + at * 35_000));
  must(await recordMoves(database, driveEvents, release.id, driven, apprentice));
  // one measures, another looks from the far side: what they saw adds up
  const looks = release.holes.map((hole, at) => ({
    ...headOf(release, hole, 0.6 + 0.01 * (at % 3), ORDINARY - 0.01 * (at % 2)),
    clean: ['shop' as const],
    ...stamp(began + 60 * MINUTE_MS + at * 30_000)
  }));
  must(await recordMoves(database, holeEvents, release.id, looks, mechanic));
  const farSide = release.holes.map(({ number: hole }) => ({
    kind: 'eyed' as const,
    hole,
    flags: [],
    clean: ['manufactured' as const, 'sheet' as const],
    ...stamp(began + 110 * MINUTE_MS)
  }));
  must(await recordMoves(database, holeEvents, release.id, farSide, inspector));
  const { missing } = must(await matterOf(database, release.id));
  const signature: SignMove = {
    ...stamp(began + 120 * MINUTE_MS),
    kind: 'signed',
    person: inspector.id,
    entitled: 'inspector, stamp 7',
    accepted: missing.told.map(toldKey)
  };
  must(await recordMoves(database, signEvents, release.id, [signature], inspector));
}
