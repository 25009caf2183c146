import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsqr from 'jsqr';
import { afterAll, describe, expect, it } from 'vitest';
import { TAPE_WIDTHS, TapeWish } from '../../tape-label';
import { pdfTapeLabel } from './pdf-tape-label';

const folder = mkdtempSync(join(tmpdir(), 'zanjador-tape-'));
afterAll(() => rmSync(folder, { recursive: true }));

const ADDRESS =
  'http://192.168.10.20:4280/setups/0b9f3c5e-1111-4222-8333-123456789abc/9e8d7c6b-5555-4666-8777-abcdef012345';
const WORDS = {
  name: 'Cage 3, blue tape, for the long nose of the left wing root',
  settings: ['flush 29', 'nested 31'],
  lines: ['dash 4, Nov 28, 2026', 'Ilse Varnholt; scan to re-check'],
  address: ADDRESS
};
/** as the package comes through either kind of import */
const readCode = (jsqr as unknown as { default?: typeof jsqr }).default ?? jsqr;
const DPI = 300;

/** A page as a printer of labels would lay it down, read by another program than wrote it. */
function printed(path: string): { data: Uint8ClampedArray; width: number; height: number } {
  execFileSync('pdftoppm', ['-gray', '-r', String(DPI), '-singlefile', path, path]);
  const bytes = readFileSync(`${path}.pgm`);
  const [head = '', w = '', h = ''] =
    /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1')) ?? [];
  const gray = bytes.subarray(head.length);
  const data = new Uint8ClampedArray(4 * gray.length);
  gray.forEach((shade, at) => data.set([shade, shade, shade, 255], 4 * at));
  return { data, width: Number(w), height: Number(h) };
}

describe('a label for a cage’s tape', () => {
  it.each(TAPE_WIDTHS)(
    'of %s mm is as wide as its tape, and its code opens the re-check',
    async (mm) => {
      const path = join(folder, `${mm}.pdf`);
      writeFileSync(path, await pdfTapeLabel(WORDS, mm));
      const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
      for (const words of [WORDS.name, ...WORDS.settings, ...WORDS.lines])
        expect(text).toContain(words);
      const { data, width, height } = printed(path);
      expect(Math.abs((height / DPI) * 25.4 - mm)).toBeLessThan(0.2);
      expect(readCode(data, width, height)?.data).toBe(ADDRESS);
    }
  );

  it('is asked for by a tape that there is', () => {
    expect(TapeWish.parse(undefined)).toBe(18);
    expect(TapeWish.parse('24')).toBe(24);
    expect(TapeWish.safeParse('9').error?.issues[0]?.message).toMatch(/12, 18 or 24 mm/);
  });
});
