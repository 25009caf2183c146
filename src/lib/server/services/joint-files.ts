import { isPractice } from '../../../core/joint/practice.ts';
import { PRACTICE_MARK } from '../../words/practice.ts';
import { inMetal, type InMetal } from '../../../core/releases/in-metal.ts';
import { jointFile } from '../../../core/exchange/joint-file.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import type { Plan } from '../../../core/plan/plan-shape.ts';
import { drawingStop, stopsOf } from '../../../core/plan/stops.ts';
import { PLAIN_FILE, type FileWish, type JointFileName } from '../../joint-files.ts';
import { orientationMarks } from '../../../core/prepare/orientation.ts';
import { readyPlan } from '../../../core/prepare/ready-plan.ts';
import type { Database } from '../db/connect.ts';
import { pdfChecklist, pdfLabels } from '../files/pdf-checklist.ts';
import type { PatternWish } from '../files/pattern-body.ts';
import { planOf, type PlannedJoint } from '../heavy/kept-plans.ts';
import { inThread } from '../heavy/threads.ts';
import type { LengthStyle } from '../../../core/units/format-length.ts';
import { cagesOfSteps } from './cage-tasks.ts';
import { drivingCard } from './driving-card.ts';
import { sinceReleased } from '../events/since-released.ts';
import { latestRelease } from './releases.ts';
import { getJoint } from './joints.ts';
import { shopFigures, timedWorks } from './ready.ts';
import { settingInWords } from '../../words/cages.ts';
import { stopInWords } from '../../words/warnings.ts';
import { writing, type WriteLength } from '../../words/writing.ts';
import type { MadeFile } from './made-file.ts';
import { sinceOfRelease } from './open-release.ts';
import { recordFileOf } from './record-files.ts';
import { because, done, refused, type Outcome } from '../outcome.ts';

const plainName = (title: string): string =>
  title
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'joint';

const IN_UNITS: ReadonlySet<JointFileName> = new Set(['marks.csv', 'heads.csv', 'pattern.dxf']);

/** A file as it is called: with the unit that it is in, or the paper that it is laid out for. */
const namedBy = (file: JointFileName, { unit, paper }: FileWish): string => {
  const told = IN_UNITS.has(file) ? unit : file.endsWith('.pdf') ? paper : null;
  return told === null ? file : file.replace('.', `-${told}.`);
};

/** What stops a joint, as it stands in every file of it. */
const stopsInWords = (planned: Plan, length: WriteLength): string[] =>
  stopsOf(planned).map((stop) => `STOP, do not build: ${stopInWords(stop, length)}`);

/** Measured: a hole of a tiled pattern and one of a table, in steps of a plan. */
const STEPS_A_DRAWN_HOLE = 5_000;
const STEPS_A_WRITTEN_HOLE = 500;

