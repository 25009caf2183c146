import PDFDocument from 'pdfkit';
import QRCode from 'qrcode';
import { MM_PER_IN } from '../../../core/units/factors.ts';
import type { TapeWidth } from '../../tape-label.ts';
import { drawn, inFont, pt, type Page } from './pdf-pages.ts';

/** What stands on a cage's tape: what to set, when it was found, and where its re-check is. */
export interface TapeLabelWords {
  /** the cage */
  name: string;
  /** `flush 29`, `nested 31` */
  settings: readonly string[];
  /** size, date and who, line by line */
  lines: readonly string[];
  /** opened by the code */
  address: string;
}

const mm = (millimeters: number): number => pt(millimeters / MM_PER_IN);
const MARGIN_MM = 1;
/** Of a line's height. */
const LETTER_SHARE = 0.82;
/** A label is so many times as long as the tape is wide, and no shorter than its words need. */
const LONGER = 3;
const LEAST_LONG_MM = 60;

/** The squares of a code, drawn as one path: a printer keeps them sharp. */
function drawCode(page: Page, address: string, xMm: number, yMm: number, sideMm: number): void {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'L' });
  const each = sideMm / modules.size;
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column))
        page.rect(mm(xMm + column * each), mm(yMm + row * each), mm(each), mm(each));
  page.fill('#000000');
}

/**
 * A label as wide as the tape it is printed on.
 *
 * @param wideMm the tape, mm
 * @returns the PDF file, one page of the label's own size
 */
export function pdfTapeLabel(
  { name, settings, lines, address }: TapeLabelWords,
  wideMm: TapeWidth
): Promise<Buffer> {
  const longMm = Math.max(LEAST_LONG_MM, LONGER * wideMm);
  const page = new PDFDocument({
    size: [mm(longMm), mm(wideMm)],
    margin: 0,
    info: { Title: `${name}: ${settings.join(', ')}`, Creator: 'Zanjador' }
  });
  return drawn(page, () => {
    const sideMm = wideMm - 2 * MARGIN_MM;
    drawCode(page, address, MARGIN_MM, MARGIN_MM, sideMm);
    const left = mm(sideMm + 3 * MARGIN_MM);
    const width = mm(longMm) - left - mm(MARGIN_MM);
    const rows = [name, settings.join('   '), ...lines];
    // the setting takes twice a line
    const high = mm(sideMm) / (rows.length + 1);
    let y = mm(MARGIN_MM);
    rows.forEach((text, row) => {
      const large = row === 1;
      const words = inFont(page, large ? 'bold' : 'plain', text);
      const lineHigh = (large ? 2 : 1) * high;
      // smaller rather than cut off: half a setting would be another one
      page.fontSize(lineHigh * LETTER_SHARE);
      const shrink = Math.min(1, width / page.widthOfString(words));
      page
        .fillColor('#000000')
        .fontSize(lineHigh * LETTER_SHARE * shrink)
        .text(words, left, y, { lineBreak: false });
      y += (large ? 2 : 1) * high;
    });
  });
}
