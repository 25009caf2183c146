import Papa from 'papaparse';

/** Text that a table program might run, or take for something else than text: a bare number is harmless. */
const LIKE_A_FORMULA = /^[=+@\t\r\n]|^-(?!(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$)/i;

/** A table as text. A name that begins like a formula must not run in whoever opens it. */
export const writeCsv = (
  fields: readonly string[],
  data: readonly Record<string, string | number | boolean>[]
): string =>
  `${Papa.unparse({ fields: [...fields], data: [...data] }, { escapeFormulae: LIKE_A_FORMULA })}\r\n`;

/** One line of a table that came in, by its columns. */
export interface TableRow {
  /** as the file counts, 1 the first */
  line: number;
  cell: (column: string) => string;
}
export interface Table {
  columns: string[];
  rows: TableRow[];
  /** numbers may be written with a comma: it does not divide the columns */
  commaDecimal: boolean;
}
export type TableRead = { ok: true; table: Table } | { ok: false; message: string };

/** What stands between the names of the first line: lines of figures may hold decimal commas. */
function separatorOf(text: string): ',' | ';' | '\t' {
  const first = text.split(/[\r\n]+/).find((line) => line.trim() !== '') ?? '';
  const bare = first.replace(/"[^"]*"/g, '');
  return bare.includes(';') ? ';' : bare.includes('\t') ? '\t' : ',';
}

const shown = (text: string): string => JSON.stringify(text.slice(0, 60));

/**
 * Reads a table whose first line names its columns: separated by commas, semicolons or tabs.
 *
 * @param most lines beneath the first
 * @returns cells trimmed, lines numbered as the file numbers them; refused where a line has more cells than there are columns
 */
export function readCsv(text: string, most: number): TableRead {
  const rows: TableRow[] = [];
  let columns: string[] | null = null;
  let message: string | null = null;
  let line = 1;
  let read = 0;
  const separator = separatorOf(text);
  Papa.parse<string[]>(text, {
    delimiter: separator,
    step: ({ data, meta }, parser) => {
      const at = line;
      // A quoted cell may run over several lines: the file's own count goes on through it.
      line += text.slice(read, meta.cursor).split(/\r\n|\r|\n/).length - 1;
      read = meta.cursor;
      const cells = data.map((cell) => cell.trim());
      if (cells.every((cell) => cell === '')) return;
      if (columns === null) {
        columns = cells.map((name) => name.toLowerCase());
        const names = columns;
        const twice = names.find((name, index) => name !== '' && names.indexOf(name) < index);
        if (twice !== undefined) message = `two columns are named ${shown(twice)}`;
      } else if (rows.length >= most) message = `the table has over ${most} lines`;
      else if (cells.slice(columns.length).some((cell) => cell !== ''))
        message = `line ${at} has ${cells.length} cells for ${columns.length} columns: ${shown(data.join(separator))}${separator === ',' ? '. A decimal comma is read only where semicolons stand between the columns' : ''}`;
      else {
        const names = columns;
        rows.push({ line: at, cell: (column) => cells[names.indexOf(column)] ?? '' });
      }
      if (message !== null) parser.abort();
    }
  });
  return message !== null
    ? { ok: false, message }
    : {
        ok: true,
        table: { columns: columns ?? [], rows, commaDecimal: separator === ';' }
      };
}

/**
 * A number as people write it in a table.
 *
 * @returns null for anything else: nothing, hexadecimal figures, a decimal comma where commas divide the columns
 */
export function numberIn(
  cell: string,
  { commaDecimal }: Pick<Table, 'commaDecimal'>
): number | null {
  const text = commaDecimal ? cell.replace(/^([+-]?\d*),(\d+)$/, '$1.$2') : cell;
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i.test(text) ? Number(text) : null;
}

/** What is wrong with a cell that should be a number. */
export const notANumber = (cell: string, { commaDecimal }: Pick<Table, 'commaDecimal'>): string =>
  !commaDecimal && /^[+-]?\d*,\d+$/.test(cell)
    ? `${shown(cell)} has a decimal comma, which is read only where semicolons stand between the columns; write ${cell.replace(',', '.')}`
    : cell === ''
      ? 'it is empty'
      : `${shown(cell)} is not a number`;
