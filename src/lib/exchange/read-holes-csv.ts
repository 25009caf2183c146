import Papa from 'papaparse';
import { MM_PER_IN } from '../../core/units/factors.ts';
import type { DrawingRead, Found } from './found.ts';

const MOST_ROWS = 20_000;

/** The unit a column's name ends in, as inches. */
const unitOf = (column: string): number | null =>
  /_?in(ch(es)?)?$/i.test(column) ? 1 : /_?mm$/i.test(column) ? 1 / MM_PER_IN : null;

const columnFor = (fields: readonly string[], axis: 'x' | 'y'): string | undefined =>
  fields.find((field) =>
    new RegExp(`^${axis}([_ ]?(in|inch|inches|mm))?$`, 'i').test(field.trim())
  );

/**
 * Reads a table of holes: columns `x_in`, `y_in` or `x_mm`, `y_mm`, one hole a line.
 *
 * @returns y as in the table, running down
 */
export function readHolesCsv(text: string): DrawingRead {
  const parsed = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    preview: MOST_ROWS + 1
  });
  const fields = parsed.meta.fields ?? [];
  const [x, y] = [columnFor(fields, 'x'), columnFor(fields, 'y')];
  if (x === undefined || y === undefined)
    return {
      ok: false,
      message: `the first line must name the columns x_in and y_in (or x_mm and y_mm); it reads ${JSON.stringify(fields.slice(0, 6).join(', ').slice(0, 80))}`
    };
  if (parsed.data.length > MOST_ROWS)
    return { ok: false, message: `the table has over ${MOST_ROWS} lines` };
  const holes: Found['holes'] = [];
  for (const [index, row] of parsed.data.entries()) {
    const [px, py] = [Number(row[x]), Number(row[y])];
    if (
      row[x]?.trim() === '' ||
      row[y]?.trim() === '' ||
      !Number.isFinite(px) ||
      !Number.isFinite(py)
    )
      return {
        ok: false,
        message: `line ${index + 2} has no place: ${JSON.stringify(`${row[x] ?? ''}, ${row[y] ?? ''}`.slice(0, 60))} are not two numbers`
      };
    holes.push({ x: px, y: py, diameter: null, layer: '' });
  }
  if (holes.length === 0)
    return { ok: false, message: 'the table has no holes below its first line' };
  return { ok: true, found: { holes, outline: null, inPerUnit: unitOf(x) } };
}
