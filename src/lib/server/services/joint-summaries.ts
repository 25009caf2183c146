import {
  inspectedOf,
  markCounts,
  type HoleMark,
  type MarkCounts
} from '../../../core/releases/release-count.ts';
import { releasedParts } from '../../../core/release/release.ts';
import type { JointKind } from '../../../core/kinds/joint.ts';
import {
  SUMMARY_VERSION,
  type PartCount,
  type PlanSummary
} from '../../../core/release/summary.ts';
import type { RecheckStatus } from '../../../core/prepare/cage/rechecks.ts';
import { stagesSoFar, type StageMark } from '../../../core/releases/stages-so-far.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { cagesOfSteps } from './cage-tasks.ts';
import { readFacts } from './documents.ts';
import { makeSummaries } from './kept-summaries.ts';
import { warningInWords } from '../../words/warnings.ts';
import { fieldName } from '../../words/field-names.ts';
import { RESULT_NAMES } from '../../words/results.ts';
import { refusalInWords } from '../../words/refusals.ts';
import { inInches, plural, type WriteLength } from '../../words/writing.ts';

/** One joint on a list: what it is, how far it is, and what about it needs a person. */
export interface JointSummary {
  id: string;
  jobId: string;
  /** null where its record cannot be read */
  kind: JointKind | null;
  title: string;
  savedAt: string;
  /** in the trade's words: `22 × MS20470AD4-5` */
  headline: string;
  state: 'unreadable' | 'impossible' | 'planned' | 'checking' | 'checked' | 'signed';
  /** who signed its newest release */
  signedBy: string | null;
  holes: number;
  /** holes whose inspection is complete */
  inspected: number;
  /** rivets logged as driven, and in their holes */
  driven: number;
  marks: MarkCounts;
  /** how far it is at each of its seven stages */
  stages: StageMark[];
  /** fields are still empty, and nothing else is wrong */
  isOnlyUnfilled: boolean;
  /** last saved or released by whoever asks */
  mine: boolean;
  attention: string[];
  /** what needs someone first: 0 metal that is wrong, 1 what stops it, 2 what is missing, 3 a setting to look at again */
  urgency: 0 | 1 | 2 | 3;
  /** rivets it takes, by part number; null while that is not known */
  parts: PartCount[] | null;
}

interface JointRow {
  id: string;
  job_id: string;
  title: string;
  saved_at: Date;
  revision: number;
  version: number | null;
  summary: PlanSummary | null;
  prepared: boolean;
  mine: boolean;
}

interface ReleaseRow {
  id: string;
  joint_id: string;
  revision: number;
  facts: unknown;
  document_version: number;
  stacks: { stack: number; count: number }[] | null;
  marks: Partial<Record<HoleMark, number>> | null;
  driven: number;
  /** holes whose rivet was replaced, or is out */
  reworked: { stage: string; stack: number; part: string | null }[] | null;
  questions: number;
  signed_by: string | null;
}

const MOST_PARTS_NAMED = 2;

/** `22 × MS20470AD4-5`, one such for every rivet the joint takes. */
function rivetsInWords(parts: readonly PartCount[]): string {
  if (parts.length <= MOST_PARTS_NAMED)
    return parts.map(({ partNumber, count }) => `${count} × ${partNumber}`).join(', ');
  const all = parts.reduce((sum, { count }) => sum + count, 0);
  return `${all} rivets of ${parts.length} part numbers`;
}

const releasedInWords = (holes: number, parts: readonly string[]): string =>
  parts.length > MOST_PARTS_NAMED
    ? `${holes} rivets of ${parts.length} part numbers`
    : `${holes} × ${parts.join(', ')}`;

const HEADLINES: Record<Exclude<PlanSummary['state'], 'planned'>, string> = {
  unreadable: 'not all filled in',
  impossible: 'not feasible',
  costly: 'many holes around keep-outs: open to calculate'
};

type Told = Omit<JointSummary, 'id' | 'jobId' | 'kind' | 'title' | 'savedAt' | 'mine'>;
const NOTHING = {
  holes: 0,
  inspected: 0,
  driven: 0,
  marks: markCounts({}),
  stages: [] as StageMark[],
  isOnlyUnfilled: false,
  parts: null,
  signedBy: null,
  urgency: 2 as const
};

