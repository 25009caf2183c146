import { notPossible, type Answer } from '../answer.ts';
import { ceilTo } from '../units/tolerance.ts';
import { MM_PER_IN } from '../units/factors.ts';

export const PAPERS = {
  a4: { name: 'A4', wIn: 210 / MM_PER_IN, hIn: 297 / MM_PER_IN },
  letter: { name: 'Letter', wIn: 8.5, hIn: 11 }
} as const;
export type Paper = keyof typeof PAPERS;

/** One sheet of paper of a tiled pattern. */
export interface Tile {
  column: number;
  row: number;
  /** the pattern's place in the page's drawing area, in */
  xIn: number;
  yIn: number;
}

/** A mark that two neighbouring pages show, in the pattern's coordinates. */
export interface Join {
  xIn: number;
  yIn: number;
  /** the two pages, as indices of the tiles */
  pages: readonly [number, number];
}

export interface Tiling {
  /** the page as turned */
  pageWIn: number;
  pageHIn: number;
  marginIn: number;
  /** kept free along the foot for the check scale */
  footIn: number;
  /** drawing area of a page */
  areaWIn: number;
  areaHIn: number;
  overlapIn: number;
  columns: number;
  rows: number;
  tiles: Tile[];
  /** where two neighbouring pages meet: in the margins of both, beside what is drawn, at one place of the pattern */
  joins: Join[];
}

const MARGIN_IN = 0.5;
const FOOT_IN = 1;
const OVERLAP_IN = 0.6;
const MOST_PAGES = 120;
/** How far beside the drawing area a join is marked: within the margin, and where printers still print. */
export const JOIN_OFF_IN = 0.14;

function laid(pageWIn: number, pageHIn: number, wIn: number, hIn: number) {
  const areaWIn = pageWIn - 2 * MARGIN_IN;
  const areaHIn = pageHIn - 2 * MARGIN_IN - FOOT_IN;
  const along = (sizeIn: number, areaIn: number) =>
    sizeIn <= areaIn ? 1 : 1 + ceilTo((sizeIn - areaIn) / (areaIn - OVERLAP_IN));
  return {
    pageWIn,
    pageHIn,
    areaWIn,
    areaHIn,
    columns: along(wIn, areaWIn),
    rows: along(hIn, areaHIn)
  };
}

/**
 * Divides a pattern over sheets of paper that overlap, turned whichever way takes fewer; every overlap is
 * marked in the margins of both sheets.
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
  const chosen = turned.columns * turned.rows < upright.columns * upright.rows ? turned : upright;
  const { columns, rows, areaWIn, areaHIn } = chosen;
  if (columns * rows > MOST_PAGES)
    return notPossible('paper', {
      code: 'too-many-sheets',
      sheets: columns * rows,
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
        yIn: pattern.yIn + row * stepY
      });
  const joins: Join[] = [];
  tiles.forEach(({ column, row, xIn, yIn }, page) => {
    if (column + 1 < columns)
      for (const y of [yIn - JOIN_OFF_IN, yIn + areaHIn + JOIN_OFF_IN])
        joins.push({ xIn: xIn + stepX + OVERLAP_IN / 2, yIn: y, pages: [page, page + 1] });
    if (row + 1 < rows)
      for (const x of [xIn - JOIN_OFF_IN, xIn + areaWIn + JOIN_OFF_IN])
        joins.push({ xIn: x, yIn: yIn + stepY + OVERLAP_IN / 2, pages: [page, page + columns] });
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
