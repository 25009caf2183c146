/** The made-up shop that a new installation starts with: everything here is invented. */
import { randomUUID } from 'node:crypto';
import type { EnteredOf } from '../src/core/kinds/joint.ts';
import { newJoint } from '../src/core/kinds/new-joint.ts';
import { newSheet } from '../src/core/joint/sheets.ts';
import { DEFAULT_PROFILE } from '../src/core/rules/profile.ts';
import type { StockMove } from '../src/core/stock/stock.ts';
import type { DriveMove } from '../src/core/driving/drive-move.ts';
import type { CheckedHead } from '../src/core/inspect/hole-look.ts';
import { Place, type SeenFlag } from '../src/core/inspect/findings.ts';
import type { Database } from '../src/lib/server/db/connect.ts';
import { driveEvents } from '../src/lib/server/events/drive-events.ts';
import { holeEvents } from '../src/lib/server/events/hole-events.ts';
import { recordMoves } from '../src/lib/server/events/record.ts';
import { stockEvents } from '../src/lib/server/events/stock-events.ts';
import { releaseJoint } from '../src/lib/server/services/release-joint.ts';
import { latestRelease } from '../src/lib/server/services/releases.ts';
import { addJob } from '../src/lib/server/services/jobs.ts';
import { addJoint } from '../src/lib/server/services/joints.ts';
import { addPerson } from '../src/lib/server/services/people.ts';
import { becomeDemo } from '../src/lib/server/people/installation.ts';
import { addProfile } from '../src/lib/server/services/profiles.ts';
import { seedDemoCages } from './demo-cages.ts';
import { seedDemoChecks, seedDemoSigned } from './demo-checks.ts';
import { seedDemoOldWork } from './demo-old-work.ts';
import { seedDemoTools } from './demo-tools.ts';
import type { ShopPlate } from '../src/core/devices/shop-plate.ts';
import { setShopPlates } from '../src/lib/server/services/ready.ts';
import { must } from './must.ts';

const sheets = (...pairs: [string, string][]) =>
  pairs.map(([name, thickness]) => newSheet(name, thickness));

export const BOTTOM_LAP: EnteredOf<'lap'> = {
  ...newJoint('lap'),
  location: 'single-lap',
  rows: 2,
  scale: '1/64',
  edgeIn: '9/32',
  widthIn: '10 3/4',
  sheets: sheets(['upper skin', '0.040'], ['lower skin', '0.040'])
};

export const FLOAT_LAP: EnteredOf<'lap'> = {
  ...newJoint('lap'),
  family: '5052',
  location: 'single-lap',
  pattern: 'staggered',
  scale: '1/32',
  widthIn: '7 5/8',
  sheets: sheets(['float skin', '0.032'], ['closing strip', '0.025'])
};

export const FLUSH_LAP: EnteredOf<'lap'> = {
  ...newJoint('lap'),
  head: 'countersunk',
  location: 'single-lap',
  dash: 5,
  scale: '0.5mm',
  widthIn: '240mm',
  sheets: sheets(['wing skin', '0.071'], ['doubler', '0.050'])
};

/** Both skins too thin to cut: dimpled one by one, sealant between, a doubler over the first half. */
export const FIN_STRIP: EnteredOf<'lap'> = {
  ...newJoint('lap'),
  head: 'countersunk',
  location: 'intermediate-frame',
  dash: 3,
  scale: '1/64',
  // wide enough apart that the doubler can end between two rivets
  rows: 3,
  widthIn: '9 1/8',
  sheets: [
    { ...newSheet('fin skin', '0.025'), material: '2024-T3 clad', coatIn: '0.004' },
    { ...newSheet('doubler', '0.020'), material: '2024-T3 clad', toIn: '4 9/32' },
    { ...newSheet('leading strip', '0.032'), material: '2024-T3 clad' }
  ]
};

/** Someone wrote 0.32 for 0.032: the station shows how that is caught. */
const SLIPPED_LAP: EnteredOf<'lap'> = {
  ...newJoint('lap'),
  widthIn: '5 1/2',
  sheets: sheets(['cowl panel', '0.32'], ['cowl ring', '0.040'])
};