function asReleased(release: ReleaseRow, prepared: boolean, length: WriteLength): Told {
  const facts = readFacts(release.document_version, release.facts);
  if (!facts.ok)
    return {
      ...NOTHING,
      headline: 'its release cannot be read',
      state: 'unreadable',
      stages: stagesSoFar(null, prepared, null),
      attention: [refusalInWords(facts.problem, length)]
    };
  const stacks = release.stacks ?? [];
  const holes = stacks.reduce((sum, { count }) => sum + count, 0);
  const marks = markCounts(release.marks ?? {});
  const attention: string[] = [];
  for (const mark of ['drive-more', 'replace', 'refer', 'measure'] as const)
    if (marks[mark] > 0) attention.push(`${marks[mark]} to ${RESULT_NAMES[mark]}`);
  const reworked = release.reworked ?? [];
  if (marks.out > 0) attention.push(plural(marks.out, RESULT_NAMES.out));
  if (release.questions > 0)
    attention.push(`${release.questions} question${release.questions === 1 ? '' : 's'} open`);
  const counts = new Map<string, number>();
  for (const { stack, count } of stacks) {
    const part = facts.value.stacks[stack]?.partNumber ?? facts.value.partNumber;
    counts.set(part, (counts.get(part) ?? 0) + count);
  }
  // another rivet goes in than was issued, or none: a blind fastener is no rivet of a bin
  const blind = reworked.filter(({ stage }) => stage === 'blind').length;
  for (const { stage, stack, part } of reworked) {
    const was = facts.value.stacks[stack]?.partNumber ?? facts.value.partNumber;
    if (part === null && stage !== 'blind') continue;
    counts.set(was, (counts.get(was) ?? 0) - 1);
    if (part !== null) counts.set(part, (counts.get(part) ?? 0) + 1);
  }
  const inspected = inspectedOf(marks);
  const isChecked = inspected === holes - blind;
  return {
    signedBy: release.signed_by,
    headline: releasedInWords(holes, releasedParts(facts.value)),
    state: release.signed_by !== null ? 'signed' : isChecked ? 'checked' : 'checking',
    holes: holes - blind,
    inspected,
    driven: release.driven,
    marks,
    stages: stagesSoFar(null, prepared, {
      holes: holes - blind,
      driven: release.driven,
      marks,
      questions: release.questions,
      signed: release.signed_by !== null
    }),
    isOnlyUnfilled: false,
    attention,
    urgency: attention.length > 0 ? 0 : 3,
    parts: [...counts]
      .filter(([, count]) => count > 0)
      .map(([partNumber, count]) => ({ partNumber, count }))
  };
}

function asPlanned(
  summary: PlanSummary | null | undefined,
  { released, prepared }: { released: boolean; prepared: boolean },
  length: WriteLength
): Told {
  if (!summary)
    return {
      ...NOTHING,
      headline: 'its record cannot be read',
      state: 'unreadable',
      stages: stagesSoFar(null, prepared, null),
      attention: ['Stored in a format this version cannot read.']
    };
  const { state, holes, parts, attention } = summary;
  const changed = released && state !== 'unreadable' ? ['changed since it was released'] : [];
  return {
    ...NOTHING,
    holes,
    parts,
    stages: stagesSoFar(summary, prepared, null),
    isOnlyUnfilled: attention.every((one) => 'missing' in one),
    headline:
      state !== 'planned'
        ? HEADLINES[state]
        : parts === null
          ? `${holes} holes, stopped: its rivets are not counted`
          : rivetsInWords(parts),
    state: state === 'costly' ? 'planned' : state,
    urgency: changed.length > 0 ? 0 : URGENCY[attention.length > 0 ? state : 'costly'],
    attention: [
      ...changed,
      ...attention.map((one) =>
        'stop' in one
          ? warningInWords({ said: one.stop }, length).title
          : 'missing' in one
            ? `${fieldName(one.missing, null).replace(', ', ' ')} missing`
            : refusalInWords(one.why, length)
      )
    ]
  };
}

