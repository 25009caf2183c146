import { blindOnRecordInWords } from '../../words/blind-rivets.ts';
import { oldWorkLines } from '../../words/old-work.ts';
import { timesInWords } from '../../words/icebox.ts';
import { z } from 'zod';
import { surroundings } from '../../../core/reworking/surroundings.ts';
import { voidedLooks, type JointRecord, type Seal } from '../../../core/signing/record.ts';
import { headLimits, limitsCalled } from '../../../core/catalog/head-limits.ts';
import { rivetSize } from '../../../core/catalog/rivets.ts';
import { PAPERS, type Paper } from '../../../core/exchange/tiles.ts';
import { CANNOT_TELL, FINDING_NAMES, PLACE_WORDS } from '../../words/heads.ts';
import { lookSaid } from '../../words/looks.ts';
import { carriedInWords, driveMoveInWords, reworkEventInWords } from '../../words/history.ts';
import { RESULT_NAMES } from '../../words/results.ts';
import { ASSUMED, toldInWords } from '../../words/signing.ts';
import type { WriteLength } from '../../words/writing.ts';
import { whenUtc } from '../../words/when.ts';
import { PRACTICE_MARK } from '../../words/practice.ts';
import { pdfPages, pt, type Face } from './pdf-pages.ts';
import { heading, LEFT, line, table, type Sheet } from './pdf-sheet.ts';

/** What lies around a hole that a question was put about, to scale. */
function closeUp({ page, footPt }: Sheet, { release, holes }: JointRecord, number: number): void {
  const around = surroundings(
    {
      facts: release.facts,
      holes: holes.map((hole) => ({ ...hole, stack: -1 })),
      heldOpen: []
    },
    number
  );
  if (!around) return;
  const side = pt(1.8);
  if (page.y + side > footPt) {
    page.addPage();
    page.y = pt(0.6);
  }
  const scale = side / around.widthIn;
  const top = page.y + 4;
  const at = (xIn: number, yIn: number): [number, number] => [
    LEFT + xIn * scale,
    top + yIn * scale
  ];
  const { left, right, top: upper, bottom } = around.edges;
  const [x0, y0] = at(left ?? 0, upper ?? 0);
  const [x1, y1] = at(right ?? around.widthIn, bottom ?? around.heightIn);
  page.save().rect(LEFT, top, side, side).clip();
  page
    .lineWidth(0.8)
    .rect(x0, y0, x1 - x0, y1 - y0)
    .stroke();
  for (const hole of [...around.others, around.hole]) {
    const [x, y] = at(hole.xIn, hole.yIn);
    const r = (hole.diameterIn / 2) * scale;
    page
      .lineWidth(hole === around.hole ? 1.6 : 0.6)
      .circle(x, y, r)
      .stroke();
    page
      .font('Helvetica')
      .fontSize(6)
      .text(String(hole.number), x - 10, y - r - 8, {
        width: 20,
        align: 'center',
        lineBreak: false
      });
  }
  page.restore();
  page.x = LEFT;
  page.y = top + side + 6;
}

/** The holes where they lie, numbered as far as numbers have room. */
function plan({ page, widthPt, footPt }: Sheet, { release, holes }: JointRecord): void {
  const { widthIn, overlapIn } = release.facts;
  const scale = Math.min(widthPt / widthIn, pt(3.2) / Math.max(overlapIn, 0.5));
  const high = overlapIn * scale;
  if (page.y + high + pt(0.4) > footPt) {
    page.addPage();
    page.y = pt(0.6);
  }
  const top = page.y + pt(0.1);
  page
    .lineWidth(0.8)
    .rect(LEFT, top, widthIn * scale, high)
    .stroke();
  const every = holes.length * pt(0.14) > widthPt * 4 ? 5 : 1;
  for (const { number, xIn, yIn, heldOpen } of holes) {
    const [x, y] = [LEFT + xIn * scale, top + yIn * scale];
    const r = Math.max(1.2, Math.min(4, 0.06 * scale));
    page.lineWidth(0.6).circle(x, y, r);
    if (heldOpen === '') page.stroke();
    else page.dash(1.5, { space: 1 }).stroke().undash();
    if (number === 1 || number === holes.length || number % every === 0)
      page
        .font('Helvetica')
        .fontSize(5)
        .text(String(number), x - 8, y - r - 6, { width: 16, align: 'center', lineBreak: false });
  }
  page.x = LEFT;
  page.y = top + high + pt(0.08);
}