export const KEELSON_SPLICE: EnteredOf<'splice'> = {
  ...newJoint('splice'),
  location: 'intermediate-frame',
  scale: '1/64',
  widthIn: '8 3/8',
  gapIn: '1/16',
  farSheetIn: '0.032',
  sheets: sheets(['keelson web', '0.040'], ['strap', '0.050'])
};

export const HULL_PATCH: EnteredOf<'patch'> = {
  ...newJoint('patch'),
  location: 'stringer',
  scale: '1/64',
  dash: 4,
  cutoutWIn: '3 5/8',
  cutoutHIn: '2 7/8',
  cornerRadiusIn: '3/8',
  edgeIn: '5/16',
  rows: 2,
  sheets: sheets(['hull skin', '0.025'], ['doubler', '0.032'])
};

export const BILGE_HOLE: EnteredOf<'round'> = {
  ...newJoint('round'),
  location: 'intermediate-frame',
  cutoutIn: '2 3/8',
  rings: 2,
  dash: 4,
  sheets: sheets(['planing skin', '0.032'], ['doubler', '0.040'])
};

export const FRAME_FLANGE: EnteredOf<'line'> = {
  ...newJoint('line'),
  carries: 'attach',
  scale: '1/32',
  lengthIn: '19 1/4',
  flangeIn: '7/8',
  bendRadiusIn: '1/8',
  sheets: sheets(['hull skin', '0.032'], ['frame 11 flange', '0.040']),
  fixed: [
    {
      id: 'fixed-1',
      kind: 'existing',
      line: 'line-1',
      name: 'stringer 4',
      atIn: '5 3/8',
      offIn: '',
      state: '',
      holeIn: ''
    },
    {
      id: 'fixed-2',
      kind: 'existing',
      line: 'line-1',
      name: 'stringer 5',
      atIn: '9 7/8',
      offIn: '',
      state: '',
      holeIn: ''
    }
  ],
  divides: [{ id: 'divide-7', fromIn: '5 3/8', toIn: '9 7/8', count: '4' }],
  keepOuts: [
    { id: 'block-4', name: 'drain', shape: 'round', xIn: '14', yIn: '9/32', wIn: '3/8', hIn: '' },
    { id: 'block-5', name: 'bracket', shape: 'rect', xIn: '2 3/8', yIn: '1/2', wIn: '5/8', hIn: '' }
  ],
  edits: [
    {
      id: 'edit-3',
      line: 'line-1',
      index: 14,
      of: 17,
      state: 'held-open',
      nudgeIn: '',
      reason: 'nut plate',
      drill: '#11',
      asRivets: false,
      blind: '',
      blindLeastIn: '',
      blindMostIn: ''
    }
  ]
};

export const SPAR_CAP: EnteredOf<'tapered'> = {
  ...newJoint('tapered'),
  carries: 'attach',
  prefer: 'near',
  nearPitchIn: '7/8',
  lines: 2,
  scale: '1/32',
  lengthIn: '164 1/2',
  flangeIn: '2 1/8',
  flangeEndIn: '1 5/8',
  sheets: [
    newSheet('wing skin', '0.032'),
    { ...newSheet('doubler', '0.040'), toIn: '58 7/16' },
    { ...newSheet('spar cap', '0.100'), endThicknessIn: '0.050' }
  ],
  zones: [{ id: 'zone-6', dash: 6, toIn: '58' }],
  dash: 5
};

export const NOSE_WINDOW: EnteredOf<'panel'> = {
  ...newJoint('panel'),
  dash: 5,
  widthIn: '21 3/4',
  heightIn: '13 1/2',
  frameIn: '1 1/8',
  bracketIn: '1 1/4',
  plasticReason: 'sleeves under the heads, letter of the data holder',
  deltaTC: '55',
  sheets: sheets(['frame strip', '0.040'], ['clear panel', '0.125'], ['window frame', '0.050'])
};

export const FLOAT_STRINGER: EnteredOf<'double-strap'> = {
  ...newJoint('double-strap'),
  location: 'stringer',
  widthIn: '2 3/8',
  gapIn: '1/32',
  sheets: sheets(['upper strap', '0.032'], ['stringer 6', '0.040'], ['lower strap', '0.032'])
};

/** Sheets, edge and ruler of a shop that works in millimeters. */
export const TIP_RIB: EnteredOf<'lap'> = {
  ...newJoint('lap', true),
  location: 'intermediate-frame',
  rows: 2,
  edgeIn: '8 mm',
  widthIn: '310 mm',
  sheets: sheets(['tip skin', '1.2 mm'], ['rib flange', '1 mm'])
};

