import type { RowLayoutResult } from './row-layout.ts';

/** One hole of a layout. x runs from the datum (left) edge, y from the sheet's end; inches. */
export interface PlannedHole {
  /** 1 is the first hole of the first row; numbers run along each row in turn */
  number: number;
  /** 1-based */
  row: number;
  xIn: number;
  yIn: number;
  /** the running mark on the chosen ruler */
  markIn: number;
  /** mark − x */
  residualIn: number;
}

/** Numbers the holes of a layout. */
export function numberHoles(layout: RowLayoutResult): PlannedHole[] {
  let number = 0;
  return layout.rows.flatMap(({ offsetIn, marksIn, snappedIn }, row) =>
    marksIn.map((xIn, index) => {
      number += 1;
      const markIn = snappedIn[index] ?? xIn;
      return { number, row: row + 1, xIn, yIn: offsetIn, markIn, residualIn: markIn - xIn };
    })
  );
}
