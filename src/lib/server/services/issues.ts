import { ISSUE_DOCUMENT } from '../../../core/documents/documents.ts';
import type { Issue, IssuedFacts, IssuedRoom } from '../../../core/issue/issue.ts';
import type { Joint } from '../../../core/kinds/joint.ts';
import type { HoleHeadroom } from '../../../core/plan/headroom.ts';
import type { Plan } from '../../../core/plan/plan-shape.ts';
import { stopsOf } from '../../../core/plan/stops.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import { isPractice } from './practice.ts';
import type { Database } from '../db/connect.ts';
import { inWork, rowsOf } from '../db/work.ts';
import { must, outcomeOf, readFacts } from './documents.ts';
import { toIssuedHoles, type HoleRow } from './issued-holes.ts';
import { planOf, type PlannedJoint } from '../heavy/kept-plans.ts';
import { getJoint, type JointView } from './joints.ts';
import { because, done, refused, type Outcome } from './outcome.ts';
import { warningInWords } from '../../words/warnings.ts';

interface IssueRow {
  id: string;
  number: number;
  revision: number;
  issued_at: Date;
  issued_by: string;
  facts: unknown;
  document_version: number;
  holes: HoleRow[] | null;
}

const ISSUE = `select i.id, i.number, i.revision, i.issued_at, p.name as issued_by, i.facts, i.document_version,
       (select json_agg(h order by h.number) from holes h where h.issue_id = i.id) as holes
     from joint_issues i join people p on p.id = i.issued_by`;

const toIssue = (row: IssueRow): Issue => {
  const facts = must('this issue', readFacts(row.document_version, row.facts));
  return {
    id: row.id,
    number: row.number,
    revision: row.revision,
    issuedAt: row.issued_at.toISOString(),
    issuedBy: row.issued_by,
    facts,
    ...toIssuedHoles(row.holes, facts)
  };
};

/** The newest issue of a joint with its holes, or null; one query. */
export async function latestIssue(database: Database, jointId: string): Promise<Issue | null> {
  const [row] = await rowsOf<IssueRow>(
    database,
    `${ISSUE} where i.joint_id = $1 order by i.number desc limit 1`,
    [jointId]
  );
  return row ? toIssue(row) : null;
}

/** An issue with its joint and what was frozen of it, or null. */
export async function issueWithSource(
  database: Database,
  issueId: string
): Promise<{ issue: Issue; jointId: string; definition: unknown; rules: unknown } | null> {
  const [row] = await rowsOf<IssueRow & { joint_id: string; definition: unknown; rules: unknown }>(
    database,
    `${ISSUE.replace('select ', 'select i.joint_id, i.definition, i.rules, ')} where i.id = $1`,
    [issueId]
  );
  return row
    ? { issue: toIssue(row), jointId: row.joint_id, definition: row.definition, rules: row.rules }
    : null;
}

/** What stands in the way of issuing, or the facts to freeze. */
function factsOf(definition: Joint, rules: RuleProfile, planned: Plan): Outcome<IssuedFacts> {
  const { layout, stacks, needs } = planned;
  for (const answer of [...needs.map(({ required }) => required), layout])
    if (!answer.ok) return refused('not-possible', because(answer.error));
  const stop = stopsOf(planned)[0];
  if (stop) {
    return refused('not-possible', (length) => {
      const { title, text } = warningInWords(stop, length);
      return `${title}: ${text}`;
    });
  }
  const [first] = stacks;
  if (!layout.ok || !first?.length.ok) return refused('not-possible', 'there is no rivet for it');
  return done({
    dash: first.dash,
    head: definition.head,
    partNumber: first.length.result.partNumber,
    gripIn: first.length.result.gripIn,
    lengthIn: first.length.result.lengthIn,
    holeIn: first.hole.diameterIn,
    widthIn: layout.result.widthIn,
    overlapIn: layout.result.heightIn,
    limits: rules.headLimits,
    rules,
    keptClosed: definition.closed ? definition.closedReason : null,
    predictedIn3: first.head.ok ? first.head.result.volumeIn3 : null,
    stacks: stacks.flatMap(({ name, dash, length, hole, dimpledThrough, wide }) =>
      length.ok
        ? [
            {
              name,
              dash,
              partNumber: length.result.partNumber,
              lengthIn: length.result.lengthIn,
              holeIn: hole.diameterIn,
              dimpledThrough,
              raisedIn: 0,
              wideIn3: wide.volumeIn3
            }
          ]
        : []
    )
  });
}

