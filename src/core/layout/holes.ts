import { num, workLine, type WorkLine } from '../answer.ts';
import type { RulerScale } from '../units/ruler.ts';
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

/** The arithmetic of one running mark: from the datum edge, never from the mark before. */
export function markWork(
  hole: PlannedHole,
  { rows, pitchIn }: RowLayoutResult,
  scale: RulerScale
): WorkLine[] {
  const firstIn = rows[hole.row - 1]?.marksIn[0] ?? 0;
  const spaces = Math.round((hole.xIn - firstIn) / pitchIn);
  return [
    workLine(
      `hole ${hole.number} from the datum edge`,
      `first of row ${hole.row} + spaces × pitch = ${num(firstIn)} + ${spaces} × ${num(pitchIn)}`,
      hole.xIn,
      'in'
    ),
    workLine(
      'mark',
      scale === 'exact' ? 'no ruler: as computed' : `nearest division of the ${scale} ruler`,
      hole.markIn,
      'in'
    ),
    workLine('off by', `${num(hole.markIn)} − ${num(hole.xIn)}`, hole.residualIn, 'in')
  ];
}
