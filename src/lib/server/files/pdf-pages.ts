import { PRACTICE_MARK } from '../../words/practice.ts';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { PAPERS, type Paper } from '../../../core/exchange/tiles.ts';

const PT_PER_IN = 72;
export const pt = (inches: number): number => inches * PT_PER_IN;

export type Page = PDFKit.PDFDocument;

const { resolve } = createRequire(import.meta.url);
const WIDE_FONTS = {
  plain: 'dejavu-fonts-ttf/ttf/DejaVuSans.ttf',
  bold: 'dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf',
  slanted: 'dejavu-fonts-ttf/ttf/DejaVuSans-Oblique.ttf'
} as const;
const BUILT_IN = {
  plain: 'Helvetica',
  bold: 'Helvetica-Bold',
  slanted: 'Helvetica-Oblique'
} as const;
export type Face = keyof typeof BUILT_IN;

/** Scripts that the wide font has letters of. */
const KNOWN =
  /[\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}\p{Script=Armenian}\p{Script=Georgian}\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Inherited}\p{P}\p{Z}\p{N}\p{Sm}\p{Sc}\p{Sk}←-⇿■-◿]/u;

/** A letter that no font here has is written by its number: a name must not become another one. */
const lettered = (text: string): string =>
  [...text]
    .map((letter) =>
      KNOWN.test(letter)
        ? letter
        : `[U+${(letter.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}]`
    )
    .join('');

/**
 * Chooses the font for a text and gives the text back as it can be printed: the built-in one where it has every
 * letter, it is quicker and smaller; else one that is put into the file.
 */
export function inFont(page: Page, face: Face, text: string): string {
  // eslint-disable-next-line no-control-regex -- a break or a tab is a space on a printed line
  const plain = text.replace(/[\x00-\x1f\x7f]/g, ' ');
  if (/^[\x20-\x7e\xa0-\xff–‘’“”…]*$/.test(plain)) {
    page.font(BUILT_IN[face]);
    return plain;
  }
  page.font(resolve(WIDE_FONTS[face]));
  return lettered(plain);
}

/** Draws on a document and resolves to its file. */
export function drawn(page: Page, draw: (page: Page) => void): Promise<Buffer> {
  const pieces: Buffer[] = [];
  const file = new Promise<Buffer>((done, failed) => {
    page.on('data', (piece: Buffer) => pieces.push(piece));
    page.on('end', () => done(Buffer.concat(pieces)));
    page.on('error', failed);
  });
  draw(page);
  page.end();
  return file;
}

/** Marks the page as practice, where the document is, and leaves the pen where it was. */
function markPractice(page: Page): void {
  const { x, y } = page;
  page.font(BUILT_IN.bold).fontSize(11).text(PRACTICE_MARK, 0, pt(0.22), {
    width: page.page.width,
    align: 'center',
    lineBreak: false
  });
  page.x = x;
  page.y = y;
}

/** A document of pages, made by drawing on it; resolves to the file. */
export const pdfPages = (
  title: string,
  paper: Paper,
  draw: (page: Page) => void
): Promise<Buffer> =>
  drawn(
    new PDFDocument({
      size: [pt(PAPERS[paper].wIn), pt(PAPERS[paper].hIn)],
      margin: pt(0.6),
      info: { Title: title, Creator: 'Zanjador' }
    }),
    (page) => {
      if (title.startsWith(PRACTICE_MARK)) {
        markPractice(page);
        page.on('pageAdded', () => markPractice(page));
      }
      draw(page);
    }
  );
