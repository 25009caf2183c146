import type { DriveEvent } from '../../../core/driving/drive-events.ts';
import { partsWithoutLot } from '../../../core/driving/lots-told.ts';
import { rivetRuns } from '../../../core/driving/rivet-runs.ts';
import type { Recorded, Stamped } from '../../../core/events/stream.ts';
import { readyPlan } from '../../../core/prepare/ready-plan.ts';
import { readyProgress, stepStream } from '../../../core/prepare/progress.ts';
import { isOpen, oldWorkStream, standingFindings } from '../../../core/old-work/old-work-stream.ts';
import { missingToSign, type Missing } from '../../../core/signing/missing.ts';
import { namedByOthers, sentByOthers } from '../../../core/signing/signed-matter.ts';
import type { JointRecord } from '../../../core/signing/record.ts';
import { recordOf } from '../../../core/signing/record-of.ts';
import { signStream, type SignEvent } from '../../../core/signing/sign-events.ts';
import { isTrustedTool } from '../../../core/tool-setting/tool-status.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { eventsOf } from '../events/read.ts';
import { OLD_WORK_EVENTS, SIGN_EVENTS } from '../events/tables.ts';
import { planOf } from '../heavy/kept-plans.ts';
import { getJoint, type JointView } from './joints.ts';
import { openRelease, type OpenRelease } from './open-release.ts';
import { done, refused, type Outcome } from '../outcome.ts';
import { readyEvents, shopFigures, timedWorks } from './ready.ts';
import { toolSettings } from './tool-settings.ts';

/** A release with everything that happened to it: the record, what is missing, and who drove. */
export interface ReleaseMatter {
  record: JointRecord;
  missing: Missing;
  /** people who held a gun or a bar */
  drivers: ReadonlySet<string>;
  driverNames: string[];
  signing: 'another' | 'anyone';
  signed: SignEvent | null;
  /** when the last thing was logged that a signature rests on, ms since 1970 */
  lastAt: number;
}

/** Rivets that were replaced in earlier releases of a joint: this one was planned without knowing of them. */
async function earlierRework(
  database: Database,
  jointId: string,
  number: number
): Promise<{ release: number; holes: number[] }[]> {
  return rowsOf<{ release: number; holes: number[] }>(
    database,
    `select i.number as release, array_agg(r.hole order by r.hole) as holes
     from hole_rework r join joint_issues i on i.id = r.issue_id
     where i.joint_id = $1 and i.number < $2 group by i.number order by i.number`,
    [jointId, number]
  );
}

/** Steps before driving, of the joint as it was released; null where it has changed since. */
async function stepsOf(
  database: Database,
  joint: JointView,
  revision: number
): Promise<{ done: number; of: number } | null> {
  if (joint.revision !== revision) return null;
  const planned = await planOf(joint);
  if (!planned.ok) return null;
  const figures = await shopFigures(database);
  const timed = await timedWorks(database);
  const ticks = await readyEvents(database, joint.id);
  const { definition, plan } = planned.value;
  const { steps } = readyPlan(definition, plan, joint.profile, figures, timed);
  const progress = readyProgress(steps, stepStream.project(undefined, ticks));
  return { done: progress.doneSteps, of: steps.length };
}

/** Settings of tools that no first heads released, of the runs of a release. */
function openSettings(
  { release }: OpenRelease,
  set: Awaited<ReturnType<typeof toolSettings>>
): { part: string; tool: string | null }[] {
  return rivetRuns(release).flatMap(({ key, partNumber: part }) => {
    const own = set.filter(({ run, state }) => run === key && state.withdrawn === null);
    return own.some(({ state }) => isTrustedTool(state))
      ? []
      : [{ part, tool: own[0]?.setup.name ?? null }];
  });
}

/** When the last thing was logged that a signature rests on, ms since 1970. */
const lastLogged = ({ asReleased, driving, heads, reworks }: OpenRelease): number =>
  [driving, heads, reworks]
    .flat()
    .reduce((last, { at }) => Math.max(last, Date.parse(at)), Date.parse(asReleased.issuedAt));

/** Everything that is known of a release. */
export async function matterOf(
  database: Database,
  releaseId: string
): Promise<Outcome<ReleaseMatter>> {
  const opened = await openRelease(database, releaseId);
  if (!opened) return refused('not-found', 'there is no such release');
  const { asReleased, jointId, since, driving, heads, reworks } = opened;
  const joint = await getJoint(database, jointId);
  if (!joint.ok) return joint;
  // one after the other: within an act they go over its one connection
  const signatures = await eventsOf(
    database,
    { stream: signStream, table: SIGN_EVENTS },
    releaseId
  );
  const settings = await toolSettings(database, jointId);
  const oldWork = await eventsOf(
    database,
    { stream: oldWorkStream, table: OLD_WORK_EVENTS },
    jointId
  );
  const findings = standingFindings(oldWorkStream.project(null, oldWork));
  const steps = await stepsOf(database, joint.value, asReleased.revision);
  const missing = missingToSign({
    ...opened,
    earlier: since === null ? await earlierRework(database, jointId, asReleased.number) : [],
    named: namedByOthers(driving, await namesOf(database, driving)),
    sent: sentByOthers([...driving, ...heads, ...reworks]),
    withoutLot: partsWithoutLot(driving),
    settings: openSettings(opened, settings),
    steps,
    oldWork: { findings: findings.length, open: findings.filter(isOpen).length },
    changedTo: joint.value.revision === asReleased.revision ? null : joint.value.revision
  });
  const signed = signatures.at(-1) ?? null;
  const drivers = driversOf([...driving, ...reworks]);
  const { number, title, place, data } = joint.value.job;
  return done({
    record: recordOf({
      joint: { id: jointId, title: joint.value.title, job: { number, title, place, data } },
      ...{ opened, settings, oldWork, steps, told: missing.told, signed }
    }),
    missing,
    drivers: drivers.ids,
    driverNames: drivers.names,
    signing: asReleased.facts.rules?.signing ?? 'another',
    signed,
    lastAt: lastLogged(opened)
  });
}

/** Names of those who are named at rivets and did not confirm it. */
async function namesOf(
  database: Database,
  events: readonly DriveEvent[]
): Promise<(person: string) => string> {
  const ids = new Set(events.flatMap(({ frozen }) => frozen.unconfirmed ?? []));
  const rows =
    ids.size === 0
      ? []
      : await rowsOf<{ id: string; name: string }>(
          database,
          'select id, name from people where id = any($1::uuid[])',
          [[...ids]]
        );
  const names = new Map(rows.map(({ id, name }) => [id, name]));
  return (person) => names.get(person) ?? person;
}

/** Who drove: who logged a rivet or put a blind one in, and who held gun and bar where two did. */
function driversOf(events: readonly Recorded<Stamped, unknown>[]): {
  ids: ReadonlySet<string>;
  names: string[];
} {
  const ids = new Set<string>();
  const names = new Set<string>();
  for (const event of events) {
    if (event.kind !== 'driven' && event.kind !== 'blind-in') continue;
    const { hands } = event as { hands?: { gun: string; bar: string } | null };
    if (event.person !== undefined) ids.add(event.person);
    names.add(event.by);
    if (hands) ids.add(hands.gun).add(hands.bar);
  }
  return { ids, names: [...names] };
}
