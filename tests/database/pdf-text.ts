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
