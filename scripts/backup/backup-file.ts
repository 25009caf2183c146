/**
 * A backup: one gzip stream of a line of JSON that says what it holds, and then PostgreSQL's own dump. gzip's check sum finds a
 * file that was cut off or changed by accident; the digests of the tables find a restored database that is not the one dumped.
 */
import { createReadStream } from 'node:fs';
import { Transform, type TransformCallback } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { z } from 'zod';

export const BackupHead = z.strictObject({
  format: z.literal('zanjador-backup'),
  version: z.literal(1),
  at: z.iso.datetime(),
  database: z.string(),
  tables: z.record(z.string(), z.strictObject({ rows: z.int(), sum: z.string() }))
});
export type BackupHead = z.output<typeof BackupHead>;

/** No head is longer. */
const MOST_HEAD = 1_000_000;

/** Takes the head off a backup's stream and lets the dump through. */
export class HeadOff extends Transform {
  #begun: Buffer[] = [];
  #length = 0;
  head: BackupHead | null = null;

  override _transform(chunk: Buffer, _: string, done: TransformCallback): void {
    if (this.head) {
      done(null, chunk);
      return;
    }
    const end = chunk.indexOf(0x0a);
    this.#begun.push(end === -1 ? chunk : chunk.subarray(0, end));
    this.#length += chunk.length;
    if (end === -1) {
      done(this.#length > MOST_HEAD ? new Error('this is no backup of Zanjador') : null);
      return;
    }
    try {
      this.head = BackupHead.parse(JSON.parse(Buffer.concat(this.#begun).toString('utf8')));
    } catch {
      done(new Error('this is no backup of Zanjador'));
      return;
    }
    done(null, chunk.subarray(end + 1));
  }
}

/**
 * Reads a backup from end to end.
 *
 * @param into what takes the dump; nowhere where it is only looked through
 * @throws where it was cut off, changed, or is none
 */
export async function readBackup(
  path: string,
  into: (dump: AsyncIterable<Buffer>) => Promise<void> = async (dump) => {
    for await (const chunk of dump) void chunk;
  }
): Promise<BackupHead> {
  const off = new HeadOff();
  await pipeline(createReadStream(path), createGunzip(), off, into);
  if (!off.head) throw new Error('this is no backup of Zanjador');
  return off.head;
}
