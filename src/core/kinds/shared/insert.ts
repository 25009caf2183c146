import { unitLen } from '../../notation.ts';
import { length, type LengthAsk } from '../asks.ts';
import { sizeIn } from '../../joint/common.ts';
import { orNull, orUsual } from '../../joint/as-typed.ts';
import { lengthIn, thicknessIfMeantIn } from '../../schema/fields.ts';

/** Round an insert, where nothing else is typed. */
export const USUAL_CLEARANCE_IN = 1 / 32;

/** What fills a cut-out flush. */
export const insertReading = {
  insertClearanceIn: orUsual(
    lengthIn('the clearance round the insert', { least: 0, most: 6 }),
    USUAL_CLEARANCE_IN
  ),
  /** of the insert's own line; null: as the skin's */
  insertEdgeIn: orNull(sizeIn('the insert’s edge distance')),
  /** null: as thick as the skin */
  insertSheetIn: orNull(thicknessIfMeantIn)
};

/** What is asked of it, while there is one. */
export const insertAsks = <E>(filled: (entered: E) => boolean): LengthAsk<E>[] => [
  length(
    'insertClearanceIn',
    'Clearance round the insert',
    '1/32',
    [unitLen(USUAL_CLEARANCE_IN)],
    filled
  ),
  length('insertEdgeIn', 'Edge distance in the insert', 'as the skin', 'as in the skin', filled),
  length('insertSheetIn', 'Insert thickness', 'as the skin', 'as thick as the skin', filled)
];
