import PDFDocument from 'pdfkit';

const PT_PER_IN = 72;
export const pt = (inches: number): number => inches * PT_PER_IN;

/** The built-in fonts know Latin letters only: what they lack is written another way, or as a question mark. */
export const latin = (text: string): string =>
  text
    .replace(/[‘’]/g, "'")
    .replace(/[“”]/g, '"')
    .replace(/←/g, '<-')
    .replace(/↑/g, '^')
    .replace(/−|–/g, '-')
    .replace(/≥/g, '>=')
    .replace(/½/g, '1/2')
    .replace(/[^\x20-\x7e\xa0-\xff]/g, '?');

/** Draws on a document and resolves to its file. */
export function drawn(
  page: PDFKit.PDFDocument,
  draw: (page: PDFKit.PDFDocument) => void
): Promise<Buffer> {
  const pieces: Buffer[] = [];
  const file = new Promise<Buffer>((resolve, reject) => {
    page.on('data', (piece: Buffer) => pieces.push(piece));
    page.on('end', () => resolve(Buffer.concat(pieces)));
    page.on('error', reject);
  });
  draw(page);
  page.end();
  return file;
}

/** A document of A4 pages, made by drawing on it; resolves to the file. */
export const pdfPages = (
  title: string,
  draw: (page: PDFKit.PDFDocument) => void
): Promise<Buffer> =>
  drawn(
    new PDFDocument({
      size: 'A4',
      margin: pt(0.6),
      info: { Title: title, Creator: 'Zanjador' }
    }),
    draw
  );
