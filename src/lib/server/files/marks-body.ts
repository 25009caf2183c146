import { markColumns, markRows, type MarksWish } from '../../../core/exchange/mark-rows.ts';
import type { Plan } from '../../../core/plan/plan-shape.ts';
import { stopsOf } from '../../../core/plan/stops.ts';
import type { LengthStyle } from '../../../core/units/format-length.ts';
import { writeCsv } from '../../exchange/csv.ts';
import { stopInWords } from '../../words/warnings.ts';
import { writing, type WriteLength } from '../../words/writing.ts';

/** What the table of marks is made of. */
export interface TableWish extends Omit<MarksWish, 'warningOf'> {
  warnings: Plan['warnings'];
  /** what stands with every hole’s warnings; empty where nothing does */
  mark: string;
  /** null: decimal inches */
  style: LengthStyle | null;
}

/** The stops that point at a hole, and those that point at none, in words. */
function warningOf(
  warnings: Plan['warnings'],
  mark: string,
  length: WriteLength
): (hole: number) => string {
  const stops = stopsOf({ warnings }).map((stop) => ({
    holes: stop.holes === undefined ? null : new Set(stop.holes),
    words: `STOP: ${stopInWords(stop, length)}`
  }));
  return (hole) =>
    [
      ...(mark === '' ? [] : [mark]),
      ...stops.flatMap(({ holes, words }) => (holes === null || holes.has(hole) ? [words] : []))
    ].join(' ');
}

/** Every hole of a joint as a table. */
export const marksBody = ({ warnings, mark, style, ...wish }: TableWish): string =>
  writeCsv(
    markColumns(wish.unit),
    markRows({ ...wish, warningOf: warningOf(warnings, mark, writing(style)) })
  );
