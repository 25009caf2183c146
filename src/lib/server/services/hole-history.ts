import { holeStream } from '../../../core/inspect/hole-events.ts';
import { driveStream } from '../../../core/driving/drive-events.ts';
import { asConfirmed } from '../../../core/driving/named-still.ts';
import { rivetRecords } from '../../../core/records/rivet-record.ts';
import { reworkStream } from '../../../core/reworking/rework-events.ts';
import { looksSame } from '../../../core/units/tolerance.ts';
import type { HoleHistory } from '../../api/hole-history.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { eventsAtHoles, eventsOf } from '../events/read.ts';
import { DRIVE_EVENTS, HOLE_EVENTS, REWORK_EVENTS } from '../events/tables.ts';
import { releaseWithSource } from './releases.ts';
import { done, refused, type Outcome } from '../outcome.ts';
import { lotsOf, settingSpans } from './settle-rivets.ts';

/** What an entry of a log says of one hole. */
const atHole =
  (hole: number) =>
  <E extends { kind: string }>(event: E): event is Extract<E, { hole: number }> =>
    'hole' in event && event.hole === hole;

/** The history of one hole: which rivets were in it, and every entry of every log that names it. */
export async function holeHistory(
  database: Database,
  releaseId: string,
  number: number
): Promise<Outcome<HoleHistory>> {
  const source = await releaseWithSource(database, releaseId);
  if (!source) return refused('not-found', 'there is no such release');
  const { release, jointId } = source;
  const open = release.heldOpen.find((hole) => hole.number === number);
  const hole = release.holes.find((one) => one.number === number) ?? open;
  if (!hole) return refused('not-found', `there is no hole ${number} in this release`);
  const [joint] = await rowsOf<{
    title: string;
    job: string;
    by: string | null;
    at: Date | null;
  }>(
    database,
    `select j.title, b.number as job, s.by, s.at from joints j join jobs b on b.id = j.job_id
       left join lateral (select p.name as by, e.at from sign_events e join people p on p.id = e.person_id
         where e.subject_id = $2 limit 1) s on true
     where j.id = $1`,
    [jointId, releaseId]
  );
  const [driving, heads, allRework, settings, places] = await Promise.all([
    eventsAtHoles(database, { stream: driveStream, table: DRIVE_EVENTS }, releaseId, [number]),
    eventsAtHoles(database, { stream: holeStream, table: HOLE_EVENTS }, releaseId, [number]),
    eventsOf(database, { stream: reworkStream, table: REWORK_EVENTS }, releaseId),
    settingSpans(database, jointId),
    rowsOf<{ issue_id: string; release: number; hole: number; x_in: number; y_in: number }>(
      database,
      `select h.issue_id, i.number as release, h.number as hole, h.x_in, h.y_in
       from joint_issues i join holes h on h.issue_id = i.id
       where i.joint_id = $1 and i.id <> $2 order by i.number`,
      [jointId, releaseId]
    )
  ]);
  const taps = asConfirmed(driving).filter(atHole(number));
  const batchLots = await lotsOf(
    database,
    taps.flatMap((tap) => (tap.kind === 'driven' ? (tap.batch ?? []) : []))
  );
  const rework = reworkStream.project(release, allRework);
  const asked = new Set(
    [...rework.referrals.values()].filter((one) => one.hole === number).map(({ id }) => id)
  );
  const rivets = rivetRecords({ release, rework, driving, heads, batchLots, settings }, [number]);
  const tools = await toolNames(
    database,
    rivets.flatMap(({ setting }) => setting ?? [])
  );
  const { id, number: releaseNumber, issuedAt, issuedBy } = release;
  return done({
    joint: { id: jointId, title: joint?.title ?? '', job: joint?.job ?? '' },
    practice: release.facts.practice,
    release: { id, number: releaseNumber, issuedAt, issuedBy },
    signature: joint?.by && joint.at ? { by: joint.by, at: joint.at.toISOString() } : null,
    hole,
    heldOpen: open?.reason ?? '',
    limits: release.facts.limits,
    rivets: rivets.map((rivet) => ({
      ...rivet,
      tool: rivet.setting === null ? null : (tools.get(rivet.setting) ?? null)
    })),
    driving: taps,
    heads,
    rework: allRework.filter(
      (event) =>
        ('hole' in event && event.hole === number) ||
        (event.kind === 'answered' && asked.has(event.referral))
    ),
    lots: Object.fromEntries(batchLots),
    elsewhere: places
      .filter(({ x_in, y_in }) => looksSame(x_in, hole.xIn) && looksSame(y_in, hole.yIn))
      .map(({ issue_id, release: of, hole: at }) => ({
        releaseId: issue_id,
        release: of,
        hole: at
      }))
  });
}

async function toolNames(
  database: Database,
  settings: readonly string[]
): Promise<Map<string, string>> {
  if (settings.length === 0) return new Map();
  const rows = await rowsOf<{ id: string; name: string }>(
    database,
    `select id, setup->>'name' as name from tool_settings where id = any($1::uuid[])`,
    [[...settings]]
  );
  return new Map(rows.map(({ id, name }) => [id, name]));
}
