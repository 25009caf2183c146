import PDFDocument from 'pdfkit';
import {
  boundsOfStroke,
  type Pattern,
  type PatternLayer,
  type Stroke
} from '../../../core/exchange/pattern.ts';
import type { Tile, Tiling } from '../../../core/exchange/tiles.ts';
import { drawn, latin, pt } from './pdf-pages.ts';
import { MM_PER_IN } from '../../../core/units/factors.ts';

const PENS: Record<PatternLayer, { colour: string; widthPt: number; dash?: [number, number] }> = {
  EDGES: { colour: '#000000', widthPt: 1 },
  HOLES: { colour: '#000000', widthPt: 0.5 },
  HELD_OPEN: { colour: '#8a4b05', widthPt: 1.2, dash: [3, 2] },
  CUT_OUT: { colour: '#000000', widthPt: 1, dash: [9, 4] },
  LINES: { colour: '#2a4694', widthPt: 0.35 },
  TEXT: { colour: '#000000', widthPt: 0 },
  WARNINGS: { colour: '#8c2f1b', widthPt: 0 }
};

/** No pen is wider. */
const PEN_IN = 0.1;

type Page = PDFKit.PDFDocument;

function arcPath(arc: Extract<Stroke, { stroke: 'arc' }>): string {
  const r = pt(arc.radiusIn);
  const at = (rad: number) =>
    `${pt(arc.xIn) + r * Math.cos(rad)} ${pt(arc.yIn) + r * Math.sin(rad)}`;
  return `M${at(arc.fromRad)}A${r} ${r} 0 0 1 ${at(arc.toRad)}`;
}

function draw(page: Page, stroke: Stroke): void {
  const { colour, widthPt, dash } = PENS[stroke.layer];
  if (stroke.stroke === 'text') {
    page
      .fillColor(colour)
      .fontSize(pt(stroke.heightIn))
      .text(latin(stroke.text), pt(stroke.xIn), pt(stroke.yIn - stroke.heightIn), {
        lineBreak: false
      });
    return;
  }
  page.lineWidth(widthPt).strokeColor(colour);
  if (dash) page.dash(dash[0], { space: dash[1] });
  else page.undash();
  if (stroke.stroke === 'line')
    page.moveTo(pt(stroke.x1In), pt(stroke.y1In)).lineTo(pt(stroke.x2In), pt(stroke.y2In));
  else if (stroke.stroke === 'circle')
    page.circle(pt(stroke.xIn), pt(stroke.yIn), pt(stroke.radiusIn));
  else page.path(arcPath(stroke));
  page.stroke();
}

function drawCrosses(page: Page, { crosses }: Tiling): void {
  page.undash().lineWidth(0.4).strokeColor('#000000');
  const arm = 0.14;
  for (const { xIn, yIn } of crosses) {
    page.moveTo(pt(xIn - arm), pt(yIn)).lineTo(pt(xIn + arm), pt(yIn));
    page.moveTo(pt(xIn), pt(yIn - arm)).lineTo(pt(xIn), pt(yIn + arm));
    page.circle(pt(xIn), pt(yIn), pt(0.05)).stroke();
  }
}

/** A line of 4 in and one of 100 mm: whoever prints measures them before trusting the pattern. */
function drawCheckScale(page: Page, xIn: number, yIn: number): void {
  page.undash().lineWidth(0.8).strokeColor('#000000').fillColor('#000000').fontSize(8);
  const bar = (lengthIn: number, atIn: number, divisions: number, text: string) => {
    page
      .moveTo(pt(xIn), pt(atIn))
      .lineTo(pt(xIn + lengthIn), pt(atIn))
      .stroke();
    for (let tick = 0; tick <= divisions; tick++) {
      const x = pt(xIn + (tick * lengthIn) / divisions);
      const end = tick === 0 || tick === divisions;
      page
        .moveTo(x, pt(atIn - (end ? 0.09 : 0.05)))
        .lineTo(x, pt(atIn))
        .stroke();
    }
    page.text(text, pt(xIn + lengthIn + 0.08), pt(atIn) - 8, { lineBreak: false });
  };
  bar(4, yIn, 16, '4 in');
  bar(100 / MM_PER_IN, yIn + 0.24, 20, '100 mm: measure both; printers shrink');
}

/** Pages are named as on a map: column letter, row number. */
const nameOf = ({ column, row }: Tile): string =>
  `${column < 26 ? String.fromCharCode(65 + column) : `A${String.fromCharCode(65 + column - 26)}`}${row + 1}`;

/** The strokes that each tile shows: a long joint drawn whole on every sheet would take minutes. */
function strokesOfTiles({ strokes }: Pattern, { tiles, areaWIn, areaHIn }: Tiling): Stroke[][] {
  const bounds = strokes.map(boundsOfStroke);
  return tiles.map(({ xIn, yIn }) =>
    strokes.filter((_, at) => {
      const [left, top, right, bottom] = bounds[at] as ReturnType<typeof boundsOfStroke>;
      return (
        right >= xIn - PEN_IN &&
        left <= xIn + areaWIn + PEN_IN &&
        bottom >= yIn - PEN_IN &&
        top <= yIn + areaHIn + PEN_IN
      );
    })
  );
}

function drawTile(
  page: Page,
  pattern: Pattern,
  strokes: readonly Stroke[],
  tiling: Tiling,
  tile: Tile,
  title: string
): void {
  const { marginIn, areaWIn, areaHIn, pageHIn, columns, rows } = tiling;
  page.save();
  page.rect(pt(marginIn), pt(marginIn), pt(areaWIn), pt(areaHIn)).clip();
  page.translate(pt(marginIn - tile.xIn), pt(marginIn - tile.yIn));
  for (const stroke of strokes) draw(page, stroke);
  drawCrosses(page, tiling);
  page.restore();
  const footIn = pageHIn - marginIn - 0.42;
  drawCheckScale(page, marginIn, footIn);
  page
    .fillColor('#000000')
    .fontSize(8)
    .text(
      `${title}   sheet ${nameOf(tile)} of ${columns} x ${rows}   full size: print at 100 %`,
      pt(marginIn),
      pt(footIn - 0.3),
      { lineBreak: false }
    );
  const [stop] = pattern.notes;
  if (stop !== undefined)
    page.fillColor(PENS.WARNINGS.colour).text(latin(stop), pt(marginIn), pt(footIn - 0.44), {
      lineBreak: false,
      width: pt(areaWIn),
      ellipsis: true
    });
}

/**
 * A full-size pattern over as many sheets of paper as it takes, each with the check scale.
 *
 * @returns the PDF file
 */
export function pdfPattern(pattern: Pattern, tiling: Tiling, title: string): Promise<Buffer> {
  const plain = latin(title);
  const pages = new PDFDocument({
    size: [pt(tiling.pageWIn), pt(tiling.pageHIn)],
    margin: 0,
    autoFirstPage: false,
    info: { Title: title, Creator: 'Zanjador' }
  });
  return drawn(pages, (page) => {
    const strokes = strokesOfTiles(pattern, tiling);
    tiling.tiles.forEach((tile, at) => {
      page.addPage();
      page.font('Helvetica');
      drawTile(page, pattern, strokes[at] ?? [], tiling, tile, plain);
    });
  });
}
