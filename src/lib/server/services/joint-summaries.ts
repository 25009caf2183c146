import type { Verdict } from '../../../core/check/findings.ts';
import { holeStates } from '../../../core/check/hole-events.ts';
import { readEntered } from '../../../core/joint/read-entered.ts';
import { plan } from '../../../core/plan.ts';
import { RuleProfile } from '../../../core/rules/profile.ts';
import type { Database } from '../db/connect.ts';
import type { Joint } from '../db/models.ts';
import { eventsOfIssue } from './hole-events.ts';

/** One joint on a list: what it is, how far it is, and what about it needs a person. */
export interface JointSummary {
  id: string;
  jobId: string;
  title: string;
  savedAt: string;
  /** in the trade's words: `22 × MS20470AD4-5` */
  headline: string;
  state: 'unreadable' | 'impossible' | 'planned' | 'checking' | 'checked';
  holes: number;
  looked: number;
  verdicts: Record<Verdict, number>;
  attention: string[];
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
    where: { issueId: issue.id },
    attributes: ['number']
  });
  const states = holeStates(
    holes.map((hole) => hole.number),
    await eventsOfIssue(database, issue.id)
  );
  const verdicts = { ...NO_VERDICTS };
  for (const { last } of states.values()) if (last) verdicts[last.judged.verdict] += 1;
  return { issue, holes: holes.length, verdicts };
}

async function summarise(database: Database, joint: Joint): Promise<JointSummary> {
  const base = {
    id: joint.id,
    jobId: joint.jobId,
    title: joint.title,
    savedAt: joint.savedAt.toISOString(),
    holes: 0,
    looked: 0,
    verdicts: NO_VERDICTS
  };
  const progress = await checkProgress(database, joint.id);
  if (progress && progress.issue.revision === joint.revision) {
    const { verdicts, holes, issue } = progress;
    const looked = Object.values(verdicts).reduce((sum, count) => sum + count, 0);
    const attention: string[] = [];
    if (verdicts['drive-more'] > 0) attention.push(`${verdicts['drive-more']} to drive more`);
    if (verdicts.replace > 0) attention.push(`${verdicts.replace} to take out`);
    if (verdicts.refer > 0) attention.push(`${verdicts.refer} to refer`);
    return {
      ...base,
      headline: `${holes} × ${issue.facts.partNumber}`,
      state: looked === holes ? 'checked' : 'checking',
      holes,
      looked,
      verdicts,
      attention
    };
  }
  const read = readEntered(joint.definition);
  if (!read.ok)
    return {
      ...base,
      headline: 'not all filled in',
      state: 'unreadable',
      attention: [read.problems[0]?.message ?? 'a field cannot be read']
    };
  const profile = await database.models.Profile.findByPk(joint.profileId, { rejectOnEmpty: true });
  const planned = plan(read.definition, RuleProfile.parse(profile.rules));
  const changed = progress ? ['changed since it was issued'] : [];
  if (!planned.layout.ok || !planned.length.ok) {
    const error = planned.layout.ok ? planned.length : planned.layout;
    return {
      ...base,
      headline: 'not possible as it stands',
      state: 'impossible',
      attention: [...changed, error.ok ? '' : error.error.message]
    };
  }
  const stops = planned.warnings.filter((warning) => warning.level === 'stop');
  return {
    ...base,
    headline: `${planned.layout.result.total} × ${planned.length.result.partNumber}`,
    state: 'planned',
    holes: planned.layout.result.total,
    attention: [...changed, ...stops.map((warning) => warning.title)]
  };
}

/** Joints of one job, or of all, in the order they were made. */
export async function listJoints(database: Database, jobId?: string): Promise<JointSummary[]> {
  const joints = await database.models.Joint.findAll({
    ...(jobId === undefined ? {} : { where: { jobId } }),
    order: [['title', 'ASC']]
  });
  return Promise.all(joints.map((joint) => summarise(database, joint)));
}
