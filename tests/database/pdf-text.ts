import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The text of a PDF by a reader that did not write it. */
export function pdfText(body: string | Buffer): string {
  const path = join(mkdtempSync(join(tmpdir(), 'zanjador-')), 'file.pdf');
  writeFileSync(path, body);
  return execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
}

/** The text of each of its pages. */
export const pdfPagesText = (body: string | Buffer): string[] =>
  pdfText(body).split('\f').slice(0, -1);
