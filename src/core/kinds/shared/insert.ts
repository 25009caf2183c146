import { orNull, orUsual } from '../../joint/as-typed.ts';
import { lengthIn, thicknessIn } from '../../schema/fields.ts';

/** What fills a cut-out flush. */
export const insertReading = {
  insertClearanceIn: orUsual(
    lengthIn('the clearance round the insert', { least: 0, most: 6 }),
    1 / 32
  ),
  /** null: as thick as the skin */
  insertSheetIn: orNull(thicknessIn)
};