/** Makes one file of a joint as it is stored. */
export async function makeJointFile(
  database: Database,
  jointId: string,
  file: JointFileName,
  wish: FileWish = PLAIN_FILE,
  style: LengthStyle | null = null
): Promise<Outcome<MadeFile>> {
  const length = writing(style);
  const joint = await getJoint(database, jointId);
  if (!joint.ok) return joint;
  const { title, definition, profile, job, revision } = joint.value;
  const practice = isPractice(job);
  const name = `${practice ? 'practice-' : ''}${plainName(title)}-${namedBy(file, wish)}`;
  // what is driven is what was released, whatever the joint has become since
  if (file === 'driving.pdf') return drivingCard(database, joint.value, name, wish.paper, length);
  if (file === 'record.pdf' || file === 'record.json' || file === 'heads.csv')
    return recordFileOf(database, jointId, file, name, wish, length);
  const made = await planOf(joint.value);
  if (file === 'joint.json') {
    const warnings = [
      ...(practice ? [PRACTICE_MARK] : []),
      ...(made.ok ? stopsInWords(made.value.plan, length) : [])
    ];
    const body = jointFile(title, definition, profile, warnings);
    return done({ type: 'application/json', name, body: `${JSON.stringify(body, null, 2)}\n` });
  }
  if (!made.ok) return made;
  const { plan: planned, definition: read } = made.value;
  if (!planned.layout.ok) return refused('not-possible', because(planned.layout.error));
  const stop =
    file === 'checklist.pdf'
      ? stopsOf(planned)[0]
      : file === 'labels.pdf'
        ? undefined
        : drawingStop(planned);
  if (stop) return refused('not-possible', (words) => `${stopInWords(stop, words)} Fix it first.`);
  const layout = planned.layout.result;
  const words = practice
    ? `${PRACTICE_MARK}: ${title}, revision ${revision}`
    : `${title}, job ${job.number}, revision ${revision}`;
  const { paper, unit } = wish;
  switch (file) {
    case 'marks.csv': {
      const { stacks, warnings } = planned;
      const cost = STEPS_A_WRITTEN_HOLE * planned.holes.length;
      const reworked = await reworkedHoles(database, jointId, planned.holes);
      const { fixed } = made.value.definition;
      const { existing } = planned;
      const table = {
        ...{ layout, stacks, profile, unit, reworked, fixed, existing, warnings, style },
        mark: practice ? PRACTICE_MARK : ''
      };
      const body = await inThread('tabulated', table, cost);
      if (!body.ok) return body;
      return done({ type: 'text/csv; charset=utf-8', name, body: body.value });
    }
    case 'labels.pdf': {
      const body = await pdfLabels(words, paper, orientationMarks(title, layout.pieces));
      return done({ type: 'application/pdf', name, body });
    }
    case 'checklist.pdf': {
      const ready = await readySteps(database, jointId, made.value, profile);
      const body = await pdfChecklist(words, paper, ready.steps, ready.cages, length);
      return done({ type: 'application/pdf', name, body });
    }
    default:
      return patternFile(
        {
          file,
          wish,
          layout,
          profile,
          fixed: read.fixed,
          existing: planned.existing,
          reworked: await reworkedHoles(database, jointId, planned.holes),
          style
        },
        { words, plain: plainName(title), stops: stopsInWords(planned, length) },
        STEPS_A_DRAWN_HOLE * planned.holes.length
      );
  }
}

/** Holes of the plan that rework left another way, in the newest release or before it. */
async function reworkedHoles(
  database: Database,
  jointId: string,
  holes: Plan['holes']
): Promise<InMetal[]> {
  const release = await latestRelease(database, jointId);
  if (!release) return [];
  const { rework } = await sinceReleased(database, release.id, release, 'rework');
  return inMetal(holes, release, rework, await sinceOfRelease(database, release.id));
}

/** The steps of a joint and how their cages are set. */
async function readySteps(
  database: Database,
  jointId: string,
  { definition, plan }: PlannedJoint,
  profile: RuleProfile
) {
  const { steps } = readyPlan(
    definition,
    plan,
    profile,
    await shopFigures(database),
    await timedWorks(database)
  );
  const rests = new Map(steps.map(({ key, cageRests }) => [key, cageRests]));
  const cages = await cagesOfSteps(database, [jointId], (step) => rests.get(step) ?? null);
  const words = [...(cages.get(jointId) ?? [])].map(
    ([step, set]) => [step, settingInWords(set)] as const
  );
  return { steps, cages: new Map(words) };
}

const PATTERN_TYPES = {
  'pattern.pdf': 'application/pdf',
  'pattern.svg': 'image/svg+xml',
  'pattern.dxf': 'image/vnd.dxf'
} as const;

/** The pattern of one part, or of all parts on layers of their own. */
async function patternFile(
  given: Omit<PatternWish, 'title' | 'stops'>,
  { words, plain, stops }: { words: string; plain: string; stops: readonly string[] },
  cost: number
): Promise<Outcome<MadeFile>> {
  const { file, layout, wish } = given;
  const part = layout.parts.find((one) => one.key === wish.part);
  if (wish.part !== null && !part)
    return refused(
      'not-possible',
      `this joint has no part "${wish.part}"; its parts are ${layout.parts.map((one) => one.key).join(', ')}`
    );
  const title = `${words}, ${part ? part.name : 'all parts'}`;
  const made = await inThread('patterned', { ...given, title, stops }, cost);
  if (!made.ok) return made;
  if (!made.value.ok) return refused('not-possible', because(made.value.error));
  const { body } = made.value;
  return done({
    type: PATTERN_TYPES[file],
    name: [plain, ...(part ? [part.key] : []), namedBy(file, wish)].join('-'),
    body: typeof body === 'string' ? body : Buffer.from(body)
  });
}
