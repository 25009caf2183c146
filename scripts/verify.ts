import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { Seal } from '../src/core/signing/record.ts';
import { brokenParts } from '../src/lib/server/record/seal.ts';
import { readOneWay } from '../src/lib/server/record/strict-json.ts';

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
const json = readOneWay(text);
if (!json.ok) stop(`${file} cannot be held against its seal: ${json.message}`);
const read = z
  .strictObject({ record: z.record(z.string(), z.unknown()), seal: Seal })
  .safeParse(json.value);
if (!read.success)
  stop(`${file} is no sealed record: ${read.error.issues[0]?.path.join('.') ?? ''}`);
const { record, seal } = read.data;
const broken = brokenParts(record, seal);
if (broken.length > 0) {
  const more = broken.length > MOST_SHOWN ? ` and ${broken.length - MOST_SHOWN} more` : '';
  stop(`${file} was changed after sealing, at ${broken.slice(0, MOST_SHOWN).join(', ')}${more}`);
}
if (printed !== undefined) {
  const typed = printed.replace(/\s/g, '').toLowerCase();
  if (!/^[0-9a-f]*$/.test(typed))
    stop(`the digest typed has other signs than 0 to 9 and a to f: ${printed}`);
  if (typed.length !== seal.digest.length)
    stop(
      `the digest typed is incomplete: it has ${seal.digest.length} signs, ${typed.length} were typed. ${file} is whole by itself; its digest is ${seal.digest}`
    );
  if (typed !== seal.digest)
    stop(`${file} is whole, but it is another record: its digest is ${seal.digest}`);
}
if ((record['signature'] ?? null) === null) process.stdout.write('△ not signed: draft record\n');
process.stdout.write(`✓ ${file} matches its seal\n  ${seal.digest}\n`);
