import { wrap } from 'comlink';
import { LARGEST_FILE_BYTES } from '$core/exchange/joint-file.ts';
import type { DrawingRead } from '$lib/exchange/found.ts';
import type { Reader } from './import.worker';

/** A file that takes longer than this to read is not one a shop would hand over. */
const LONGEST_MS = 10_000;

const tooLarge = (file: File): string =>
  `the file is ${(file.size / 1024 / 1024).toFixed(1)} MB; up to 5 MB are read`;

/** The text of a file, or why it is refused. */
export async function textOf(
  file: File
): Promise<{ ok: true; text: string } | { ok: false; message: string }> {
  if (file.size > LARGEST_FILE_BYTES) return { ok: false, message: tooLarge(file) };
  if (file.size === 0) return { ok: false, message: 'the file is empty' };
  return { ok: true, text: await file.text() };
}

/**
 * Reads a DXF or CSV file of holes away from the page: whatever is in it, the page goes on, and a file that
 * never ends is given up.
 */
export async function readHolesFile(file: File): Promise<DrawingRead> {
  const read = await textOf(file);
  if (!read.ok) return read;
  const dxf = /\.dxf$/i.test(file.name);
  if (!dxf && !/\.(csv|txt)$/i.test(file.name))
    return { ok: false, message: 'only .dxf and .csv files of holes are read here' };
  const worker = new Worker(new URL('./import.worker.ts', import.meta.url), { type: 'module' });
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<DrawingRead>((resolve) => {
    timer = setTimeout(
      () => resolve({ ok: false, message: 'the file took over 10 s to read and was given up' }),
      LONGEST_MS
    );
    worker.onerror = () => resolve({ ok: false, message: 'the file cannot be read' });
  });
  try {
    const reader = wrap<Reader>(worker);
    const result = dxf ? reader.readDxf(read.text) : reader.readHolesCsv(read.text);
    return await Promise.race([result, late]);
  } catch {
    return { ok: false, message: 'the file cannot be read' };
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
