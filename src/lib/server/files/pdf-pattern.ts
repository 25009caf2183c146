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
  REPLACED: { colour: '#8c2f1b', widthPt: 1 },
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

/** A, B … Z, AA, AB … */
const letters = (column: number): string =>
  (column < 26 ? '' : letters(Math.floor(column / 26) - 1)) +
  String.fromCharCode(65 + (column % 26));

/** Pieces are named as on a map: column letter, row number. */
const nameOf = ({ column, row }: Tile): string => `${letters(column)}${row + 1}`;

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
  for (const { xIn, yIn, tiles: pair } of joins) {
    if (!pair.includes(at)) continue;
    page
      .moveTo(pt(xIn - JOIN_ARM_IN), pt(yIn))
      .lineTo(pt(xIn + JOIN_ARM_IN), pt(yIn))
      .stroke();
    page
      .moveTo(pt(xIn), pt(yIn - JOIN_ARM_IN))
      .lineTo(pt(xIn), pt(yIn + JOIN_ARM_IN))
      .stroke();
    const [a, b] = pair.map((index) => (tiles[index] ? nameOf(tiles[index]) : ''));
    page.font('Helvetica').text(`${a}|${b}`, pt(xIn + 0.03), pt(yIn + 0.02), { lineBreak: false });
  }
}

/** Beyond the crosses of a length, where it is cut out; and where its name stands. */
const CUT_OFF_IN = 0.3;

/** Round a length that shares its sheet with others, and its name. */
function drawCutLine(
  page: Page,
  { areaWIn, areaHIn, marginIn, columns }: Tiling,
  tile: Tile
): void {
  const top = marginIn + tile.downIn - CUT_OFF_IN;
  page
    .lineWidth(0.4)
    .dash(6, { space: 4 })
    .strokeColor('#5c6670')
    .rect(
      pt(marginIn - CUT_OFF_IN),
      pt(top),
      pt(areaWIn + 2 * CUT_OFF_IN),
      pt(areaHIn + 2 * CUT_OFF_IN)
    )
    .stroke()
    .undash();
  page
    .fillColor('#000000')
    .fontSize(7)
    .text(
      `length ${letters(tile.column)} of ${letters(columns - 1)}`,
      pt(marginIn + 1.2),
      pt(top) + 2,
      {
        lineBreak: false
      }
    );
}

function drawPiece(page: Page, strokes: readonly Stroke[], tiling: Tiling, at: number): void {
  const { marginIn, areaWIn, areaHIn, perPage } = tiling;
  const tile = tiling.tiles[at];
  if (!tile) return;
  const top = marginIn + tile.downIn;
  page.save();
  page.rect(pt(marginIn), pt(top), pt(areaWIn), pt(areaHIn)).clip();
  page.translate(pt(marginIn - tile.xIn), pt(top - tile.yIn));
  for (const stroke of strokes) draw(page, stroke);
  page.restore();
  page.save();
  page.translate(pt(marginIn - tile.xIn), pt(top - tile.yIn));
  drawJoins(page, tiling, at);
  page.restore();
  if (perPage > 1) drawCutLine(page, tiling, tile);
}

/** What stands at the foot of every sheet: the check scale, which sheet it is, what stops the joint. */
function drawFoot(page: Page, { stops, title }: PatternWords, tiling: Tiling, which: string): void {
  const { marginIn, pageWIn, pageHIn, footIn } = tiling;
  drawCheckScale(page, marginIn, pageHIn - marginIn - 0.3);
  const wide = { lineBreak: false, width: pt(pageWIn - 2 * marginIn), height: 10, ellipsis: true };
  const top = pageHIn - marginIn - footIn + 0.38;
  page.fillColor('#000000').fontSize(8);
  const sheet = `${which}   full size: print unscaled, at 100 %   ${title}`;
  page.text(inFont(page, 'plain', sheet), pt(marginIn), pt(top), wide);
  const [stop] = stops;
  if (stop !== undefined) {
    page.fillColor(PENS.WARNINGS.colour).fontSize(8);
    page.text(inFont(page, 'bold', stop), pt(marginIn), pt(top + 0.14), wide);
  }
}

/** Which sheet this is, by the pieces on it. */
function sheetName({ tiles, perPage, columns, rows, pages }: Tiling, sheet: number): string {
  const own = tiles.filter(({ page }) => page === sheet).map(nameOf);
  return perPage > 1
    ? `sheet ${sheet + 1} of ${pages}: lengths ${own.join(', ')}`
    : `sheet ${own.join()} of ${columns} x ${rows}`;
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
  const { marginIn, pageWIn, pageHIn, tiles, perPage } = tiling;
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
      perPage > 1
        ? 'Cut the lengths out along the dashed lines, lay neighboring ones so that the match marks, crosses that name both, lie on each other, and tape them.'
        : 'Lay neighboring sheets so that the match marks, crosses in their margins that name both, lie on each other.'
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
    for (let sheet = 0; sheet < tiling.pages; sheet++) {
      page.addPage();
      page.font('Helvetica');
      tiling.tiles.forEach((tile, at) => {
        if (tile.page === sheet) drawPiece(page, strokes[at] ?? [], tiling, at);
      });
      drawFoot(page, words, tiling, sheetName(tiling, sheet));
    }
  });
}

/** Asks whatever prints the file not to fit it to the page; the package has no word for it, its catalog takes the entry. */
function askUnscaled(page: Page): void {
  const { _root: catalog } = page as unknown as { _root: { data: Record<string, unknown> } };
  catalog.data['ViewerPreferences'] = page.ref({ PrintScaling: 'None' });
}
