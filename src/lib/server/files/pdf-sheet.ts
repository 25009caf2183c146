import { inFont, pt, type Face, type Page } from './pdf-pages.ts';

/** The left margin, pt. */
export const LEFT = pt(0.6);

/** A page that is written down line by line. */
export interface Sheet {
  page: Page;
  widthPt: number;
  footPt: number;
}

/** Writes a line, on a new page where this one is full. */
export function line(
  { page, widthPt, footPt }: Sheet,
  face: Face,
  size: number,
  words: string,
  indentPt = 0
): void {
  const text = inFont(page, face, words);
  page.fontSize(size);
  if (page.y + page.heightOfString(text, { width: widthPt - indentPt }) > footPt) {
    page.addPage();
    page.y = pt(0.6);
  }
  page.text(text, LEFT + indentPt, page.y, { width: widthPt - indentPt });
}

export function heading(sheet: Sheet, words: string): void {
  sheet.page.moveDown(0.6);
  line(sheet, 'bold', 12, words);
}

/** A table whose head stands again on every page. */
export function table(
  sheet: Sheet,
  heads: readonly string[],
  shares: readonly number[],
  rows: readonly (readonly string[])[]
): void {
  const { page, widthPt, footPt } = sheet;
  const row = (cells: readonly string[], face: Face): void => {
    page.fontSize(8);
    const texts = cells.map((cell) => inFont(page, face, cell));
    const high = Math.max(
      ...texts.map((text, at) =>
        page.heightOfString(text, { width: widthPt * (shares[at] ?? 0) - 4 })
      )
    );
    if (page.y + high > footPt) {
      page.addPage();
      page.y = pt(0.6);
      if (face === 'plain') row(heads, 'bold');
    }
    const top = page.y;
    let x = LEFT;
    texts.forEach((text, at) => {
      const wide = widthPt * (shares[at] ?? 0);
      inFont(page, face, text);
      page.fontSize(8).text(text, x, top, { width: wide - 4 });
      x += wide;
    });
    page.y = top + high + 2;
  };
  row(heads, 'bold');
  for (const cells of rows) row(cells, 'plain');
}
