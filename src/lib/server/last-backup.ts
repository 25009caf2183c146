import { readFile } from 'node:fs/promises';
import { z } from 'zod';

const LastBackup = z.object({ at: z.iso.datetime(), path: z.string(), rows: z.int() });
export type LastBackup = z.output<typeof LastBackup>;

/** The last backup that was read back whole, as the command noted it; null where none was, or the note cannot be read. */
export async function lastBackup(
  note = process.env['ZANJADOR_LAST_BACKUP']
): Promise<LastBackup | null> {
  if (!note) return null;
  try {
    return LastBackup.parse(JSON.parse(await readFile(note, 'utf8')));
  } catch {
    return null;
  }
}
