import { notPossible, type Answer } from '../answer.ts';
import { ceilTo } from '../units/tolerance.ts';
import { MM_PER_IN } from '../units/factors.ts';

export const PAPERS = {
  a4: { name: 'A4', wIn: 210 / MM_PER_IN, hIn: 297 / MM_PER_IN },
  letter: { name: 'Letter', wIn: 8.5, hIn: 11 }
} as const;
export type Paper = keyof typeof PAPERS;

/** One piece of a tiled pattern: a sheet of paper, or one of the lengths on it. */
export interface Tile {
  column: number;
  row: number;
  /** the pattern's place in the piece's drawing area, in */
  xIn: number;
  yIn: number;
  /** 0-based sheet of paper, and how far down its drawing area the piece begins, in */
  page: number;
  downIn: number;
}

/** A mark that two neighbouring pieces show, in the pattern's coordinates. */
export interface Join {
  xIn: number;
  yIn: number;
  /** the two pieces, as indices of the tiles */
  tiles: readonly [number, number];
}

export interface Tiling {
  /** the page as turned */
  pageWIn: number;
  pageHIn: number;
  marginIn: number;
  /** kept free along the foot for the check scale */
  footIn: number;
  /** drawing area of a piece: a page's, or that of one length where a page holds several */
  areaWIn: number;
  areaHIn: number;
  overlapIn: number;
  columns: number;
  rows: number;
  pages: number;
  /** lengths of a long pattern that stand on one sheet, to be cut out and taped together */
  perPage: number;
  tiles: Tile[];
  /** where two neighbouring pieces meet: in the margins of both, beside what is drawn, at one place of the pattern */
  joins: Join[];
}

const MARGIN_IN = 0.5;
const FOOT_IN = 1;
const OVERLAP_IN = 0.6;
const MOST_PAGES = 120;
/** How far beside the drawing area a join is marked: within the margin, and where printers still print. */
export const JOIN_OFF_IN = 0.14;

/** Between two lengths on a sheet: the crosses of both, the words and room to cut. */
const BETWEEN_IN = 0.8;

function laid(pageWIn: number, pageHIn: number, wIn: number, hIn: number) {
  const areaWIn = pageWIn - 2 * MARGIN_IN;
  const areaHIn = pageHIn - 2 * MARGIN_IN - FOOT_IN;
  const along = (sizeIn: number, areaIn: number) =>
    sizeIn <= areaIn ? 1 : 1 + ceilTo((sizeIn - areaIn) / (areaIn - OVERLAP_IN));
  const columns = along(wIn, areaWIn);
  const rows = along(hIn, areaHIn);
  const fit = Math.floor((areaHIn + BETWEEN_IN) / (hIn + BETWEEN_IN));
  const perPage = rows === 1 && columns > 1 ? Math.max(1, Math.min(columns, fit)) : 1;
  return {
    pageWIn,
    pageHIn,
    areaWIn,
    areaHIn: perPage > 1 ? hIn : areaHIn,
    columns,
    rows,
    perPage,
    pages: Math.ceil((columns * rows) / perPage)
  };
}

/**
 * Divides a pattern over sheets of paper that overlap, turned whichever way takes fewer; every overlap is
 * marked in the margins of both sheets. Where a sheet holds several lengths of a long pattern they stand below each other.
 *
 * @param pattern place and size, in
 * @returns tiles row by row; `not-possible` over 120 sheets
 */
export function tile(
  pattern: { xIn: number; yIn: number; wIn: number; hIn: number },
  paper: Paper
): Answer<Tiling> {
  const { wIn, hIn } = PAPERS[paper];
  const [upright, turned] = [
    laid(wIn, hIn, pattern.wIn, pattern.hIn),
    laid(hIn, wIn, pattern.wIn, pattern.hIn)
  ];
  const pieces = ({ columns, rows }: typeof upright) => columns * rows;
  const turnedIsLess =
    turned.pages < upright.pages ||
    (turned.pages === upright.pages && pieces(turned) < pieces(upright));
  const chosen = turnedIsLess ? turned : upright;
  const { columns, rows, areaWIn, areaHIn, pages, perPage } = chosen;
  if (pages > MOST_PAGES)
    return notPossible('paper', {
      code: 'too-many-sheets',
      sheets: pages,
      paper: PAPERS[paper].name,
      most: MOST_PAGES
    });
  const stepX = areaWIn - OVERLAP_IN;
  const stepY = areaHIn - OVERLAP_IN;
  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      tiles.push({
        column,
        row,
        xIn: pattern.xIn + column * stepX,
        yIn: pattern.yIn + row * stepY,
        page: Math.floor(tiles.length / perPage),
        downIn: (tiles.length % perPage) * (areaHIn + BETWEEN_IN)
      });
  const joins: Join[] = [];
  tiles.forEach(({ column, row, xIn, yIn }, at) => {
    if (column + 1 < columns)
      for (const y of [yIn - JOIN_OFF_IN, yIn + areaHIn + JOIN_OFF_IN])
        joins.push({ xIn: xIn + stepX + OVERLAP_IN / 2, yIn: y, tiles: [at, at + 1] });
    if (row + 1 < rows)
      for (const x of [xIn - JOIN_OFF_IN, xIn + areaWIn + JOIN_OFF_IN])
        joins.push({ xIn: x, yIn: yIn + stepY + OVERLAP_IN / 2, tiles: [at, at + columns] });
  });
  return {
    ok: true,
    work: [],
    result: {
      ...chosen,
      marginIn: MARGIN_IN,
      footIn: FOOT_IN,
      overlapIn: OVERLAP_IN,
      tiles,
      joins
    }
  };
}
