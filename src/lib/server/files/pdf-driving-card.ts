import type { DrivingHolders } from '../../../core/driving/driving-holders.ts';
import type { OrderSchool } from '../../../core/driving/driving-order.ts';
import { PAPERS, type Paper } from '../../../core/exchange/tiles.ts';
import { DRIVE_SAFETY, TOOL_CHECKS } from '../../words/driving.ts';
import type { WriteLength } from '../../words/writing.ts';
import { inFont, pdfPages, pt, type Face, type Page } from './pdf-pages.ts';

/** One run of equal rivets, in words. */
export interface CardRun {
  head: string;
  way: string;
  /** how its tool is set */
  setting: string;
  steps: readonly string[];
  tools: readonly string[];
}

/** What stands on a driving card. */
export interface DrivingCard {
  title: string;
  /** the joint is no longer what was released */
  changed: boolean;
  school: OrderSchool;
  byHand: boolean;
  order: readonly number[];
  path: { longestJumpIn: number; totalPathIn: number };
  holders: DrivingHolders;
  heldOpen: readonly { number: number; reason: string }[];
  runs: readonly CardRun[];
}

const LEFT = pt(0.6);
const CELL = { w: pt(0.62), h: pt(0.34) };

function write(page: Page, face: Face, size: number, words: string, width: number): void {
  page.fontSize(size).text(inFont(page, face, words), LEFT, page.y, { width });
}

/** The order as boxes to cross off, a holder that comes out first marked with a square. */
function boxes(page: Page, { order, holders }: DrivingCard, width: number, footPt: number): void {
  const across = Math.floor(width / CELL.w);
  let top = page.y + pt(0.05);
  for (const [at, number] of order.entries()) {
    if (at > 0 && at % across === 0) top += CELL.h;
    if (top + CELL.h > footPt) {
      page.addPage();
      top = pt(0.6);
    }
    const x = LEFT + (at % across) * CELL.w;
    page
      .rect(x, top, CELL.w - pt(0.04), CELL.h - pt(0.04))
      .lineWidth(holders.moves.has(number) ? 1.8 : 0.6)
      .stroke();
    page.fontSize(10).text(inFont(page, 'plain', String(number)), x + pt(0.06), top + pt(0.08), {
      width: CELL.w - pt(0.12),
      lineBreak: false
    });
  }
  page.y = top + CELL.h + pt(0.08);
}

/**
 * How a release is driven, on paper: order, holders, ways, tools and cautions.
 *
 * @param length how its lengths are written
 */
export const pdfDrivingCard = (
  card: DrivingCard,
  paper: Paper,
  length: WriteLength
): Promise<Buffer> =>
  pdfPages(card.title, paper, (page) => {
    const width = pt(PAPERS[paper].wIn - 1.2);
    const footPt = pt(PAPERS[paper].hIn - 0.75);
    const { holders } = card;
    page.y = pt(0.6);
    write(page, 'bold', 15, `Drive: ${card.title}`, width);
    if (card.changed)
      write(
        page,
        'bold',
        10,
        'The joint has changed since this release: release it again before driving.',
        width
      );
    for (const line of DRIVE_SAFETY) write(page, 'plain', 9, `· ${line}`, width);
    page.moveDown(0.5);
    for (const { number, reason } of card.heldOpen)
      write(
        page,
        'bold',
        11,
        `Hole ${number} stays open: ${reason}. No rivet in this hole.`,
        width
      );
    for (const run of card.runs) {
      page.moveDown(0.4);
      write(page, 'bold', 11, run.head, width);
      write(page, 'plain', 10, run.way, width);
      write(page, 'plain', 10, `Setting, when this was printed: ${run.setting}`, width);
      for (const step of run.steps) write(page, 'slanted', 9, step, width);
      for (const tool of run.tools) write(page, 'plain', 9, `· ${tool}`, width);
    }
    page.moveDown(0.4);
    write(page, 'plain', 9, `Before use: ${TOOL_CHECKS.join('; ')}.`, width);
    page.moveDown(0.6);
    write(
      page,
      'bold',
      11,
      `Order: ${card.byHand ? 'put by hand' : card.school === 'flat' ? 'from the middle outwards, skipping, ends last' : 'in sequence, along one row and back along the next'}`,
      width
    );
    write(
      page,
      'plain',
      9,
      `Longest jump ${length(card.path.longestJumpIn)}, path ${length(card.path.totalPathIn)}. Temporary fasteners before the first rivet: ${[...holders.start].sort((a, b) => a - b).join(', ')}. Thick box: remove the temporary fastener first.${holders.tooFew ? ' Too few temporary fasteners for the ends of every row: clamp the rest.' : ''}`,
      width
    );
    boxes(page, card, width, footPt);
    const moves = [...holders.moves.values()].flatMap(({ out, to }) =>
      to === null ? [] : [`${out} to ${to}`]
    );
    if (moves.length > 0)
      write(page, 'plain', 9, `Move temporary fasteners: ${moves.join(', ')}.`, width);
    write(page, 'plain', 9, 'Driven by, from when to when:', width);
  });
