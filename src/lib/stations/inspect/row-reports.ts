import {
  headReport,
  rowMeaning,
  type HeadReading,
  type HeadReport
} from '$core/inspect/head-report.ts';
import { lastShares, type HoleState } from '$core/inspect/hole-events.ts';
import { predictedHeadIn3, type Release } from '$core/release/release.ts';

/** What a reading at a hole means beside the heads of its row. */
export function reportInRow(
  { facts, holes }: Release,
  states: ReadonlyMap<number, HoleState>,
  hole: number,
  reading: HeadReading
): HeadReport {
  const own = holes.find(({ number }) => number === hole);
  const others = holes.filter((other) => other.row === own?.row && other.number !== hole);
  return headReport(
    reading,
    own ? predictedHeadIn3(facts, own) : null,
    lastShares(states, others, facts)
  );
}

/** A row whose heads are all short, or all over. */
export interface RowApart {
  row: number;
  share: number;
  meaning: 'row-lost' | 'row-longer';
}

/** Rows whose heads are all short or all over, each once. */
export function rowsApart(
  { facts, holes }: Release,
  states: ReadonlyMap<number, HoleState>
): RowApart[] {
  const rows = [...new Set(holes.map(({ row }) => row))];
  return rows.flatMap((row): RowApart[] => {
    const found = rowMeaning(
      lastShares(
        states,
        holes.filter((hole) => hole.row === row),
        facts
      )
    );
    return found === null || found.meaning === 'ordinary'
      ? []
      : [{ row, share: found.share, meaning: found.meaning }];
  });
}
