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
