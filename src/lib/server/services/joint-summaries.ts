import type { Verdict } from '../../../core/check/findings.ts';
import { holeStates } from '../../../core/check/hole-events.ts';
import { IssuedFacts, issuedParts } from '../../../core/joint/issue.ts';
import type { JointKind } from '../../../core/joint/kinds.ts';
import { readStored } from '../../../core/joint/read-entered.ts';
import { planCost, STEPS_FOR_A_LIST } from '../../../core/plan-cost.ts';
import type { RecheckStatus } from '../../../core/ready/cage/rechecks.ts';
import type { Plan } from '../../../core/plan-shape.ts';
import { plan } from '../../../core/plan.ts';
import { RuleProfile } from '../../../core/rules/profile.ts';
import type { Database } from '../db/connect.ts';
import type { Joint } from '../db/models.ts';
import { cagesOfSteps } from './cage-tasks.ts';
import { eventsOfIssue } from './hole-events.ts';

/** One joint on a list: what it is, how far it is, and what about it needs a person. */
export interface JointSummary {
  id: string;
  jobId: string;
  kind: JointKind;
  title: string;
  savedAt: string;
  /** in the trade's words: `22 × MS20470AD4-5` */
  headline: string;
  state: 'unreadable' | 'impossible' | 'planned' | 'checking' | 'checked';
  holes: number;
  looked: number;
  verdicts: Record<Verdict, number>;
  attention: string[];
  /** rivets it takes, by part number; null while that is not known */
  parts: { partNumber: string; count: number }[] | null;
}

const NO_VERDICTS: Record<Verdict, number> = {
  accept: 0,
  'drive-more': 0,
  replace: 0,
  refer: 0
};

async function checkProgress(database: Database, jointId: string) {
  const issue = await database.models.JointIssue.findOne({
    where: { jointId },
    order: [['number', 'DESC']]
  });
  if (!issue) return null;
  const holes = await database.models.Hole.findAll({
    where: { issueId: issue.id, state: 'rivet' },
    attributes: ['number', 'stack']
  });
  const states = holeStates(
    holes.map((hole) => hole.number),
    await eventsOfIssue(database, issue.id)
  );
  const verdicts = { ...NO_VERDICTS };
  for (const { last } of states.values()) if (last) verdicts[last.judged.verdict] += 1;
  return { issue, holes: holes.length, verdicts, stacks: holes.map((hole) => hole.stack) };
}

/** The first reason why a joint cannot be made, or null. */
function refusalOf({ layout, stacks }: Plan): string | null {
  for (const answer of [layout, ...stacks.map(({ length }) => length)])
    if (!answer.ok) return answer.error.message;
  return null;
}

const MOST_PARTS_NAMED = 2;

/** Counts by part number. */
function partsOf({ stacks }: Plan): { partNumber: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const { rivets, length } of stacks)
    if (length.ok)
      counts.set(length.result.partNumber, (counts.get(length.result.partNumber) ?? 0) + rivets);
  return [...counts].map(([partNumber, count]) => ({ partNumber, count }));
}

/** `22 × MS20470AD4-5`, one such for every rivet the joint takes. */
function rivetsInWords(parts: ReturnType<typeof partsOf>): string {
  if (parts.length <= MOST_PARTS_NAMED)
    return parts.map(({ partNumber, count }) => `${count} × ${partNumber}`).join(', ');
  const all = parts.reduce((sum, { count }) => sum + count, 0);
  return `${all} rivets of ${parts.length} part numbers`;
}

/** Counts by part number of an issue: its holes by their stack. */
function issuedPartCounts(facts: IssuedFacts, stacksOfHoles: readonly number[]) {
  const counts = new Map<string, number>();
  for (const stack of stacksOfHoles) {
    const partNumber = facts.stacks[stack]?.partNumber ?? facts.partNumber;
    counts.set(partNumber, (counts.get(partNumber) ?? 0) + 1);
  }
  return [...counts].map(([partNumber, count]) => ({ partNumber, count }));
}