/** Rivets in the drawers: part, lot, drawer, how many came in, kept cold. */
const DRAWERS: [string, string, string, number, boolean][] = [
  ['MS20470AD4-4.5', 'PK-218', 'drawer 4 c', 160, false],
  ['MS20470AD4-4.5', 'PK-231', 'drawer 4 c', 400, false],
  ['MS20470AD4-4', 'PK-219', 'drawer 4 b', 145, false],
  ['MS20470AD3-3', 'PK-207', 'drawer 3 a', 350, false],
  ['MS20470AD5-5', 'PK-221', 'drawer 5 c', 90, false],
  ['MS20470AD5-5.5', 'PK-224', 'drawer 5 d', 220, false],
  ['MS20470AD6-7', 'PK-225', 'drawer 6 a', 160, false],
  ['MS20426AD5-5.5', 'PK-226', 'drawer 15 d', 40, false],
  ['MS20426AD3-3.5', 'PK-229', 'drawer 13 b', 200, false],
  ['MS20470DD6-8', 'PK-233', 'cold box, tray 2', 75, true]
];

const stockOf = (at: number): StockMove[] =>
  DRAWERS.map(([partNumber, lot, place, count, cold]) => ({
    kind: 'received',
    id: randomUUID(),
    at: new Date(at).toISOString(),
    note: '',
    partNumber,
    lot,
    place,
    cold,
    count
  }));

/** The gauge plate in the shop’s drawer, as it was measured: each a few ten-thousandths over what it must be at least. */
const plateOf = (measuredAt: Date): ShopPlate => ({
  id: 'plate-2',
  name: 'plate 2, brass',
  measuredAt: measuredAt.toISOString(),
  dueAfterDays: 180,
  sizes: [
    { dash: 3, headHoleIn: 0.1226, notchIn: 0.0361, upperHoleIn: 0.1637, upperNotchIn: 0.0604 },
    { dash: 4, headHoleIn: 0.1632, notchIn: 0.0479, upperHoleIn: 0.2181, upperNotchIn: 0.0808 },
    { dash: 5, headHoleIn: 0.2037, notchIn: 0.0598, upperHoleIn: 0.2729, upperNotchIn: 0.1009 },
    { dash: 6, headHoleIn: 0.2445, notchIn: 0.0719, upperHoleIn: 0.3274, upperNotchIn: 0.1214 }
  ]
});
const PLATE_MEASURED_DAYS_AGO = 24;

/** Measured, and not looked at from the other side yet. */
const FAR_SIDE_OPEN: ReadonlySet<number> = new Set([9, 10]);
/** Heads measured so far on the bottom lap: hole, diameter and height in inches, what the eye saw. */
/** Of the metal that stands past the sheets there, 0.0024 in³ a head: driven too far or not far enough, it is still there. */
const MEASURED: [number, number, number, SeenFlag[]][] = [
  [1, 0.201, 0.077, []],
  [2, 0.203, 0.076, []],
  [3, 0.199, 0.078, []],
  [4, 0.204, 0.075, []],
  [5, 0.2, 0.077, []],
  [6, 0.198, 0.079, []],
  [7, 0.264, 0.044, []],
  [8, 0.197, 0.08, []],
  [9, 0.196, 0.081, []],
  [10, 0.198, 0.078, []],
  [11, 0.194, 0.081, ['tilted']],
  [12, 0.161, 0.118, []]
];

const MINUTES_BETWEEN_HEADS = 2;
/** Driven so far: the first row, and at what pace. */
const DRIVEN_ROW = 1;
const SECONDS_BETWEEN_RIVETS = 26;

/**
 * Fills an empty database.
 *
 * @returns false when there is anything in it already
 */
