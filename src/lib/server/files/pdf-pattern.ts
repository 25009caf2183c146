import PDFDocument from 'pdfkit';
import type { Pattern } from '../../../core/exchange/pattern.ts';
import {
  boundsOfStroke,
  pathData,
  type PatternLayer,
  type Stroke
} from '../../../core/exchange/strokes.ts';
import type { Tile, Tiling } from '../../../core/exchange/tiles.ts';
import { drawn, inFont, pt, type Page } from './pdf-pages.ts';
import { MM_PER_IN } from '../../../core/units/factors.ts';

const PENS: Record<PatternLayer, { colour: string; widthPt: number; dash?: [number, number] }> = {
  EDGES: { colour: '#000000', widthPt: 1 },
  CUT_OUT: { colour: '#000000', widthPt: 1, dash: [9, 4] },
  RELIEFS: { colour: '#000000', widthPt: 1 },
  STOP_DRILL: { colour: '#8c2f1b', widthPt: 1 },
  HOLES: { colour: '#000000', widthPt: 0.5 },
  EXISTING: { colour: '#000000', widthPt: 0.5, dash: [1.5, 1] },
  HELD_OPEN: { colour: '#8a4b05', widthPt: 1.2, dash: [3, 2] },
  PILOTS: { colour: '#5c6670', widthPt: 0.35 },
  LAYER_ENDS: { colour: '#000000', widthPt: 0.7, dash: [12, 4] },
  LINES: { colour: '#2a4694', widthPt: 0.35 },
  MARKS: { colour: '#000000', widthPt: 0.6 },
  TEXT: { colour: '#000000', widthPt: 0 },
  WARNINGS: { colour: '#8c2f1b', widthPt: 0 }
};

/** No pen is wider. */
const PEN_IN = 0.1;

/** What stands beside the drawing. */
export interface PatternWords {
  /** job, joint, revision and part */
  title: string;
  /** the drill table, and how the drawing lies */
  lines: readonly string[];
  /** what stops the joint; empty where nothing does */
  stops: readonly string[];
}