const issuedInWords = (holes: number, parts: string[]): string =>
  parts.length > MOST_PARTS_NAMED
    ? `${holes} rivets of ${parts.length} part numbers`
    : `${holes} × ${parts.join(', ')}`;

async function summarise(database: Database, joint: Joint): Promise<JointSummary> {
  const base = {
    id: joint.id,
    jobId: joint.jobId,
    kind: joint.definition.kind,
    title: joint.title,
    savedAt: joint.savedAt.toISOString(),
    holes: 0,
    looked: 0,
    verdicts: NO_VERDICTS,
    parts: null
  };
  const progress = await checkProgress(database, joint.id);
  if (progress && progress.issue.revision === joint.revision) {
    const { verdicts, holes, issue, stacks } = progress;
    const facts = IssuedFacts.parse(issue.facts);
    const looked = Object.values(verdicts).reduce((sum, count) => sum + count, 0);
    const attention: string[] = [];
    if (verdicts['drive-more'] > 0) attention.push(`${verdicts['drive-more']} to drive more`);
    if (verdicts.replace > 0) attention.push(`${verdicts.replace} to take out`);
    if (verdicts.refer > 0) attention.push(`${verdicts.refer} to refer`);
    return {
      ...base,
      headline: issuedInWords(holes, issuedParts(facts)),
      state: looked === holes ? 'checked' : 'checking',
      holes,
      looked,
      verdicts,
      attention,
      parts: issuedPartCounts(facts, stacks)
    };
  }
  const read = readStored(joint.definition);
  if (!read.ok)
    return {
      ...base,
      headline: 'not all filled in',
      state: 'unreadable',
      attention: [read.problems[0]?.message ?? 'a field cannot be read']
    };
  const changed = progress ? ['changed since it was issued'] : [];
  // Everyone would wait for the list while one joint's rows are solved.
  if (planCost(read.definition) > STEPS_FOR_A_LIST)
    return {
      ...base,
      headline: 'many holes past obstacles: open it to see them',
      state: 'planned',
      attention: changed
    };
  const profile = await database.models.Profile.findByPk(joint.profileId, { rejectOnEmpty: true });
  const planned = plan(read.definition, RuleProfile.parse(profile.rules));
  const refusal = refusalOf(planned);
  if (refusal !== null || !planned.layout.ok)
    return {
      ...base,
      headline: 'not possible as it stands',
      state: 'impossible',
      attention: [...changed, refusal ?? '']
    };
  const parts = partsOf(planned);
  const stops = planned.warnings.filter((warning) => warning.level === 'stop');
  return {
    ...base,
    headline: rivetsInWords(parts),
    parts,
    state: 'planned',
    holes: planned.layout.result.rivets,
    attention: [...changed, ...stops.map((warning) => warning.title)]
  };
}

const CAGE_WORDS: Record<RecheckStatus['state'], string> = {
  good: 'good',
  due: 're-check the countersink',
  'too-deep': 'cuts too deep, stop',
  proud: 'leaves heads too proud'
};

/** Joints of one job, or of all, in the order they were made. */
export async function listJoints(database: Database, jobId?: string): Promise<JointSummary[]> {
  const joints = await database.models.Joint.findAll({
    ...(jobId === undefined ? {} : { where: { jobId } }),
    order: [['title', 'ASC']]
  });
  return Promise.all(
    joints.map(async (joint) => {
      const [summary, cages] = await Promise.all([
        summarise(database, joint),
        cagesOfSteps(database, joint.id)
      ]);
      const wrong = [...cages.values()].filter(({ status }) => status.state !== 'good');
      return {
        ...summary,
        attention: [
          ...summary.attention,
          ...wrong.map(({ setting, status }) => `${setting.cage}: ${CAGE_WORDS[status.state]}`)
        ]
      };
    })
  );
}
