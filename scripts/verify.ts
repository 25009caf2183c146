import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { Seal } from '../src/core/signing/record.ts';
import { brokenParts } from '../src/lib/server/record/seal.ts';

/** `./zanjador verify FILE [DIGEST]`: whether a record is what its seal, and the digest printed on paper, say. */
const [file, printed] = process.argv.slice(2);
const MOST_SHOWN = 20;

function stop(words: string): never {
  process.stderr.write(`✗ ${words}\n`);
  process.exit(1);
}

if (file === undefined) stop('which file? ./zanjador verify FILE [DIGEST]');
let text = '';
try {
  text = readFileSync(file, 'utf8');
} catch {
  stop(`${file} cannot be read`);
}
let json: unknown;
try {
  json = JSON.parse(text);
} catch (error) {
  stop(`${file} is no JSON any more: ${error instanceof Error ? error.message : ''}`);
}
const read = z
  .strictObject({ record: z.record(z.string(), z.unknown()), seal: Seal })
  .safeParse(json);
if (!read.success)
  stop(`${file} is no sealed record: ${read.error.issues[0]?.path.join('.') ?? ''}`);
const { record, seal } = read.data;
const broken = brokenParts(record, seal);
if (broken.length > 0) {
  const more = broken.length > MOST_SHOWN ? ` and ${broken.length - MOST_SHOWN} more` : '';
  stop(
    `${file} is not what was sealed; it differs at ${broken.slice(0, MOST_SHOWN).join(', ')}${more}`
  );
}
if (printed !== undefined && printed.replace(/\s/g, '').toLowerCase() !== seal.digest)
  stop(`${file} is whole, but it is another record: its digest is ${seal.digest}`);
process.stdout.write(`✓ ${file} is as it was sealed\n  ${seal.digest}\n`);