/** As releases freeze them; the first ones froze what was typed. */
const Sheets = z.looseObject({
  sheets: z.array(
    z.looseObject({
      name: z.string(),
      thicknessIn: z.union([z.number(), z.string()]),
      material: z.string()
    })
  )
});
/** The sheets of a joint in the order from the manufactured heads: which, how thick, of what. */
function sheetsOf(definition: unknown, length: WriteLength): string[] {
  const read = Sheets.safeParse(definition);
  return read.success
    ? read.data.sheets.map(
        ({ name, thicknessIn, material }, at) =>
          `${at + 1}. ${name}: ${typeof thicknessIn === 'number' ? length(thicknessIn, 'fine') : `"${thicknessIn}"`}, ${material === '' ? 'material not specified' : material}`
      )
    : ['See the JSON record.'];
}

/**
 * The record of one release on paper, for an inspector who has never seen the program.
 *
 * @param seal printed on it: the JSON of the record reproduces its digest
 * @param titleNow what the joint is called by now: it may have been given another name since it was signed
 */
export const pdfRecord = (
  record: JointRecord,
  seal: Seal,
  { paper, titleNow }: { paper: Paper; titleNow: string },
  length: WriteLength
): Promise<Buffer> => {
  const { joint, release, holes, heads, rework, driving, batches, settings, signature } = record;
  const { facts } = release;
  const title = facts.practice
    ? `${PRACTICE_MARK}. Practice record: ${joint.title}, release ${release.number}`
    : `Record: ${joint.title}, job ${joint.job.number}, release ${release.number}`;
  return pdfPages(title, paper, (page) => {
    const sheet: Sheet = {
      page,
      widthPt: pt(PAPERS[paper].wIn - 1.2),
      footPt: pt(PAPERS[paper].hIn - 0.75)
    };
    const say = (words: string, face: Face = 'plain', size = 9) => line(sheet, face, size, words);
    page.y = pt(0.6);
    say(title, 'bold', 15);
    if (titleNow !== joint.title)
      say(`On record as “${joint.title}”; the joint is called “${titleNow}” now.`);
    say(
      signature
        ? `SIGNED by ${signature.by} (${signature.entitled}), ${whenUtc(signature.at)}`
        : facts.practice
          ? 'PRACTICE RECORD: not signed'
          : 'NOT SIGNED: for information only',
      'bold',
      12
    );
    say(`Digest: ${seal.digest}`, 'plain', 8);
    say(
      `${seal.method}. The record as JSON reproduces it: ./zanjador verify FILE DIGEST`,
      'plain',
      8
    );
    say(`${joint.job.title}; ${joint.job.place}. Data: ${joint.job.data}`);
    say(
      `Released ${whenUtc(release.issuedAt)} by ${release.issuedBy}, revision ${release.revision} of the joint.`
    );
    say(
      `${holes.filter(({ partNumber }) => partNumber !== null).length} rivets, ${heads.length} head inspections, ${rework.filter(({ move }) => move.kind === 'out').length} rivets removed, ${rework.filter(({ move }) => move.kind === 'referred').length} questions referred.`
    );
    say(
      'Approved data, local rules and licensed people decide; this record shows what was logged.',
      'slanted'
    );

    heading(sheet, 'Plan, seen from the side of the manufactured heads; to scale, not full size');
    plan(sheet, record);

    heading(sheet, 'Sheets, from the manufactured heads on');
    for (const words of sheetsOf(release.definition, length)) say(words);

    heading(sheet, 'Rivets and limits');
    const { diameterD, heightD } = headLimits(facts.limits);
    for (const part of new Set(holes.flatMap(({ partNumber }) => partNumber ?? []))) {
      const own = holes.filter(({ partNumber }) => partNumber === part);
      const [first] = own;
      if (!first) continue;
      const D = rivetSize(first.dash).diameterIn;
      say(
        `${own.length} × ${part}: hole ${length(first.holeIn ?? 0)}, grip ${length(first.gripIn ?? 0)}, length ${length(first.lengthIn ?? 0)}. Heads by ${limitsCalled(facts.limits)} limits${facts.limitsReference === null ? '' : ` (${facts.limitsReference})`}: ${length(diameterD.low * D)} to ${length(diameterD.high * D)} wide (${diameterD.low} to ${diameterD.high} D), ${length(heightD.low * D)} to ${length(heightD.high * D)} high (${heightD.low} to ${heightD.high} D).`
      );
    }
    for (const { move, by } of driving)
      if (move.kind === 'loaded')
        say(`Lot ${move.lot} of ${move.part} from ${whenUtc(move.at)} on, ${by}`);
    for (const { lot, partNumber, count, removedAt, times } of batches)
      say(
        `Icebox batch: ${count} × ${partNumber}, lot ${lot}, ${whenUtc(removedAt)}${times ? `. ${timesInWords(partNumber, times)}` : ''}`
      );

    heading(sheet, 'Holes without a rivet');
    const open = holes.filter(({ heldOpen }) => heldOpen !== '');
    if (open.length === 0) say('None.');
    for (const { number, heldOpen, blind } of open)
      say(
        `Hole ${number}: ${heldOpen}${blind ? `. ${blindOnRecordInWords(blind, whenUtc, length)}` : ''}`
      );

    if (record.oldWork) {
      heading(sheet, 'Old work: found in service. It does not count for a release');
      for (const words of oldWorkLines(record.oldWork, whenUtc)) say(words);
    }

    heading(sheet, 'Settings of tools and their first heads');
    if (settings.length === 0) say('None on record.');
    for (const { tool, part, begunAt, by, released, firstHeads } of settings)
      say(
        `${tool} for ${part ?? 'no run'}, ${whenUtc(begunAt)}, ${by}: ${released ? 'released' : 'NOT released'}; heads ${firstHeads.map(({ verdict }) => verdict).join(', ') || 'none'}`
      );

    heading(sheet, 'Driving, in the order logged');
    const driven = driving.filter(({ move }) => move.kind === 'driven' || move.kind === 'undriven');
    if (driven.length === 0) say('Not logged.');
    else
      table(
        sheet,
        ['Hole', 'What', 'Part', 'By', 'When'],
        [0.08, 0.24, 0.24, 0.22, 0.22],
        driven.map(({ move, by, frozen }) => [
          'hole' in move ? String(move.hole) : '',
          driveMoveInWords(
            move,
            { frozen: { ...frozen, partNumber: null }, by },
            () => null,
            length
          ),
          frozen.partNumber ?? '',
          by,
          whenUtc(move.at)
        ])
      );

    const voided = voidedLooks(rework);
    heading(sheet, 'Inspection log');
    if (heads.length === 0) say('None.');
    else
      table(
        sheet,
        ['Hole', 'Diameter', 'Height', 'in D', 'Result', 'Findings, not determined', 'By', 'When'],
        [0.06, 0.11, 0.11, 0.11, 0.11, 0.22, 0.13, 0.15],
        heads.map(({ move, by, frozen }) => [
          String(move.hole),
          move.kind === 'checked'
            ? length(move.diameterIn)
            : move.kind === 'gauged'
              ? move.plate.name
              : 'visual',
          move.kind === 'checked' ? length(move.heightIn) : '',
          frozen.diameterD === null || frozen.heightD === null
            ? ''
            : `${frozen.diameterD.toFixed(2)} × ${frozen.heightD.toFixed(2)}`,
          lookSaid(move, frozen, voided),
          [
            ...(voided.has(move.id) ? [`voided: ${voided.get(move.id) ?? ''}`] : []),
            ...(move.clean ?? []).map((place) => `${PLACE_WORDS[place]} clean`),
            ...frozen.findings.map((finding) => FINDING_NAMES[finding]),
            ...frozen.cannotTell.map((one) => `not determined: ${CANNOT_TELL[one]}`),
            ...(move.carried ? [carriedInWords(move.carried)] : [])
          ].join('; '),
          by,
          whenUtc(move.at)
        ])
      );

    heading(sheet, 'Rework and engineering questions');
    if (rework.length === 0) say('None.');
    for (const { move, by, frozen } of rework) {
      const at = `${whenUtc(move.at)}, ${by}: `;
      say(
        `${at}${reworkEventInWords(move, frozen, length)}`,
        move.kind === 'referred' ? 'bold' : 'plain'
      );
      if (move.kind === 'referred' && move.hole !== null) closeUp(sheet, record, move.hole);
    }

    heading(sheet, 'Acknowledged by the signer');
    if (record.told.length === 0) say('Nothing.');
    for (const told of record.told) say(`· ${toldInWords(told)}`);

    heading(sheet, 'Assumptions');
    for (const words of ASSUMED) say(`· ${words}`);

    heading(sheet, 'Arithmetic');
    say(
      'in D = measured / D; D = dash / 32 in. A head is good where both lie within the limits above, ends included.'
    );
    for (const { number, dash, gripIn, lengthIn } of holes
      .filter(({ partNumber }) => partNumber !== null)
      .slice(0, 1))
      say(
        `Hole ${number}: D = ${dash} / 32 in = ${length(dash / 32)}; protrusion = ${length(lengthIn ?? 0)} - ${length(gripIn ?? 0)} = ${length((lengthIn ?? 0) - (gripIn ?? 0))}.`
      );
    for (const { move, frozen } of heads)
      if (move.kind === 'checked' && frozen.diameterD !== null && frozen.heightD !== null)
        say(
          `Head ${move.hole}: ${length(move.diameterIn)} / D = ${frozen.diameterD.toFixed(3)} D wide; ${length(move.heightIn)} / D = ${frozen.heightD.toFixed(3)} D high: ${RESULT_NAMES[frozen.verdict]}`,
          'plain',
          8
        );
  });
};
