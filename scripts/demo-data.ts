/** The made-up shop that a new installation starts with: everything here is invented. */
import { randomUUID } from 'node:crypto';
import { NEW_LAP, type EnteredLap } from '../src/core/joint/lap.ts';
import { DEFAULT_PROFILE } from '../src/core/rules/profile.ts';
import type { SeenFlag } from '../src/core/check/findings.ts';
import type { Database } from '../src/lib/server/db/connect.ts';
import { recordHead } from '../src/lib/server/services/hole-events.ts';
import { issueJoint, latestIssue } from '../src/lib/server/services/issues.ts';
import { addJob } from '../src/lib/server/services/jobs.ts';
import { addJoint } from '../src/lib/server/services/joints.ts';
import type { Outcome } from '../src/lib/server/services/outcome.ts';
import { addPerson } from '../src/lib/server/services/people.ts';
import { addProfile } from '../src/lib/server/services/profiles.ts';

function must<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(`demo data: ${outcome.message}`);
  return outcome.value;
}

const sheets = (...pairs: [string, string][]): EnteredLap['sheets'] =>
  pairs.map(([name, thicknessIn]) => ({ name, thicknessIn }));

const BOTTOM_LAP: EnteredLap = {
  ...NEW_LAP,
  location: 'single-lap',
  rows: 2,
  scale: '1/64',
  widthIn: '10 3/4',
  sheets: sheets(['upper skin', '0.040'], ['lower skin', '0.040'])
};

const FLOAT_LAP: EnteredLap = {
  ...NEW_LAP,
  family: '5052',
  location: 'single-lap',
  pattern: 'staggered',
  scale: '1/32',
  widthIn: '7 5/8',
  sheets: sheets(['float skin', '0.032'], ['closing strip', '0.025'])
};

const FLUSH_LAP: EnteredLap = {
  ...NEW_LAP,
  head: 'countersunk',
  location: 'single-lap',
  dash: 5,
  scale: '0.5mm',
  widthIn: '240mm',
  sheets: sheets(['wing skin', '0.071'], ['doubler', '0.050'])
};

/** Someone wrote 0.32 for 0.032: the station shows how that is caught. */
const SLIPPED_LAP: EnteredLap = {
  ...NEW_LAP,
  widthIn: '5 1/2',
  sheets: sheets(['cowl panel', '0.32'], ['cowl ring', '0.040'])
};

/** Heads measured so far on the bottom lap: hole, diameter and height in inches, what the eye saw. */
const MEASURED: [number, number, number, SeenFlag[]][] = [
  [1, 0.187, 0.063, []],
  [2, 0.189, 0.062, []],
  [3, 0.185, 0.064, []],
  [4, 0.191, 0.061, []],
  [5, 0.186, 0.063, []],
  [6, 0.183, 0.065, []],
  [7, 0.222, 0.044, []],
  [8, 0.181, 0.067, []],
  [9, 0.178, 0.069, []],
  [10, 0.176, 0.071, []],
  [11, 0.171, 0.074, ['tilted']],
  [12, 0.16, 0.09, []]
];

const MINUTES_BETWEEN_HEADS = 2;

/**
 * Fills an empty database.
 *
 * @returns false when there is anything in it already
 */
export async function seedDemoData(database: Database): Promise<boolean> {
  if ((await database.models.Person.count()) > 0 || (await database.models.Job.count()) > 0)
    return false;
  await addProfile(database, { ...DEFAULT_PROFILE, name: 'Pikemere shop profile' });
  const ilse = await addPerson(database, { name: 'Ilse Varnholt', role: 'mechanic' });
  await addPerson(database, { name: 'Tomas Ekbrand', role: 'inspector' });
  await addPerson(database, { name: 'Benn Achterby', role: 'apprentice' });

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
  must(await addJoint(database, wing, 'Tip float, closing strip', FLOAT_LAP, ilse.id));
  must(await addJoint(database, wing, 'Wing root, flush lap', FLUSH_LAP, ilse.id));
  must(await addJoint(database, wing, 'Cowl panel, lower lap', SLIPPED_LAP, ilse.id));
  const lap = must(await addJoint(database, hull, 'Bottom skin lap, bay 9', BOTTOM_LAP, ilse.id));

  must(await issueJoint(database, lap, 1, ilse.id));
  const issue = await latestIssue(database, lap);
  if (!issue) throw new Error('demo data: the issue just made is not there');
  const started = Date.now() - MEASURED.length * MINUTES_BETWEEN_HEADS * 60_000;
  for (const [index, [hole, diameterIn, heightIn, flags]] of MEASURED.entries())
    must(
      await recordHead(
        database,
        issue.id,
        {
          id: randomUUID(),
          hole,
          at: new Date(started + index * MINUTES_BETWEEN_HEADS * 60_000).toISOString(),
          diameterIn,
          heightIn,
          flags
        },
        ilse.id
      )
    );
  return true;
}
