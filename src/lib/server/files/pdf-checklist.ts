import type { OrientationMark } from '../../../core/ready/orientation.ts';
import type { ReadyStep } from '../../../core/ready/step-list.ts';
import { stepInWords } from '../../words/ready-steps.ts';
import type { WriteLength } from '../../words/writing.ts';
import { latin, pdfPages, pt } from './pdf-pages.ts';

const LEFT = pt(0.6);
const TEXT_LEFT = pt(1);
const WIDE = pt(6.6);
const FOOT = pt(10.9);

/**
 * The steps before the first rivet as a list to tick on paper.
 *
 * @param cages how the cage of a step is set, by the step's key
 * @param length how its lengths are written
 */
export const pdfChecklist = (
  title: string,
  steps: readonly ReadyStep[],
  cages: ReadonlyMap<string, string>,
  length: WriteLength
): Promise<Buffer> =>
  pdfPages(title, (page) => {
    page
      .font('Helvetica-Bold')
      .fontSize(15)
      .text(latin(`Make ready: ${title}`), LEFT, pt(0.6));
    page
      .font('Helvetica')
      .fontSize(9)
      .text(
        'The program advises; approved data, local rules and the licensed person decide. Who and when beside each box.',
        { width: WIDE }
      );
    page.moveDown(0.6);
    for (const [index, step] of steps.entries()) {
      const { title: what, say, tool, setting, caution } = stepInWords(step, length);
      if (page.y > FOOT - pt(0.9)) page.addPage();
      const top = page.y;
      page.rect(LEFT, top, pt(0.2), pt(0.2)).lineWidth(0.8).stroke();
      page
        .font('Helvetica-Bold')
        .fontSize(11)
        .text(latin(`${index + 1}. ${what}: ${step.count} ${step.unit}`), TEXT_LEFT, top, {
          width: WIDE - pt(0.4)
        });
      page.font('Helvetica').fontSize(9);
      const tools = [tool, setting].filter((part) => part !== '').join(', ');
      if (tools !== '') page.text(latin(`Tool: ${tools}.`), { width: WIDE - pt(0.4) });
      const cage = cages.get(step.key);
      if (cage !== undefined) page.text(latin(`${cage}.`), { width: WIDE - pt(0.4) });
      page.text(latin(`${say} About ${Math.max(1, Math.round(step.minutes))} min.`), {
        width: WIDE - pt(0.4)
      });
      if (caution !== '')
        page.font('Helvetica-Oblique').text(latin(caution), { width: WIDE - pt(0.4) });
      page.moveDown(0.7);
    }
  });

const LABEL_HIGH = pt(1.5);
const STROKE_APART = pt(0.08);

/** Labels for the parts of a stack, to be cut out and stuck on the same way round. */
export const pdfLabels = (title: string, marks: readonly OrientationMark[]): Promise<Buffer> =>
  pdfPages(title, (page) => {
    let top = pt(0.6);
    for (const mark of marks) {
      if (top + LABEL_HIGH > FOOT) {
        page.addPage();
        top = pt(0.6);
      }
      page
        .rect(LEFT, top, WIDE, LABEL_HIGH - pt(0.2))
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
      page
        .font('Helvetica-Bold')
        .fontSize(16)
        .text(latin(`Part ${mark.part} of ${mark.of}: ${mark.name}`), TEXT_LEFT, top + pt(0.25), {
          width: WIDE - pt(0.6),
          lineBreak: false
        });
      page
        .font('Helvetica')
        .fontSize(11)
        .text(latin(`${title}. ${mark.face}.`), TEXT_LEFT, top + pt(0.6), { lineBreak: false });
      page.text('<- datum end        ^ up', TEXT_LEFT, top + pt(0.85), { lineBreak: false });
      top += LABEL_HIGH;
    }
  });
