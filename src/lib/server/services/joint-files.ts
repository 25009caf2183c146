import { dxfR12 } from '../../../core/exchange/dxf-r12.ts';
import { jointFile } from '../../../core/exchange/joint-file.ts';
import { markColumns, markRows } from '../../../core/exchange/mark-rows.ts';
import { patternOf, withCaptions } from '../../../core/exchange/pattern.ts';
import { svgPattern } from '../../../core/exchange/svg.ts';
import { tile } from '../../../core/exchange/tiles.ts';
import { readEntered } from '../../../core/kinds/read-entered.ts';
import { plan } from '../../../core/plan/plan.ts';
import type { Joint } from '../../../core/kinds/joint.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import type { JointLayout, Plan, PlanWarning } from '../../../core/plan/plan-shape.ts';
import { drawingStop, stopsOf } from '../../../core/plan/stops.ts';
import { PLAIN_FILE, type FileWish, type JointFileName } from '../../joint-files.ts';
import { orientationMarks } from '../../../core/ready/orientation.ts';
import { readyPlan } from '../../../core/ready/ready-plan.ts';
import { writeCsv } from '../../exchange/csv.ts';
import type { Database } from '../db/connect.ts';
import { pdfChecklist, pdfLabels } from '../files/pdf-checklist.ts';
import { pdfPattern } from '../files/pdf-pattern.ts';
import { cagesOfSteps } from './cage-tasks.ts';
import { getJoint } from './joints.ts';
import { shopFigures, timedWorks } from './ready.ts';
import { settingInWords } from '../../words/cages.ts';
import { drilledInWords, SEEN_FROM } from '../../words/pattern.ts';
import { warningInWords } from '../../words/warnings.ts';
import { inInches, type WriteLength } from '../../words/writing.ts';
import { because, done, FIELD_MISSING, refused, type Outcome } from './outcome.ts';

export interface MadeFile {
  type: string;
  body: string | Buffer;
  /** as it is saved: the joint's name, plain letters only */
  name: string;
}

const plainName = (title: string): string =>
  title
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'joint';

const stopInWords = (stop: PlanWarning, length: WriteLength): string => {
  const { title, text } = warningInWords(stop, length);
  return `${title}: ${text}`;
};

/** What stops a joint, as it stands in every file of it. */
const stopsInWords = (planned: Plan, length: WriteLength): string[] =>
  stopsOf(planned).map((stop) => `STOP, do not build: ${stopInWords(stop, length)}`);

/** The stops that point at a hole, and those that point at none. */
const warningsOf = (planned: Plan, hole: number, length: WriteLength): string =>
  stopsOf(planned)
    .filter(({ holes }) => holes === undefined || holes.includes(hole))
    .map((stop) => `STOP: ${stopInWords(stop, length)}`)
    .join(' ');

/** Makes one file of a joint as it is stored. */
export async function makeJointFile(
  database: Database,
  jointId: string,
  file: JointFileName,
  { paper, unit, part }: FileWish = PLAIN_FILE,
  length: WriteLength = inInches
): Promise<Outcome<MadeFile>> {
  const joint = await getJoint(database, jointId);
  if (!joint.ok) return joint;
  const { title, definition, profile, job, revision } = joint.value;
  const name = `${plainName(title)}-${file}`;
  const read = readEntered(definition);
  if (file === 'joint.json') {
    const warnings = read.ok ? stopsInWords(plan(read.definition, profile), length) : [];
    const body = jointFile(title, definition, profile, warnings);
    return done({ type: 'application/json', name, body: `${JSON.stringify(body, null, 2)}\n` });
  }
  if (!read.ok) return refused('not-possible', because(read.problems[0] ?? FIELD_MISSING));
  const planned = plan(read.definition, profile);
  if (!planned.layout.ok) return refused('not-possible', because(planned.layout.error));
  const stop =
    file === 'checklist.pdf'
      ? stopsOf(planned)[0]
      : file === 'labels.pdf'
        ? undefined
        : drawingStop(planned);
  if (stop) return refused('not-possible', (words) => `${stopInWords(stop, words)} Mend it first.`);
  const layout = planned.layout.result;
  const words = `${title}, job ${job.number}, revision ${revision}`;
  if (file === 'marks.csv')
    return done({
      type: 'text/csv; charset=utf-8',
      name,
      body: writeCsv(
        markColumns(unit),
        markRows({
          layout,
          stacks: planned.stacks,
          profile,
          unit,
          warningOf: (hole) => warningsOf(planned, hole, length)
        })
      )
    });
  if (file === 'checklist.pdf' || file === 'labels.pdf') {
    const marks = orientationMarks(title, layout.pieces);
    const checklist = async () => {
      const { steps } = readyPlan(
        read.definition,
        planned,
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
    };
    if (file === 'labels.pdf')
      return done({ type: 'application/pdf', name, body: await pdfLabels(words, paper, marks) });
    const ready = await checklist();
    return done({
      type: 'application/pdf',
      name,
      body: await pdfChecklist(words, paper, ready.steps, ready.cages, length)
    });
  }
  return patternFile(
    file,
    { paper, unit, part },
    {
      layout,
      profile,
      definition: read.definition,
      words,
      plain: plainName(title),
      stops: stopsInWords(planned, length),
      length
    }
  );
}

/** What a pattern's file is made of. */
interface PatternMaterial {
  layout: JointLayout;
  profile: RuleProfile;
  definition: Joint;
  /** job, joint and revision */
  words: string;
  /** the joint's name as it stands in a file's */
  plain: string;
  stops: readonly string[];
  length: WriteLength;
}

/** The pattern of one part, or of all parts on layers of their own. */
async function patternFile(
  file: JointFileName,
  { paper, unit, part: key }: FileWish,
  { layout, profile, definition, words, plain, stops, length }: PatternMaterial
): Promise<Outcome<MadeFile>> {
  const part = layout.parts.find((one) => one.key === key);
  if (key !== null && !part)
    return refused(
      'not-possible',
      `this joint has no part "${key}"; its parts are ${layout.parts.map((one) => one.key).join(', ')}`
    );
  const name = (ending: string) => [plain, ...(part ? [part.key] : []), ending].join('-');
  const title = `${words}, ${part ? part.name : 'all parts'}`;
  const pattern = patternOf({ layout, profile, fixed: definition.fixed, part: key });
  const nameOf = (one: string | null) =>
    layout.parts.find((known) => known.key === one)?.name ?? '';
  const lines = [
    ...pattern.drills.map((row) => drilledInWords(row, nameOf(row.part), length)),
    SEEN_FROM
  ];
  if (file === 'pattern.pdf') {
    const tiling = tile(pattern, paper);
    if (!tiling.ok) return refused('not-possible', because(tiling.error));
    const body = await pdfPattern(pattern, tiling.result, { title, lines, stops });
    return done({ type: 'application/pdf', name: name(`${paper}.pdf`), body });
  }
  const captioned = withCaptions(pattern, [
    { layer: 'TEXT', text: title },
    ...stops.map((text) => ({ layer: 'WARNINGS' as const, text })),
    ...lines.map((text) => ({ layer: 'TEXT' as const, text }))
  ]);
  return file === 'pattern.svg'
    ? done({ type: 'image/svg+xml', name: name(file), body: svgPattern(captioned, title, stops) })
    : done({ type: 'image/vnd.dxf', name: name(file), body: dxfR12(captioned, title, unit) });
}
