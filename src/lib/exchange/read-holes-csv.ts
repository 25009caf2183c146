import { MM_PER_IN } from '../../core/units/factors.ts';
import { notANumber, numberIn, readCsv } from './csv.ts';
import type { DrawingRead, Found } from './found.ts';

const MOST_ROWS = 20_000;

const STATE = 'state';
/** What our own table calls holes that get no rivet, and what they are. */
const NO_RIVET: Readonly<Record<string, string>> = {
  relief: 'corner reliefs',
  'stop drill': 'stop-drills'
};

/** A column of one axis, with the unit that its name ends in. */
const COLUMN = /^([xy])(?:[_ ]?(?:\(?(in|inch|inches|mm)\)?))?$/;
const IN_PER_UNIT: Record<string, number> = { in: 1, inch: 1, inches: 1, mm: 1 / MM_PER_IN };

/** The columns of both axes; the unit null where neither says. */
function axesOf(columns: readonly string[]) {
  const axis = (which: 'x' | 'y') =>
    columns.flatMap((name) => {
      const [, letter, unit] = COLUMN.exec(name) ?? [];
      return letter === which
        ? [{ name, inPerUnit: unit ? (IN_PER_UNIT[unit] ?? null) : null }]
        : [];
    });
  const [xs, ys] = [axis('x'), axis('y')];
  // a table may hold inches beside millimeters, and one column of a pair alone: the first whole pair is meant
  for (const x of xs) {
    const y = ys.find(({ inPerUnit }) => inPerUnit === x.inPerUnit);
    if (y) return { x, y };
  }
  return { x: xs[0], y: ys[0] };
}

const unitWords = (inPerUnit: number | null): string =>
  inPerUnit === null ? 'names no unit' : inPerUnit === 1 ? 'is in inches' : 'is in millimeters';

/**
 * Reads a table of holes: columns `x_in`, `y_in` or `x_mm`, `y_mm`, one hole a line.
 *
 * @returns y as in the table, running down
 */
export function readHolesCsv(text: string): DrawingRead {
  const read = readCsv(text, MOST_ROWS);
  if (!read.ok) return read;
  const { columns, rows } = read.table;
  const { x, y } = axesOf(columns);
  if (x === undefined || y === undefined)
    return {
      ok: false,
      message: `the first line must name the columns x_in and y_in (or x_mm and y_mm); it reads ${JSON.stringify(columns.slice(0, 6).join(', ').slice(0, 80))}`
    };
  if (x.inPerUnit !== y.inPerUnit)
    return {
      ok: false,
      message: `the columns disagree: ${x.name} ${unitWords(x.inPerUnit)}, ${y.name} ${unitWords(y.inPerUnit)}`
    };
  const holes: Found['holes'] = [];
  const leftOut = new Map<string, number>();
  for (const { line, cell } of rows) {
    // our own table has holes that get no rivet beneath those that do
    const no = columns.includes(STATE) ? NO_RIVET[cell(STATE)] : undefined;
    if (no !== undefined) {
      leftOut.set(no, (leftOut.get(no) ?? 0) + 1);
      continue;
    }
    const [px, py] = [numberIn(cell(x.name), read.table), numberIn(cell(y.name), read.table)];
    if (px === null || py === null) {
      const wrong = px === null ? x.name : y.name;
      return {
        ok: false,
        message: `line ${line} has no place: ${wrong}: ${notANumber(cell(wrong), read.table)}`
      };
    }
    holes.push({ x: px, y: py, diameter: null, layer: '' });
  }
  if (holes.length === 0)
    return { ok: false, message: 'the table has no holes below its first line' };
  return {
    ok: true,
    found: {
      holes,
      outlines: [],
      inPerUnit: x.inPerUnit,
      leftOut: [...leftOut].map(([what, count]) => ({ what, count }))
    }
  };
}
