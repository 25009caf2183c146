import { holeStream } from '../../../core/check/hole-events.ts';
import { driveStream, type DriveEvent } from '../../../core/driving/drive-events.ts';
import { partsWithoutLot } from '../../../core/driving/lots-told.ts';
import { blindOnRecord } from '../../../core/reworking/blind-rivets.ts';
import { rivetOfHole } from '../../../core/driving/rivet-of-hole.ts';
import { rivetRuns } from '../../../core/driving/rivet-runs.ts';
import type { Recorded, Stamped } from '../../../core/events/stream.ts';
import { readyPlan } from '../../../core/ready/ready-plan.ts';
import { readyProgress, stepStream } from '../../../core/ready/progress.ts';
import { isOpen, oldWorkStream, standingFindings } from '../../../core/old-work/old-work-stream.ts';
import { reworkStream } from '../../../core/reworking/rework-events.ts';
import { releaseNow } from '../../../core/releases/release-now.ts';
import {
  missingToSign,
  namedByOthers,
  sentByOthers,
  type Missing
} from '../../../core/signing/missing.ts';
import type { JointRecord } from '../../../core/signing/record.ts';
import { signStream, type SignEvent } from '../../../core/signing/sign-events.ts';
import { FoundTool, type ToolState } from '../../../core/tool-setting/tool-stream.ts';
import { isTrustedTool } from '../../../core/tool-setting/tool-status.ts';
import type { ColdBatchFacts } from '../../../core/driving/drive-events.ts';
import { factsOf, type BatchFactsRow } from './cold-batches.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';
import { eventsOf } from '../events/read.ts';
import {
  DRIVE_EVENTS,
  HOLE_EVENTS,
  OLD_WORK_EVENTS,
  REWORK_EVENTS,
  SIGN_EVENTS
} from '../events/tables.ts';
import { planOf } from '../heavy/kept-plans.ts';
import { issueWithSource } from './issues.ts';
import { getJoint, type JointView } from './joints.ts';
import { done, refused, type Outcome } from './outcome.ts';
import { readyEvents, shopFigures, timedWorks } from './ready.ts';
import { sinceOfIssue } from './take-over.ts';
import { toolSettings } from './tool-settings.ts';