/**
 * Freezes a joint's definition, rules and holes as its next issue. Refused while the joint is not the
 * revision the person sees, cannot be read, or breaks a limit.
 */
export const issueJoint = (
  database: Database,
  jointId: string,
  revision: number,
  issuedBy: string,
  /** now, except for data that is brought in */
  issuedAt?: Date
): Promise<Outcome<{ number: number }>> =>
  outcomeOf(async () => {
    // Planned before anything is locked: what a revision comes to does not change meanwhile.
    const joint = await getJoint(database, jointId);
    if (!joint.ok) return joint;
    if (joint.value.revision !== revision) return isStale(joint.value.revision, revision);
    if (isPractice(joint.value.job))
      return refused(
        'not-possible',
        'it is for practice and rests on no data: move it under a job first, on that page'
      );
    const planned = await planOf(joint.value);
    if (!planned.ok) return planned;
    const { profile } = joint.value;
    const facts = factsOf(planned.value.definition, profile, planned.value.plan);
    if (!facts.ok) return facts;
    const frozen = { joint: joint.value, ...planned.value, facts: facts.value };
    return inWork(database, () => freeze(database, frozen, issuedBy, issuedAt));
  });

/** What a larger rivet there is held against; a distance to nothing is null. */
function roomOf(growth: HoleHeadroom | undefined): IssuedRoom | null {
  if (!growth) return null;
  const { edgeIn, pitchIn, betweenRowsIn } = growth.room;
  const known = (distanceIn: number) => (Number.isFinite(distanceIn) ? distanceIn : null);
  return {
    edgeIn,
    pitchIn: known(pitchIn),
    betweenRowsIn: known(betweenRowsIn),
    sheetsIn: [...growth.sheetsIn]
  };
}

const isStale = (now: number, seen: number): Outcome<never> =>
  refused('stale', `the joint is at revision ${now}, not ${seen}: look at it again`);

async function freeze(
  database: Database,
  {
    joint: seen,
    definition,
    plan: planned,
    facts
  }: PlannedJoint & { joint: JointView; facts: IssuedFacts },
  issuedBy: string,
  issuedAt?: Date
): Promise<Outcome<{ number: number }>> {
  const { models } = database;
  const { id: jointId, revision } = seen;
  const joint = await models.Joint.findByPk(jointId, { lock: true });
  if (!joint) return refused('not-found', 'there is no such joint');
  if (joint.revision !== revision) return isStale(joint.revision, revision);

  const last = await models.JointIssue.findOne({ where: { jointId }, order: [['number', 'DESC']] });
  // Pressing twice, or asking again after a lost answer, must not make a second frozen copy.
  if (last?.revision === revision) return done({ number: last.number });
  const number = (last?.number ?? 0) + 1;
  const issue = await models.JointIssue.create({
    jointId,
    number,
    revision,
    definition,
    rules: seen.profile,
    facts,
    documentVersion: ISSUE_DOCUMENT.version,
    issuedBy,
    ...(issuedAt ? { issuedAt } : {})
  });
  await models.Hole.bulkCreate(
    planned.holes.map(
      ({ number: hole, row, xIn, yIn, markIn, state, reason, dash, stack, gripIn }, at) => ({
        issueId: issue.id,
        number: hole,
        row,
        xIn,
        yIn,
        markIn,
        state,
        reason,
        dash,
        stack,
        gripIn,
        room: roomOf(planned.headroom[at])
      })
    )
  );
  return done({ number });
}
