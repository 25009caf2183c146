import { voidedLooks, type JointRecord } from '../../../core/signing/record.ts';
import type { FileWish } from '../../joint-files.ts';
import { writeCsv } from '../../exchange/csv.ts';
import { MM_PER_IN } from '../../../core/units/factors.ts';
import { carriedInWords } from '../../words/history.ts';
import { CANNOT_TELL, FINDING_NAMES, PLACE_WORDS } from '../../words/heads.ts';
import type { LookVerdict } from '../../../core/inspect/findings.ts';
import { RESULT_NAMES } from '../../words/results.ts';
import { verdictOfLook } from '../../../core/inspect/hole-look.ts';
import type { WriteLength } from '../../words/writing.ts';
import type { Database } from '../db/connect.ts';
import { PRACTICE_MARK } from '../../words/practice.ts';
import { pdfRecord } from '../files/pdf-record.ts';
import type { MadeFile } from './made-file.ts';
import { done, type Outcome } from '../outcome.ts';
import { recordFile } from './signing.ts';

/** The record of the newest release: to be read, to be held against its seal, or its heads as a table. */
export async function recordFileOf(
  database: Database,
  jointId: string,
  file: 'record.pdf' | 'record.json' | 'heads.csv',
  name: string,
  wish: FileWish,
  length: WriteLength
): Promise<Outcome<MadeFile>> {
  const found = await recordFile(database, jointId);
  if (!found.ok) return found;
  const { record, seal, asSigned, titleNow } = found.value;
  if (file === 'record.json')
    return done({
      type: 'application/json',
      name,
      body: `${JSON.stringify({ record: asSigned, seal }, null, 2)}\n`
    });
  if (file === 'heads.csv')
    return done({
      type: 'text/csv; charset=utf-8',
      name,
      body: headsTable(record, titleNow, wish.unit)
    });
  const body = await pdfRecord(record, seal, { paper: wish.paper, titleNow }, length);
  return done({ type: 'application/pdf', name, body });
}

const saidOf = (verdict: LookVerdict | null): string =>
  verdict === null ? '' : RESULT_NAMES[verdict];

/** Every look at every head, one a line, in the order recorded. */
function headsTable(
  { joint, release, heads, holes, rework }: JointRecord,
  titleNow: string,
  unit: 'in' | 'mm'
): string {
  const voided = voidedLooks(rework);
  const by = new Map(holes.map((hole) => [hole.number, hole]));
  const sized = (valueIn: number) =>
    (unit === 'mm' ? valueIn * MM_PER_IN : valueIn).toFixed(unit === 'mm' ? 3 : 4);
  const wide = `diameter_${unit}`;
  const high = `height_${unit}`;
  const data = heads.map(
    ({ by: who, sentBy = '', move, frozen }): Record<string, string | number> => ({
      joint: release.facts.practice ? `${PRACTICE_MARK}: ${joint.title}` : joint.title,
      joint_now: titleNow,
      release: release.number,
      hole: move.hole,
      row: by.get(move.hole)?.row ?? '',
      part_in_it_now: by.get(move.hole)?.partNumber ?? '',
      way:
        move.kind === 'checked'
          ? (move.how ?? 'calipers')
          : move.kind === 'gauged'
            ? `plate ${move.plate.name}`
            : 'eye',
      [wide]: move.kind === 'checked' ? sized(move.diameterIn) : '',
      [high]: move.kind === 'checked' ? sized(move.heightIn) : '',
      diameter_D: frozen.diameterD?.toFixed(3) ?? '',
      height_D: frozen.heightD?.toFixed(3) ?? '',
      verdict: verdictOfLook(move, frozen) ?? '',
      verdict_in_words: saidOf(verdictOfLook(move, frozen)),
      findings: frozen.findings.map((finding) => FINDING_NAMES[finding]).join('; '),
      finding_codes: frozen.findings.join('; '),
      not_told: frozen.cannotTell.map((one) => CANNOT_TELL[one]).join('; '),
      taken_over: carriedInWords(move.carried),
      looked_at_by: who,
      at: move.at,
      clean: (move.clean ?? []).map((place) => PLACE_WORDS[place]).join('; '),
      voided: voided.get(move.id) ?? '',
      sent_by: sentBy
    })
  );
  const fields = [
    'joint',
    'joint_now',
    'release',
    'hole',
    'row',
    'part_in_it_now',
    'way',
    wide,
    high,
    'diameter_D',
    'height_D',
    'verdict',
    'verdict_in_words',
    'findings',
    'finding_codes',
    'not_told',
    'taken_over',
    'looked_at_by',
    'at',
    'clean',
    'voided',
    'sent_by'
  ];
  return writeCsv(fields, data);
}