export async function seedDemoData(database: Database): Promise<boolean> {
  if ((await database.models.Person.count()) > 0 || (await database.models.Job.count()) > 0)
    return false;
  await becomeDemo(database);
  await addProfile(database, { ...DEFAULT_PROFILE, name: 'Pikemere shop profile' });
  const ilse = await addPerson(database, { name: 'Ilse Varnholt', role: 'mechanic' });
  const tomas = await addPerson(database, { name: 'Tomas Ekbrand', role: 'inspector' });
  await addPerson(database, { name: 'Runa Halvik', role: 'lead' });
  await addPerson(database, { name: 'Sunniva Ask', role: 'instructor' });
  const benn = await addPerson(database, { name: 'Benn Achterby', role: 'trainee' });

  must(
    await setShopPlates(
      database,
      { was: [], now: [plateOf(new Date(Date.now() - PLATE_MEASURED_DAYS_AGO * 86_400_000))] },
      tomas.id
    )
  );

  const hull = must(
    await addJob(database, {
      number: '0318',
      title: 'Hull bottom, chafed skin renewed',
      place: 'Quillwater Twin, hull 04, left bottom',
      data: 'shop repair sheet QR-31, sheet 2'
    })
  );
  const wing = must(
    await addJob(database, {
      number: '0321',
      title: 'Right wing root and tip float',
      place: 'Quillwater Twin, hull 04, right wing',
      data: 'shop repair sheet QR-33, sheets 1 to 4'
    })
  );
  const float = must(
    await addJoint(database, wing, 'Tip float, closing strip', FLOAT_LAP, ilse.id)
  );
  const root = must(await addJoint(database, wing, 'Wing root, flush lap', FLUSH_LAP, ilse.id));
  must(await addJoint(database, wing, 'Cowl panel, lower lap', SLIPPED_LAP, ilse.id));
  must(await addJoint(database, hull, 'Keelson web, splice at frame 14', KEELSON_SPLICE, ilse.id));
  must(await addJoint(database, hull, 'Hull side, flush patch', HULL_PATCH, ilse.id));
  must(await addJoint(database, hull, 'Bilge hole, round patch', BILGE_HOLE, ilse.id));
  const flange = must(
    await addJoint(database, hull, 'Frame 11 flange to skin', FRAME_FLANGE, ilse.id)
  );
  must(await addJoint(database, wing, 'Front spar cap, upper', SPAR_CAP, ilse.id));
  must(await addJoint(database, wing, 'Nose window frame', NOSE_WINDOW, ilse.id));
  const stringer = must(
    await addJoint(database, wing, 'Float stringer 6, broken', FLOAT_STRINGER, ilse.id)
  );
  must(await addJoint(database, wing, 'Fin, leading strip', FIN_STRIP, ilse.id));
  must(await addJoint(database, wing, 'Tip rib 3, in millimeters', TIP_RIB, ilse.id));
  const lap = must(await addJoint(database, hull, 'Bottom skin lap, bay 9', BOTTOM_LAP, ilse.id));

  const started = Date.now() - MEASURED.length * MINUTES_BETWEEN_HEADS * 60_000;
  must(await releaseJoint(database, lap, 1, ilse.id, new Date(started - 60 * 60_000)));
  const release = await latestRelease(database, lap);
  if (!release) throw new Error('demo data: the release just made is not there');
  const heads = MEASURED.map(([hole, diameterIn, heightIn, flags], index): CheckedHead => ({
    id: randomUUID(),
    kind: 'checked',
    hole,
    at: new Date(started + index * MINUTES_BETWEEN_HEADS * 60_000).toISOString(),
    diameterIn,
    heightIn,
    flags,
    ...(flags.length === 0 && !FAR_SIDE_OPEN.has(hole) ? { clean: [...Place.options] } : {})
  }));
  const driven = release.holes
    .filter(({ row }) => row === DRIVEN_ROW)
    .map(({ number }, at): DriveMove => ({
      id: randomUUID(),
      kind: 'driven',
      hole: number,
      at: new Date(started - 20 * 60_000 + at * SECONDS_BETWEEN_RIVETS * 1000).toISOString(),
      quick: null,
      batch: null,
      hands: null,
      late: ''
    }));
  must(await recordMoves(database, driveEvents, release.id, driven, ilse));
  must(await recordMoves(database, holeEvents, release.id, heads, ilse));
  must(await recordMoves(database, stockEvents, null, stockOf(started), ilse));
  await seedDemoCages(database, ilse, root);
  await seedDemoTools(database, ilse, lap, release.facts.partNumber);
  const crew = { mechanic: ilse, apprentice: benn, inspector: tomas };
  await seedDemoOldWork(database, tomas, flange, started);
  await seedDemoChecks(database, crew, float);
  await seedDemoSigned(database, crew, stringer);
  return true;
}