function draw(page: Page, stroke: Stroke): void {
  const { colour, widthPt, dash } = PENS[stroke.layer];
  if (stroke.stroke === 'text') {
    const words = inFont(page, 'plain', stroke.text);
    page
      .fillColor(colour)
      .fontSize(pt(stroke.heightIn))
      .text(words, pt(stroke.xIn), pt(stroke.yIn - stroke.heightIn), { lineBreak: false });
    return;
  }
  page.lineWidth(widthPt).strokeColor(colour);
  if (dash) page.dash(dash[0], { space: dash[1] });
  else page.undash();
  if (stroke.stroke === 'line')
    page.moveTo(pt(stroke.x1In), pt(stroke.y1In)).lineTo(pt(stroke.x2In), pt(stroke.y2In));
  else if (stroke.stroke === 'circle')
    page.circle(pt(stroke.xIn), pt(stroke.yIn), pt(stroke.radiusIn));
  else page.path(pathData(stroke, pt(1)));
  page.stroke();
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

const JOIN_ARM_IN = 0.09;

/** Upright crosses in the margin: never where metal is drawn, and not round, so that none is punched. */
function drawJoins(page: Page, { tiles, joins }: Tiling, at: number): void {
  page.undash().lineWidth(0.5).strokeColor('#000000').fillColor('#000000').fontSize(6);
  for (const { xIn, yIn, pages } of joins) {
    if (!pages.includes(at)) continue;
    page
      .moveTo(pt(xIn - JOIN_ARM_IN), pt(yIn))
      .lineTo(pt(xIn + JOIN_ARM_IN), pt(yIn))
      .stroke();
    page
      .moveTo(pt(xIn), pt(yIn - JOIN_ARM_IN))
      .lineTo(pt(xIn), pt(yIn + JOIN_ARM_IN))
      .stroke();
    const [a, b] = pages.map((index) => (tiles[index] ? nameOf(tiles[index]) : ''));
    page.font('Helvetica').text(`${a}|${b}`, pt(xIn + 0.03), pt(yIn + 0.02), { lineBreak: false });
  }
}

function drawTile(
  page: Page,
  { stops, title }: PatternWords,
  strokes: readonly Stroke[],
  tiling: Tiling,
  at: number
): void {
  const { marginIn, areaWIn, areaHIn, pageHIn, columns, rows, footIn } = tiling;
  const tile = tiling.tiles[at];
  if (!tile) return;
  page.save();
  page.rect(pt(marginIn), pt(marginIn), pt(areaWIn), pt(areaHIn)).clip();
  page.translate(pt(marginIn - tile.xIn), pt(marginIn - tile.yIn));
  for (const stroke of strokes) draw(page, stroke);
  page.restore();
  page.save();
  page.translate(pt(marginIn - tile.xIn), pt(marginIn - tile.yIn));
  drawJoins(page, tiling, at);
  page.restore();
  const scaleIn = pageHIn - marginIn - 0.3;
  drawCheckScale(page, marginIn, scaleIn);
  const wide = { lineBreak: false, width: pt(areaWIn), height: 10, ellipsis: true };
  const sheet = `sheet ${nameOf(tile)} of ${columns} x ${rows}   full size: print unscaled, at 100 %   `;
  const top = pageHIn - marginIn - footIn + 0.3;
  page.fillColor('#000000').fontSize(8);
  page.text(inFont(page, 'plain', `${sheet}${title}`), pt(marginIn), pt(top), wide);
  const [stop] = stops;
  if (stop !== undefined) {
    page.fillColor(PENS.WARNINGS.colour).fontSize(8);
    page.text(inFont(page, 'bold', stop), pt(marginIn), pt(top + 0.14), wide);
  }
}

/** The whole joint small, with the sheets over it by name. */
function drawMap(
  page: Page,
  pattern: Pattern,
  { tiles, areaWIn, areaHIn }: Tiling,
  box: { xIn: number; yIn: number; wIn: number; hIn: number }
): void {
  const last = tiles.at(-1);
  const wIn = (last?.xIn ?? 0) + areaWIn - pattern.xIn;
  const hIn = (last?.yIn ?? 0) + areaHIn - pattern.yIn;
  const scale = Math.min(box.wIn / wIn, box.hIn / hIn, 1);
  page.save();
  page.translate(pt(box.xIn), pt(box.yIn)).scale(scale);
  page.translate(-pt(pattern.xIn), -pt(pattern.yIn));
  page.undash().strokeColor('#000000');
  for (const stroke of pattern.strokes) {
    if (!['EDGES', 'CUT_OUT'].includes(stroke.layer) || stroke.stroke === 'text') continue;
    draw(page, stroke);
  }
  page
    .undash()
    .lineWidth(0.5 / scale)
    .strokeColor('#5c6670')
    .fillColor('#5c6670');
  for (const tile of tiles) {
    page.rect(pt(tile.xIn), pt(tile.yIn), pt(areaWIn), pt(areaHIn)).stroke();
    page
      .font('Helvetica')
      .fontSize(9 / scale)
      .text(nameOf(tile), pt(tile.xIn) + 3 / scale, pt(tile.yIn) + 3 / scale, { lineBreak: false });
  }
  page.restore();
}

/** The first page: what this is, what stops it, which drill goes where, how the sheets lie. */
function drawCover(page: Page, pattern: Pattern, tiling: Tiling, words: PatternWords): void {
  const { marginIn, pageWIn, pageHIn, tiles } = tiling;
  const width = pt(pageWIn - 2 * marginIn);
  const say = (face: 'plain' | 'bold', size: number, text: string, colour = '#000000') => {
    page.fillColor(colour).fontSize(size);
    page.text(inFont(page, face, text), pt(marginIn), page.y, { width });
    page.moveDown(0.3);
  };
  page.x = pt(marginIn);
  page.y = pt(marginIn);
  say('bold', 15, words.title);
  const room = pt(pageHIn - marginIn - 2.6);
  /** as many as there is room for; how many more there are is said, never left out in silence */
  const sayAll = (texts: readonly string[], what: string, write: (text: string) => void) => {
    for (const [at, text] of texts.entries()) {
      if (page.y < room) write(text);
      else return write(`… and ${texts.length - at} more ${what}: see the program.`);
    }
  };
  sayAll(words.stops, 'that stop it', (text) => say('bold', 11, text, PENS.WARNINGS.colour));
  say(
    'bold',
    10,
    'Print unscaled, at 100 %, and measure both check scales on every sheet before you trust it.'
  );
  sayAll(words.lines, 'lines', (text) => say('plain', 10, text));
  if (tiles.length > 1)
    say(
      'plain',
      10,
      'Lay neighbouring sheets so that the crosses in their margins, which name both, lie on each other.'
    );
  const yIn = page.y / pt(1) + 0.2;
  drawMap(page, pattern, tiling, {
    xIn: marginIn,
    yIn,
    wIn: pageWIn - 2 * marginIn,
    hIn: pageHIn - marginIn - yIn
  });
}

/**
 * A full-size pattern over as many sheets of paper as it takes, each with the check scale, after a page that says what it is.
 *
 * @returns the PDF file
 */
export function pdfPattern(pattern: Pattern, tiling: Tiling, words: PatternWords): Promise<Buffer> {
  const pages = new PDFDocument({
    size: [pt(tiling.pageWIn), pt(tiling.pageHIn)],
    margin: 0,
    autoFirstPage: false,
    info: { Title: words.title, Creator: 'Zanjador' }
  });
  askUnscaled(pages);
  return drawn(pages, (page) => {
    page.addPage();
    drawCover(page, pattern, tiling, words);
    const strokes = strokesOfTiles(pattern, tiling);
    tiling.tiles.forEach((_, at) => {
      page.addPage();
      page.font('Helvetica');
      drawTile(page, words, strokes[at] ?? [], tiling, at);
    });
  });
}

/** Asks whatever prints the file not to fit it to the page; the package has no word for it, its catalog takes the entry. */
function askUnscaled(page: Page): void {
  const { _root: catalog } = page as unknown as { _root: { data: Record<string, unknown> } };
  catalog.data['ViewerPreferences'] = page.ref({ PrintScaling: 'None' });
}
