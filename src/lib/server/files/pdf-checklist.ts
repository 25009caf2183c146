import type { OrientationMark } from '../../../core/prepare/orientation.ts';
import type { ReadyStep } from '../../../core/prepare/step-list.ts';
import { stepInWords } from '../../words/ready-steps.ts';
import type { WriteLength } from '../../words/writing.ts';
import { PAPERS, type Paper } from '../../../core/exchange/tiles.ts';
import { inFont, pdfPages, pt, type Face, type Page } from './pdf-pages.ts';

const LEFT = pt(0.6);
const TEXT_LEFT = pt(1);
const RIGHT_IN = 0.6;
const wideOf = (paper: Paper): number => pt(PAPERS[paper].wIn - 2 * RIGHT_IN);
const footOf = (paper: Paper): number => pt(PAPERS[paper].hIn - 0.75);

/** Writes a text where the page stands, in the font that has its letters. */
function write(
  page: Page,
  face: Face,
  size: number,
  words: string,
  at: { x?: number; y?: number; width: number; height?: number }
): void {
  const printed = inFont(page, face, words);
  const { x = page.x, y = page.y, ...options } = at;
  page.fontSize(size).text(printed, x, y, { ...options, ellipsis: options.height !== undefined });
}

/**
 * The steps before the first rivet as a list to tick on paper.
 *
 * @param paper what it is printed on
 * @param cages how the cage of a step is set, by the step's key
 * @param length how its lengths are written
 */
export const pdfChecklist = (
  title: string,
  paper: Paper,
  steps: readonly ReadyStep[],
  cages: ReadonlyMap<string, string>,
  length: WriteLength
): Promise<Buffer> =>
  pdfPages(title, paper, (page) => {
    const width = wideOf(paper) - pt(0.4);
    write(page, 'bold', 15, `Prepare: ${title}`, { x: LEFT, y: pt(0.6), width: wideOf(paper) });
    write(
      page,
      'plain',
      9,
      'The program advises; approved data, local rules and the licensed person decide. Who and when beside each box.',
      { width: wideOf(paper) }
    );
    page.moveDown(0.6);
    for (const [index, step] of steps.entries()) {
      const { title: what, say, tool, setting, caution } = stepInWords(step, length);
      if (page.y > footOf(paper) - pt(0.9)) page.addPage();
      const top = page.y;
      page.rect(LEFT, top, pt(0.2), pt(0.2)).lineWidth(0.8).stroke();
      write(page, 'bold', 11, `${index + 1}. ${what}: ${step.count} ${step.unit}`, {
        x: TEXT_LEFT,
        y: top,
        width
      });
      const tools = [tool, setting].filter((part) => part !== '').join(', ');
      if (tools !== '') write(page, 'plain', 9, `Tool: ${tools}.`, { width });
      const cage = cages.get(step.key);
      if (cage !== undefined) write(page, 'plain', 9, `${cage}.`, { width });
      write(page, 'plain', 9, `${say} About ${Math.max(1, Math.round(step.minutes))} min.`, {
        width
      });
      if (caution !== '') write(page, 'slanted', 9, caution, { width });
      page.moveDown(0.7);
    }
  });

const LABEL_HIGH = pt(1.6);
const STROKE_APART = pt(0.08);

/** Labels for the parts of a stack, to be cut out and stuck on the same way round. */
export const pdfLabels = (
  title: string,
  paper: Paper,
  marks: readonly OrientationMark[]
): Promise<Buffer> =>
  pdfPages(title, paper, (page) => {
    const width = wideOf(paper) - pt(0.6);
    let top = pt(0.6);
    for (const mark of marks) {
      if (top + LABEL_HIGH > footOf(paper)) {
        page.addPage();
        top = pt(0.6);
      }
      page
        .rect(LEFT, top, wideOf(paper), LABEL_HIGH - pt(0.2))
        .lineWidth(1)
        .stroke();
      const strokes = (count: number, y: number) => {
        for (let at = 0; at < count; at++) {
          const x = LEFT + pt(0.2) + at * STROKE_APART;
          page
            .moveTo(x, y)
            .lineTo(x, y + pt(0.18))
            .stroke();
        }
      };
      strokes(mark.strokesAbove, top);
      strokes(mark.strokesBelow, top + LABEL_HIGH - pt(0.38));
      write(page, 'bold', 16, `Part ${mark.part} of ${mark.of}: ${mark.name}`, {
        x: TEXT_LEFT,
        y: top + pt(0.22),
        width,
        height: pt(0.28)
      });
      // a long title goes over two lines, and never into the next label
      write(page, 'plain', 11, `${title}. ${mark.face}.`, {
        x: TEXT_LEFT,
        y: top + pt(0.55),
        width,
        height: pt(0.38)
      });
      write(page, 'plain', 11, '← datum end        ↑ up', {
        x: TEXT_LEFT,
        y: top + pt(1.02),
        width,
        height: pt(0.2)
      });
      top += LABEL_HIGH;
    }
  });