/** A planned joint that needs someone is stopped by a limit. */
const URGENCY = { impossible: 1, planned: 1, unreadable: 2, costly: 3 } as const;

const CAGE_WORDS: Record<RecheckStatus['state'], string> = {
  good: 'good',
  due: 're-check the countersink',
  'film-unsaid': 're-check on the bare work',
  'too-deep': 'cuts too deep, stop',
  proud: 'leaves heads too high'
};

/** The newest release of each joint, with its holes counted by stack and by what their heads come to. */
const releasesOf = (database: Database, jointIds: readonly string[]): Promise<ReleaseRow[]> =>
  rowsOf<ReleaseRow>(database, 'select * from joints_stand($1::uuid[])', [[...jointIds]]);

/** Which joints a list asks for: of one job, or of those open or in the archive. */
export interface WhichJoints {
  job?: string | null;
  closed?: boolean;
  /** who asks: what they saved or released last is theirs */
  person?: string | null;
}

const jointRows = (
  database: Database,
  { job = null, closed = false, person = null }: WhichJoints
): Promise<JointRow[]> =>
  rowsOf<JointRow>(
    database,
    `select j.id, j.job_id, j.title, j.saved_at, j.revision, s.version, s.summary,
       exists (select from step_events e where e.subject_id = j.id) as prepared,
       j.saved_by = $3::uuid is true or exists
         (select from joint_issues i where i.joint_id = j.id and i.issued_by = $3::uuid) as mine
     from joints j join jobs b on b.id = j.job_id left join joint_summaries s on s.joint_id = j.id
     where case when $1::uuid is null then (b.closed_at is not null) = $2 else j.job_id = $1 end order by j.title, j.id`,
    [job, closed, person]
  );
const idsOf = (joints: readonly { id: string }[]): string[] => joints.map(({ id }) => id);

/** Joints with what is kept of them; the release is null where the joint was changed since, or was never released. */
async function standing(database: Database, joints: readonly JointRow[]) {
  const stale = joints.filter(({ version }) => version !== SUMMARY_VERSION);
  const [made, releases] = await Promise.all([
    makeSummaries(database, idsOf(stale)),
    releasesOf(database, idsOf(joints))
  ]);
  const releaseOf = new Map(releases.map((release) => [release.joint_id, release]));
  return joints.map((row) => {
    const release = releaseOf.get(row.id);
    return {
      row,
      summary: row.version === SUMMARY_VERSION ? row.summary : made.get(row.id),
      released: release !== undefined,
      release: release?.revision === row.revision ? release : null
    };
  });
}

/** Joints of one job, or of all, by title. However many there are, they are read in a fixed number of queries. */
export async function listJoints(
  database: Database,
  length: WriteLength = inInches,
  which: WhichJoints = {}
): Promise<JointSummary[]> {
  const rows = await jointRows(database, which);
  const [joints, cages] = await Promise.all([
    standing(database, rows),
    cagesOfSteps(database, idsOf(rows))
  ]);
  return joints.map(({ row, summary, released, release }) => {
    const { prepared, mine } = row;
    const told = release
      ? asReleased(release, prepared, length)
      : asPlanned(summary, { released, prepared }, length);
    const wrong = [...(cages.get(row.id)?.values() ?? [])].filter(
      ({ status }) => status.state !== 'good'
    );
    return {
      id: row.id,
      jobId: row.job_id,
      kind: summary?.kind ?? null,
      title: row.title,
      savedAt: row.saved_at.toISOString(),
      mine,
      ...told,
      attention: [
        ...told.attention,
        ...wrong.map(({ setting, status }) => `${setting.cage}: ${CAGE_WORDS[status.state]}`)
      ]
    };
  });
}

/** The rivets that every joint takes; null while they are not known. */
export async function partsOfJoints(
  database: Database
): Promise<Pick<JointSummary, 'jobId' | 'title' | 'parts'>[]> {
  const joints = await standing(database, await jointRows(database, {}));
  return joints.map(({ row, summary, release }) => ({
    jobId: row.job_id,
    title: row.title,
    parts: release ? asReleased(release, false, inInches).parts : (summary?.parts ?? null)
  }));
}
