import { StockMove, type NewMove } from '../../core/stock/stock.ts';
import type { BinView } from '../stock-view.ts';
import { numberIn, readCsv, writeCsv } from './csv.ts';
import { problemsOf } from '../../core/schema/read.ts';
import { refusalInWords } from '../words/refusals.ts';
import { inInches } from '../words/writing.ts';

const COLUMNS = ['part_number', 'lot', 'place', 'cold', 'count'] as const;
const MOST_LINES = 2000;
const NEEDED = ['part_number', 'lot', 'count'] as const;

/** The bins as a table that can be read back. */
export const stockCsv = (bins: readonly BinView[]): string =>
  writeCsv(
    COLUMNS,
    bins.map(({ partNumber, lot, place, cold, count }) => ({
      part_number: partNumber,
      lot,
      place,
      cold: cold ? 'yes' : 'no',
      count
    }))
  );

/** Movements read from a table, or every line that cannot be read. */
export type StockTable = { ok: true; moves: NewMove[] } | { ok: false; problems: string[] };

/** Stands for what the sender makes, while a line is held against the schema. */
const UNSENT = { id: '00000000-0000-4000-8000-000000000000', at: '2000-01-01T00:00:00Z' };

/** What was written so that it does not run as a formula, as it was. */
const unescaped = (cell: string): string => cell.replace(/^'(?=[=+@-])/, '');

const isYes = (text: string): boolean | null =>
  /^(yes|y|true|1|cold)$/i.test(text) ? true : /^(no|n|false|0|)$/i.test(text) ? false : null;

/**
 * Reads a table of bins: part_number, lot and count, perhaps place and cold.
 *
 * @param mode `received`: the counts came in; `counted`: they are what is there. A bin that is not known yet is received either way.
 * @param bins those known
 * @returns movements still without ids: whoever sends them makes those
 */
export function readStockCsv(
  text: string,
  mode: 'received' | 'counted',
  bins: readonly Pick<BinView, 'id' | 'partNumber' | 'lot' | 'place'>[]
): StockTable {
  const read = readCsv(text, MOST_LINES);
  if (!read.ok) return { ok: false, problems: [read.message] };
  const { columns, rows } = read.table;
  const missing = NEEDED.filter((column) => !columns.includes(column));
  if (missing.length > 0)
    return {
      ok: false,
      problems: [
        `the first line must name ${NEEDED.join(', ')} (place and cold may stand beside them); it reads ${JSON.stringify(columns.slice(0, 6).join(', ').slice(0, 80))}`
      ]
    };
  const problems: string[] = [];
  const moves: NewMove[] = [];
  for (const row of rows) {
    const cell = (column: (typeof COLUMNS)[number]) => unescaped(row.cell(column));
    const refuse = (message: string) => problems.push(`line ${row.line}: ${message}`);
    const cold = isYes(cell('cold'));
    const count = numberIn(cell('count'), read.table) ?? NaN;
    if (cold === null) {
      refuse(`cold is yes or no; ${JSON.stringify(cell('cold').slice(0, 20))} was given`);
      continue;
    }
    const received = StockMove.safeParse(
      {
        kind: 'received',
        ...UNSENT,
        partNumber: cell('part_number'),
        lot: cell('lot'),
        place: cell('place'),
        cold,
        // a count of nothing is told apart below
        count: mode === 'counted' && count === 0 ? 1 : count
      },
      { reportInput: true }
    );
    if (!received.success) {
      const [wrong] = problemsOf(received.error);
      refuse(wrong ? refusalInWords(wrong.said, inInches) : 'it cannot be read');
      continue;
    }
    if (received.data.kind !== 'received') continue;
    const { partNumber, lot, place, note } = received.data;
    const bin = bins.find(
      (known) => known.partNumber === partNumber && known.lot === lot && known.place === place
    );
    if (mode === 'counted' && bin) moves.push({ kind: 'counted', note, binId: bin.id, count });
    else if (count > 0) moves.push({ kind: 'received', partNumber, lot, place, note, cold, count });
  }
  if (problems.length > 0) return { ok: false, problems };
  return moves.length > 0
    ? { ok: true, moves }
    : { ok: false, problems: ['the table has no bins below its first line'] };
}