/** An issue with everything that happened to it: the record, what is missing, and who drove. */
export interface IssueMatter {
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

/** The batches out of the cold that rivets of an issue came from. */
const batchesOf = async (database: Database, issueId: string): Promise<ColdBatchFacts[]> =>
  (
    await rowsOf<BatchFactsRow>(
      database,
      `select id, part_number, lot, count, removed_at, times from cold_batches
       where id in (select batch from drive_events where subject_id = $1) order by seq`,
      [issueId]
    )
  ).map(factsOf);

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

/** A move with who made it, as the record carries it. */
const carried = <Move extends Stamped, Frozen>(event: Recorded<Move, Frozen>) => {
  const { by, sentBy, frozen, ...move } = event;
  const sent = sentBy === undefined ? {} : { sentBy };
  return { by, ...sent, move: move as unknown as Move, frozen };
};

/** Everything that is known of an issue. */
export async function matterOf(database: Database, issueId: string): Promise<Outcome<IssueMatter>> {
  const source = await issueWithSource(database, issueId);
  if (!source) return refused('not-found', 'there is no such issue');
  const { issue: issued, jointId, definition, rules } = source;
  const joint = await getJoint(database, jointId);
  if (!joint.ok) return joint;
  // one after the other: within an act they go over its one connection
  const driving = await eventsOf(database, { stream: driveStream, table: DRIVE_EVENTS }, issueId);
  const heads = await eventsOf(database, { stream: holeStream, table: HOLE_EVENTS }, issueId);
  const reworks = await eventsOf(database, { stream: reworkStream, table: REWORK_EVENTS }, issueId);
  const signatures = await eventsOf(database, { stream: signStream, table: SIGN_EVENTS }, issueId);
  const batches = await batchesOf(database, issueId);
  const set = await toolSettings(database, jointId);
  const found = await eventsOf(
    database,
    { stream: oldWorkStream, table: OLD_WORK_EVENTS },
    jointId
  );
  const findings = standingFindings(oldWorkStream.project(null, found));
  const steps = await stepsOf(database, joint.value, issued.revision);
  const { issue, rework, drive, states, left, order, due } = releaseNow({
    issue: issued,
    batches,
    driving,
    heads,
    reworks
  });
  const since = await sinceOfIssue(database, issueId);
  const runs = rivetRuns(issue);
  const ofRun = (key: string) =>
    set.filter(({ run, state }) => run === key && state.withdrawn === null);
  const open = runs.flatMap(({ key, partNumber: part }) => {
    const own = ofRun(key);
    return own.some(({ state }) => isTrustedTool(state))
      ? []
      : [{ part, tool: own[0]?.setup.name ?? null }];
  });
  const missing = missingToSign({
    issued,
    issue,
    drive,
    states,
    rework,
    left,
    earlier: since === null ? await earlierRework(database, jointId, issued.number) : [],
    since,
    due,
    named: namedByOthers(driving, await namesOf(database, driving)),
    sent: sentByOthers([...driving, ...heads, ...reworks]),
    withoutLot: partsWithoutLot(driving),
    settings: open,
    steps,
    oldWork: { findings: findings.length, open: findings.filter(isOpen).length },
    changedTo: joint.value.revision === issued.revision ? null : joint.value.revision
  });
  const signed = signatures.at(-1) ?? null;
  const drivers = driversOf([...driving, ...reworks]);
  const { job } = joint.value;
  const record: JointRecord = {
    format: 'zanjador-record',
    version: 1,
    joint: {
      id: jointId,
      title: joint.value.title,
      job: { number: job.number, title: job.title, place: job.place, data: job.data }
    },
    release: {
      id: issued.id,
      number: issued.number,
      revision: issued.revision,
      issuedAt: issued.issuedAt,
      issuedBy: issued.issuedBy,
      definition,
      rules,
      facts: issued.facts,
      since
    },
    holes: [
      ...issue.holes.map((hole) => {
        const { number, row, xIn, yIn, markIn, dash, room } = hole;
        const { partNumber, gripIn, lengthIn, holeIn } = rivetOfHole(issue.facts, hole);
        const place = { number, row, xIn, yIn, markIn, dash, room };
        return { ...place, partNumber, gripIn, lengthIn, holeIn, heldOpen: '' };
      }),
      ...issue.heldOpen.map((hole) => {
        const { number, row, xIn, yIn, markIn, dash, room, gripIn, reason } = hole;
        return {
          ...{ number, row, xIn, yIn, markIn, dash, room, gripIn },
          partNumber: null,
          lengthIn: null,
          holeIn: null,
          heldOpen: reason === '' ? 'held open' : reason,
          ...(hole.blind
            ? { blind: blindOnRecord(hole.blind, rework.blinds.get(number), issue.facts) }
            : {})
        };
      })
    ].sort((a, b) => a.number - b.number),
    order: [...order],
    driving: driving.map(carried),
    batches,
    settings: set.map(({ id, setup, run, begunAt, by, state }) => ({
      id,
      tool: setup.name,
      part: runs.find(({ key }) => key === run)?.partNumber ?? run,
      begunAt,
      by,
      found: foundOf(state.found),
      firstHeads: state.made.map((made) => ({ ...made })),
      released: isTrustedTool(state)
    })),
    heads: heads.map(carried),
    rework: reworks.map(carried),
    ...(found.length > 0 ? { oldWork: found.map(carried) } : {}),
    steps,
    told: missing.told,
    signature:
      signed === null
        ? null
        : {
            by: signed.by,
            person: signed.person,
            at: signed.at,
            entitled: signed.entitled,
            accepted: signed.accepted
          }
  };
  return done({
    record,
    missing,
    drivers: drivers.ids,
    driverNames: drivers.names,
    signing: issued.facts.rules?.signing ?? 'another',
    signed,
    lastAt: [driving, heads, reworks]
      .flat()
      .reduce((last, { at }) => Math.max(last, Date.parse(at)), Date.parse(issued.issuedAt))
  });
}

/** What was found, without who found it: that stands beside it. */
function foundOf(found: ToolState['found']): FoundTool | null {
  if (found === null) return null;
  const rest: Record<string, unknown> = { ...found };
  delete rest['at'];
  delete rest['by'];
  return FoundTool.parse(rest);
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
